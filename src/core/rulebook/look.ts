import { lookOf } from '../record/kinds';
import { conforms, fails, unread } from './check';
import type { Context } from './dossier';
import type { Aspect } from './finding';

/** An aspect that is answered by looking: good answers conform, bad ones fail, none is unread. */
export function judgeLook(context: Context, look: string): Aspect {
  const question = lookOf(context.entry.kind, look);
  if (!question) return unread('look.unknown', { look });
  const given = context.looks.get(look);
  if (!given) return unread('look.none', { look, title: question.title });
  const answer = question.answers.find(({ id }) => id === given.answer);
  if (!answer) return unread('look.none', { look, title: question.title });
  const facts = { look, title: question.title, answer: answer.id, said: answer.title, by: given.by };
  return answer.good ? conforms('look.good', facts) : fails('look.bad', facts);
}
