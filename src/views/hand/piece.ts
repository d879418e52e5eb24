import type { Workpiece } from '../../core/instrument/caliper';
import { threadOf } from '../../core/gland/thread-table';
import { KINDS } from '../../core/kinds/kinds';
import type { Dossier } from '../../core/rulebook/dossier';
import { gapScale } from '../../core/rulebook/gap-scale';
import { valueTaskOf } from '../../core/rulebook/value-task';

/** Something between the jaws: its mean diameter and how far it is out of round, mm. */
export const pieceOf = (meanMm: number, ovalMm: number): Workpiece => ({
  minorMm: Math.max(meanMm - ovalMm / 2, 0.01),
  majorMm: meanMm + ovalMm / 2,
});

/** What an instrument meets when nobody says otherwise: what the record promises, in the place's unit. */
export function nominalOf(dossier: Dossier, place: string): number {
  const { cable, enclosure, size, entry } = dossier;
  const [count, core] = [cable?.cores[0]?.count ?? 4, cable?.cores[0]?.diameterMm ?? 4];
  switch (place) {
    case 'inner-sheath':
      return cable?.innerMm ?? 15;
    case 'over-cores':
      return core * (count === 1 ? 1 : count < 4 ? 2.1 : count < 6 ? 2.5 : 3);
    case 'armour':
      return KINDS[entry.kind].armour === 'gripped' && cable?.outerMm != null && cable.sheathMm !== null
        ? cable.outerMm - 2 * cable.sheathMm
        : (cable?.armour?.sizeMm ?? 1.2);
    case 'armour-length':
      return size?.armourLengthMm ? (size.armourLengthMm[0] + size.armourLengthMm[1]) / 2 : 18;
    case 'inner-proud':
      return (size?.innerProudMm ?? 5) + 2;
    case 'compound-reach':
      return 14;
    case 'back-nut-gap':
      return Math.max(gapScale(dossier)?.nut.gapMm ?? 4, 0.1);
    case 'thread-engagement':
      return Math.max((enclosure.wallMm ?? 5) - 1, 1);
    case 'thread-pitch':
      return threadOf(size?.thread ?? '')?.pitchMm ?? 1.5;
    case 'thread-major':
      return (threadOf(size?.thread ?? '')?.nominalMm ?? 20) - 0.15;
    default:
      return jointMiddle(dossier, place) ?? cable?.outerMm ?? 20;
  }
}

/** The middle of what a joint asks for; null for another place. */
function jointMiddle(dossier: Dossier, place: string): number | null {
  const task = valueTaskOf(dossier, place);
  return task?.low != null && task.high !== null ? (task.low + task.high) / 2 : null;
}
