import { below } from '../../quantity/compare';
import type { SealantSheet } from '../../record/types';
import { sealantNeed } from '../../transit/sealant';
import { leastDistances, sealantOpening } from '../transit-sealed';
import { conforms, fails, unread, type Check } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeLook } from '../look';
import type { OpeningState } from '../transit-records';
import { bothSides, diameterOpen, noRecord, openings, packedOf } from './t-blocks';

/** A rule over every opening that is closed with sealant; a hole that nobody closed leaves it open. */
const overOpenings = (
  context: Context,
  judge: (opening: OpeningState, sheet: SealantSheet) => Aspect[],
): Aspect[] => {
  const none = noRecord(context);
  if (none) return [none];
  const { sealant } = context.certificate!.sheet.transit!;
  if (!sealant) return [unread('t.no-sheet', { sheet: context.certificate!.sheet.number }, 'settle.sheet')];
  return [...openings(context), ...packedOf(context).flatMap((opening) => judge(opening, sealant))];
};

const rule = (
  id: string,
  title: string,
  place: string | null,
  run: Check['run'],
  grade: Check['grade'] = 'close',
): Check => ({ id, title, grade, hazard: 'explosion', place, consequence: () => 3, run });

/** The cables of an opening as measured, and what is open about them. */
function measured({ frame, sealed: cables }: OpeningState) {
  const open = cables.flatMap(({ open: why, id, cable }): Aspect[] => {
    const facts = { opening: frame.label, row: 1, cable: cable?.tag ?? id, side: 'jacket' };
    if (!cable) return [unread('s.no-record', facts, 'settle.cable')];
    return diameterOpen({ open: why, cable: null }, facts)
      ? [diameterOpen({ open: why, cable: null }, facts)!]
      : [];
  });
  return { cables, open };
}

/** Cables take no more of the opening than the sheet allows; none is left out. */
export const s01: Check = rule('S-01', 'Fill of the opening', null, (context) =>
  overOpenings(context, (opening, sheet) => {
    const { frame } = opening;
    const { cables, open } = measured(opening);
    const need = sealantNeed({
      opening: sealantOpening(frame),
      cablesMm: cables.map(({ diameterMm }) => diameterMm),
      depthMm: sheet.depthMm,
      sides: context.entry.frame!.sides,
      wallDepthMm: context.entry.frame!.wallDepthMm,
      wastePct: sheet.wastePct,
      cartridgeMl: sheet.cartridgeMl,
      sleeve: sheet.sleeve,
      maxFillPct: sheet.maxFillPct,
    });
    const facts = { opening: frame.label, fillPct: need.fillPct, mostPct: sheet.maxFillPct };
    const fill = need.fillConforms ? conforms('s01.fill', facts) : fails('s01.full', facts);
    return need.fits ? [fill, ...open] : [fill, fails('s01.wraps', facts), ...open];
  }),
);

/** Cables keep the sheet's distances from each other and from the wall. */
export const s02: Check = rule('S-02', 'Distances', null, (context) =>
  overOpenings(context, (opening, { cableGapMm, wallGapMm }) => {
    const { frame } = opening;
    const { cables: placed, open } = measured(opening);
    const { cables, wall } = leastDistances(frame, placed);
    const tag = (id: string) => context.transit!.cables.get(id)?.tag ?? id;
    const aspects: Aspect[] = [...open];
    if (cables && below(cables.mm, cableGapMm)) {
      const names = cables.ids.map(tag).join(' and ');
      aspects.push(
        fails('s02.cables', { opening: frame.label, cable: names, apartMm: cables.mm, leastMm: cableGapMm }),
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

/** Points at which the depth of the sealant is measured at least, on each side. */
const RECESS_POINTS = 3;

/** The sealant is as deep as the sheet asks, at several points of every side, in a wall that is deep enough for it. */
export const s03: Check = rule('S-03', 'Depth of the sealant', null, (context) =>
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

/** It holds to cables and wall. */
export const s04: Check = rule('S-04', 'Adhesion', 'adhesion', (context) => [judgeLook(context, 'adhesion')]);
/** Both sides are closed, as the sheet asks. */
export const s05: Check = rule('S-05', 'Both sides', 'both-sides', (context) => [bothSides(context)]);
/** What lies behind the sealant was looked at before it was closed. */
export const s06: Check = rule(
  'S-06',
  'Behind the sealant',
  'sleeves-behind',
  (context) => [judgeLook(context, 'sleeves-behind')],
  'detailed',
);
