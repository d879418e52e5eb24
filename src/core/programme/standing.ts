import { levelOf } from '../defects/severity';
import type { Slice } from '../record/slice';
import type { Id, Inspection, Standing } from '../record/types';
import { assess, type Assessment } from '../rulebook/assess';
import { levelHere } from '../rulebook/classified';
import type { Dossier } from '../rulebook/dossier';
import { changesAt } from './changes-at';
import { nextDue, type Counted } from './due';

/**
 * Where an entry stands, with what is due next: what lists, plans and counts read.
 *
 * @param at time of judging, ISO 8601
 * @returns null when the entry or the place it belongs to does not exist
 */
export function standingOf(slice: Slice, entry: Id, site: Id, at: string): Standing | null {
  const found = assess(slice, entry, site, at);
  return found && withDue(slice, found, at);
}

function withDue(slice: Slice, { dossier, earlier, status }: Assessment, at: string): Standing {
  const { site, enclosure, entry, broken } = dossier;
  // A seal that does not match says nothing, and resets nothing.
  const sealed = slice
    .by('inspection', 'entry', entry.id)
    .filter(({ id }) => !broken.some((one) => one.id === id));
  const due = nextDue({
    sealed: sealed.map((one) => countedOf(one, dossier)),
    intervals: site.intervals,
    capMonths: site.longestMonths,
    surroundings: enclosure.surroundings ?? 1,
    movable: enclosure.movable ?? 'fixed',
    timeZone: site.timeZone,
  });
  const open = slice.by('defect', 'entry', entry.id).filter(({ state }) => state !== 'proven');
  const worst = Math.max(0, ...open.map(({ severity }) => severity)) as Standing['worst'];
  const changes_at = changesAt([dossier, ...earlier], at);
  return { ...status, due, open_defects: open.length, worst, changes_at };
}

/** A sealed inspection as the programme counts it; its failures have the level that they have here today. */
function countedOf({ grade, at, state, findings }: Inspection, dossier: Dossier): Counted {
  const level = levelHere(dossier.site, dossier.area, dossier.otherArea);
  const failed = findings.filter(({ outcome }) => outcome === 'fails');
  return {
    grade,
    at,
    complete: findings.every(({ outcome }) => outcome !== 'unread'),
    sound: state === 'sound',
    worst: Math.max(0, ...failed.map((finding) => levelOf(finding, level))) as Counted['worst'],
  };
}
