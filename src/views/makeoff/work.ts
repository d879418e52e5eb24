import type { Slice } from '../../core/record/slice';
import type { Id, MakeOff } from '../../core/record/types';
import { planOf, type Plan } from '../../core/makeoff/plan';
import { currentRound, dossierOf, type Dossier } from '../../core/rulebook/dossier';

/** Work that is going on at a site, the newest last. */
export const runningWork = (slice: Slice, site: Id): MakeOff[] =>
  slice.by('makeoff', 'site', site).filter(({ finished }) => finished === null);

/** The entry's work that is going on, or the newest that is finished; null before the first. */
export function workOf(slice: Slice, entry: Id): MakeOff | null {
  const works = slice.by('makeoff', 'entry', entry).sort((a, b) => (a.at < b.at ? -1 : 1));
  return works.find(({ finished }) => finished === null) ?? works[works.length - 1] ?? null;
}

/** Work before it begins. */
const NEW = { habit: 'body-first', why: 'make-off' } as const;

/** Everything that a page of the make-off shows of one entry; null for an entry that is gone. */
export function openWork(
  slice: Slice,
  entryId: Id,
  nowMs: number,
): { dossier: Dossier; work: MakeOff | null; plan: Plan } | null {
  const entry = slice.get('entry', entryId);
  if (!entry) return null;
  const work = workOf(slice, entryId);
  const running = work && work.finished === null ? work : null;
  const round = (running && slice.get('round', running.round)) ?? currentRound(slice, entryId, entry.site);
  const dossier = dossierOf(slice, entryId, round);
  if (!dossier) return null;
  const plan = planOf(dossier, running ?? NEW, running, nowMs);
  return { dossier, work: running, plan };
}

/** Initials of a name, for the ticks: "A. Vell" is AV. */
export const initialsOf = (name: string): string =>
  name
    .split(/[\s.]+/)
    .flatMap((word) => word[0]?.toUpperCase() ?? [])
    .join('')
    .slice(0, 4) || '?';
