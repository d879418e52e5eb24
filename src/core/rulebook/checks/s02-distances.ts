import { below } from '../../quantity/compare';
import { leastDistances } from '../transit-sealed';
import { type Check, saying } from '../check';
import type { Aspect } from '../../record/finding';
import { overOpenings, rule, measured } from '../sealant-openings';

type OfCables = { opening: string; cable: string; apartMm: number; leastMm: number };

/** What it says, and the facts of each. */
type Says = {
  's02.cables': OfCables;
  's02.wall': OfCables;
  's02.kept': { opening: string; apartMm: number; wallMm: number };
};
const { conforms, fails } = saying<Says>();

/** Cables keep the sheet's distances from each other and from the wall. */
export const s02: Check = rule(
  { id: 'S-02', place: null, basis: { 'iec-2013': 'Assembly sheet, distances', certificate: true } },
  (context) =>
    overOpenings(context, (opening, { cableGapMm, wallGapMm }) => {
      const { frame } = opening;
      const { cables: placed, open } = measured(opening);
      const { cables, wall } = leastDistances(frame, placed);
      const tag = (id: string) => context.transit!.cables.get(id)?.tag ?? id;
      const aspects: Aspect[] = [...open];
      if (cables && below(cables.mm, cableGapMm)) {
        const names = cables.ids.map(tag).join(' and ');
        aspects.push(
          fails('s02.cables', {
            opening: frame.label,
            cable: names,
            apartMm: cables.mm,
            leastMm: cableGapMm,
          }),
        );
      }
      if (wall && below(wall.mm, wallGapMm)) {
        aspects.push(
          fails('s02.wall', {
            opening: frame.label,
            cable: tag(wall.id),
            apartMm: wall.mm,
            leastMm: wallGapMm,
          }),
        );
      }
      if (aspects.length > 0) return aspects;
      return [
        conforms('s02.kept', {
          opening: frame.label,
          apartMm: cables?.mm ?? cableGapMm,
          wallMm: wall?.mm ?? wallGapMm,
        }),
      ];
    }),
);
