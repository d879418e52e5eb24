import { isSealed } from '../../core/commands/apply-inspection';
import { now } from '../../client/clock';
import type { Slice } from '../../core/record/slice';
import type { Id, MakeOff } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { device } from '../hand/hand';
import { give } from '../hand/give';

/**
 * The round that the work is recorded in: for a new make-off one in which nothing of the entry is read yet, since
 * what was read before belongs to the gland that comes off.
 */
export function roundFor({ entry, round }: Dossier, slice: Slice, site: Id, why: MakeOff['why']): Id | null {
  const open = round && !round.closed && round.grade === 'detailed' && !isSealed(slice, entry.id, round.id);
  const read = [...slice.by('reading', 'entry', entry.id), ...slice.by('look', 'entry', entry.id)].some(
    (one) => one.round === round?.id,
  );
  if (open && (why !== 'make-off' || !read)) return round.id;
  const id = device.id();
  const made = give('round.add', {
    id, name: `Make-off of ${now().slice(0, 10)}`, grade: 'detailed', entries: [entry.id], started: now(), closed: null,
  }, '', site); // prettier-ignore
  return made && id;
}
