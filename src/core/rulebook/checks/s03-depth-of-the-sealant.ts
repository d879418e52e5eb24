import { below } from '../../quantity/compare';
import { type Check, saying } from '../check';
import type { Aspect } from '../../record/finding';
import { overOpenings, rule } from '../sealant-openings';

type OfWall = { opening: string; wallDepthMm: number; neededMm: number; sides: number; depthMm: number };
type OfDepth = { opening: string; side: string; depthMm: number; count: number; leastMm: number };

/** What it says, and the facts of each. */
type Says = {
  's03.wall': OfWall;
  's03.sleeves': OfWall;
  's03.shallow': OfDepth;
  's03.unread': { opening: string; side: string; count: number; depthMm: number };
  's03.deep': OfDepth;
};
const { conforms, fails, unread } = saying<Says>();

/** Points at which the depth of the sealant is measured at least, on each side. Chosen: three points show a slope. */
const RECESS_POINTS = 3;

/** The sealant is as deep as the sheet asks, at several points of every side, in a wall that is deep enough for it. */
export const s03: Check = rule(
  {
    id: 'S-03',
    place: null,
    basis: { 'iec-2013': 'Assembly sheet, depth of the sealant', certificate: true },
  },
  (context) =>
    overOpenings(context, ({ frame, packed }, sheet) => {
      const { sides, wallDepthMm } = context.entry.frame!;
      const own = side(frame.label, 'near', packed.recessMm, sheet.depthMm);
      const far = sides === 2 ? side(frame.label, 'far', packed.recessFarMm ?? [], sheet.depthMm) : [];
      const neededMm = sides * (sheet.sleeve.lengthMm + sheet.depthMm);
      const facts = { opening: frame.label, wallDepthMm, neededMm, sides, depthMm: sheet.depthMm };
      if (!below(wallDepthMm, neededMm)) return [...own, ...far];
      // Sleeves can be cut shorter; sealant cannot.
      return below(wallDepthMm, sides * sheet.depthMm)
        ? [...own, ...far, fails('s03.wall', facts)]
        : [...own, ...far, unread('s03.sleeves', facts, 'settle.sleeves')];
    }),
);

function side(opening: string, of: 'near' | 'far', recessMm: readonly number[], depthMm: number): Aspect[] {
  const facts = { opening, side: of, depthMm, count: recessMm.length, leastMm: Math.min(...recessMm) };
  if (recessMm.some((mm) => below(mm, depthMm))) return [fails('s03.shallow', facts)];
  if (recessMm.length < RECESS_POINTS) {
    return [unread('s03.unread', { opening, side: of, count: recessMm.length, depthMm }, 'settle.recess')];
  }
  return [conforms('s03.deep', facts)];
}
