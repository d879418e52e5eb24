import type { Kind } from './kind';

/** What a part is ticked off as when it has been slipped on; steps are ticked under their own ids. */
export const partTick = (part: string): string => `part-${part}`;

/** What something to be seen at a step is ticked off as. */
export const seenTick = (key: string): string => `seen-${key}`;

/** What an item of the laying-out list is ticked off as. */
export const layTick = (item: string): string => `lay-${item}`;

/** What a try at a dry clamp that did not look right is written down as, the first one 1. */
export const tryTick = (step: string, n: number): string => `try-${n}-${step}`;

/** Tries after which the end is begun again. Chosen: what fitters give a clamp before they cut the end off. */
export const MOST_TRIES = 3;

const LAID = /^lay-[a-z0-9.-]{1,60}$/;

/** Whether something can be ticked off at work on a kind of entry. */
export function isTick({ parts, steps }: Kind, tick: string): boolean {
  return (
    LAID.test(tick) ||
    parts.some(({ id }) => partTick(id) === tick) ||
    steps.some(
      ({ id, seen, tries }) =>
        id === tick ||
        seen.some((key) => seenTick(key) === tick) ||
        (tries && Array.from({ length: MOST_TRIES }, (_, i) => tryTick(id, i + 1)).includes(tick)),
    )
  );
}
