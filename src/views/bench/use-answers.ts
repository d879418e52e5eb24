import { useCallback, useEffect, useRef } from 'react';
import { asItShould, type LookGroup, type LookQuestion } from '../../core/kinds/look';
import { count } from '../../core/words/en/format';
import { afterPaint } from '../../ui/after-paint';
import { give } from '../hand/give';
import { device } from '../hand/hand';
import type { LookAnswerGiven } from '../judging/LookCard';
import type { Judged } from './use-judged';
import type { Way } from './use-way';

/** Answering looks. */
export interface Answers {
  answer: (look: LookQuestion, given: LookAnswerGiven) => void;
  /** Answers what is open at a spot: all of it was seen, and is as it should be. */
  together: (group: LookGroup) => void;
}

/** Answers to the looks of the entry on the bench; the same functions for as long as it lies there. */
export function useAnswers(judged: Judged, way: Way): Answers {
  const latest = useRef({ judged, way });
  useEffect(() => {
    latest.current = { judged, way };
  });
  const answer = useCallback((look: LookQuestion, given: LookAnswerGiven) => {
    const { dossier, round } = latest.current.judged;
    const first = !dossier.looks.has(look.id);
    const of = { id: device.id(), entry: dossier.entry.id, round: round.id, look: look.id };
    if (give('look.answer', { ...of, ...given }) === null || !first) return;
    // An exception, and a condition that wants evidence, keep the eye until it goes on by itself.
    const good = look.answers.find(({ id }) => id === given.answer)?.good;
    if (!good || look.spot === 'conditions') return;
    afterPaint(() => latest.current.way.goOn({ is: 'look', id: look.id }));
  }, []);
  const together = useCallback(({ spot, looks }: LookGroup) => {
    const { dossier, round } = latest.current.judged;
    const open = looks.filter((look) => !dossier.looks.has(look.id) && asItShould(look) !== null);
    const answers = open.map(({ id }) => ({ id: device.id(), look: id }));
    const payload = { entry: dossier.entry.id, round: round.id, spot, answers };
    if (give('look.together', payload, `${count(open.length, 'look')} answered in one.`) === null) return;
    latest.current.way.goOn(...open.map(({ id }) => ({ is: 'look', id }) as const));
  }, []);
  return { answer, together };
}
