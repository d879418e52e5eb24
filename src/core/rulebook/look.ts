import { isLater } from '../instrument/calibration';
import { lookOf } from '../kinds/kinds';
import type { LookQuestion } from '../kinds/look';
import { conditionLook, conditionNumber } from '../kinds/worked-looks';
import { saying } from './check';
import type { Context } from './dossier';
import type { Aspect } from '../record/finding';
import { passedOver } from './passed-over';
import { titleFacts } from '../kinds/worded';

type OfAnswer = {
  look: string;
  title?: string;
  answer: string;
  by: string;
  joint?: string;
  /** Spot at which it was answered in one with the others. */
  together?: string;
};

/** What it says, and the facts of each. */
type Says = {
  'look.future': { look?: string; title?: string; at: string; joint?: string; number?: number };
  'look.unknown': { look: string };
  'look.none': { look: string; title?: string; joint?: string };
  'look.good': OfAnswer;
  'look.bad': OfAnswer;
};
const { conforms, fails, unread } = saying<Says>();

/** The question of a look: of the kind, or the tick of a special condition of the certificate. */
function questionOf({ entry, certificate }: Context, look: string): LookQuestion | null {
  const own = lookOf(entry.kind, look);
  if (own) return own;
  const number = conditionNumber(look);
  const text = number === null ? undefined : certificate?.specialConditions?.[number - 1];
  return text === undefined ? null : conditionLook(number!, text);
}

/** An aspect that is answered by looking: good answers conform, bad ones fail, none is unread. */
export function judgeLook(context: Context, look: string): Aspect {
  const question = questionOf(context, look);
  if (!question) return unread('look.unknown', { look });
  const title = titleFacts(question);
  const given = context.looks.get(look);
  if (given && context.late && (isLater(given.at, context.at) || fromTheFuture(context, look))) {
    return unread('look.future', { look, ...title, at: given.at }, 'settle.clock');
  }
  if (!given) return passedOver(context, look) ?? unread('look.none', { look, ...title });
  const answer = question.answers.find(({ id }) => id === given.answer);
  if (!answer) return unread('look.none', { look, ...title });
  const how = given.together === undefined ? {} : { together: given.together };
  const facts = { look, ...title, answer: answer.id, by: given.by, ...how };
  return answer.good ? conforms('look.good', facts) : fails('look.bad', facts);
}

/** Whether a look is answered by a sealed record that lies after the time of judging. */
const fromTheFuture = ({ record, recorded, at }: Context, look: string): boolean =>
  record !== null && recorded.has(look) && isLater(record.at, at);

/** The answer that was given to a look; null before. */
export const answerTo = ({ looks }: Pick<Context, 'looks'>, look: string): string | null =>
  looks.get(look)?.answer ?? null;
