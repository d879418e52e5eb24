import { needOpen } from './apply-inspection';
import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { KINDS } from '../kinds/kinds';
import { isTick } from '../kinds/ticks';
import type { Id } from '../record/types';

/** Begins work on an entry: new, or opened up. One at a time per entry and round. */
export function applyMakeOffStart(draft: Draft, payload: Payloads['makeoff.start']): void {
  draft.needFree('makeoff', payload.id);
  draft.need('entry', payload.entry, 'entry');
  needOpen(draft, payload.entry, payload.round);
  const running = draft.by('makeoff', 'entry', payload.entry).find(({ finished }) => finished === null);
  if (running) {
    throw new Refusal('invalid', 'entry', 'work.running');
  }
  const { at, site } = draft.command;
  draft.put('makeoff', {
    armourEnd: null,
    ...payload,
    site,
    ticks: [],
    by: draft.person,
    at,
    finished: null,
  });
}

/** Says that a step is done, or that its hold point is passed over and why; saying it again replaces it. */
export function applyTick(draft: Draft, { id, ...tick }: Payloads['makeoff.tick']): void {
  const work = needRunning(draft, id);
  const { kind } = draft.need('entry', work.entry, 'id');
  if (!isTick(KINDS[kind], tick.step)) {
    throw new Refusal('invalid', 'step', 'step.none');
  }
  const others = work.ticks.filter(({ step }) => step !== tick.step);
  draft.put('makeoff', {
    ...work,
    ticks: [...others, { ...tick, by: draft.person, at: draft.command.at }],
  });
}

/** Takes a tick away. */
export function applyUntick(draft: Draft, { id, step }: Payloads['makeoff.untick']): void {
  const work = needRunning(draft, id);
  draft.put('makeoff', { ...work, ticks: work.ticks.filter((tick) => tick.step !== step) });
}

function needRunning(draft: Draft, id: Id) {
  const work = draft.need('makeoff', id, 'id');
  needOpen(draft, work.entry, work.round);
  if (work.finished !== null) {
    throw new Refusal('sealed', 'id', 'work.sealed');
  }
  return work;
}

/** Ends the work that is going on at an entry, when its as-left record is sealed. */
export function finishMakeOff(draft: Draft, entry: Id, round: Id): void {
  for (const work of draft.by('makeoff', 'entry', entry)) {
    if (work.round === round && work.finished === null) {
      draft.put('makeoff', { ...work, finished: draft.command.at });
    }
  }
}
