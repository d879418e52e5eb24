import { isSealed } from '../../core/commands/apply-inspection';
import { now } from '../../client/clock';
import type { Slice } from '../../core/record/slice';
import type { Defect, Id, Round } from '../../core/record/types';
import { currentRound } from '../../core/rulebook/dossier';
import { ruleOf } from '../../core/rulebook/rules';
import { entryListed } from '../../core/words/en/listed';
import { give } from '../hand/give';
import { device } from '../hand/hand';

/** The round in which a defect is being looked at again: one that runs and began after it was found; null for none. */
export function roundOfProof(slice: Slice, { entry, site, round, check }: Defect): Round | null {
  const current = currentRound(slice, entry, site);
  if (!current || current.id === round || current.closed || isSealed(slice, entry, current.id)) return null;
  const asked = check === null ? null : (ruleOf(check)?.grade ?? null);
  return asked === null || GRADES.indexOf(current.grade) >= GRADES.indexOf(asked) ? current : null;
}

const GRADES: readonly Round['grade'][] = ['visual', 'close', 'detailed'];

/**
 * Starts looking at a defect again: in the round that runs already, or in one of its own, of the grade that asks for the
 * check.
 *
 * @returns the round; null where it was refused, with the reason said
 */
export function startProof(slice: Slice, defect: Defect): Id | null {
  const running = roundOfProof(slice, defect);
  if (running) return running.id;
  const entry = slice.get('entry', defect.entry);
  const of = entry ? entryListed(slice, entry).title : 'an entry';
  const id = device.id();
  const grade = (defect.check === null ? null : ruleOf(defect.check)?.grade) ?? 'detailed';
  const name = `Re-inspection of ${defect.check ?? 'an observation'}, ${of}`.slice(0, 80);
  return give('round.add', { id, name, grade, entries: [defect.entry], started: now(), closed: null }, '', defect.site) && id; // prettier-ignore
}
