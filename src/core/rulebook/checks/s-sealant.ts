import { below } from '../../quantity/compare';
import { sealantNeed } from '../../transit/sealant';
import { leastDistances, placedIn, sealantOpening } from '../../transit/sealed';
import { conforms, fails, unread, type Check } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../finding';
import { judgeLook } from '../look';
import type { OpeningState } from '../transit-records';
import type { SealantSheet } from '../../record/types';
import { noRecord } from './t-blocks';

/** A rule over every opening that is closed with sealant. */
const overOpenings = (
  context: Context,
  judge: (opening: OpeningState, sheet: SealantSheet) => Aspect[],
): Aspect[] => {
  const none = noRecord(context);
  if (none) return [none];
  const { sealant } = context.certificate!.sheet.transit!;
  if (!sealant) return [unread('t.no-sheet', { sheet: context.certificate!.sheet.number }, 'settle.sheet')];
  return context.transit!.openings.flatMap((opening) => judge(opening, sealant));
};

const rule = (
  id: string,
  title: string,
  place: string | null,
  run: Check['run'],
  grade: Check['grade'] = 'close',
): Check => ({ id, title, grade, hazard: 'explosion', place, consequence: () => 3, run });

/** Cables take no more of the opening than the sheet allows. */
export const s01: Check = rule('S-01', 'Fill of the opening', null, (context) =>
  overOpenings(context, ({ frame, packed }, sheet) => {
    const cables = placedIn(packed, context.transit!.cables);
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
    return need.fits ? [fill] : [fill, fails('s01.wraps', facts)];
  }),
);

/** Cables keep the sheet's distances from each other and from the wall. */
export const s02: Check = rule('S-02', 'Distances', null, (context) =>
  overOpenings(context, ({ frame, packed }, { cableGapMm, wallGapMm }) => {
    const { cables, wall } = leastDistances(frame, placedIn(packed, context.transit!.cables));
    const tag = (id: string) => context.transit!.cables.get(id)?.tag ?? id;
    const aspects: Aspect[] = [];
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

/** Points at which the depth of the sealant is measured at least. */
const RECESS_POINTS = 3;

/** The sealant is as deep as the sheet asks, at several points. */
export const s03: Check = rule('S-03', 'Depth of the sealant', null, (context) =>
  overOpenings(context, ({ frame, packed }, { depthMm }) => {
    const facts = {
      opening: frame.label,
      depthMm,
      count: packed.recessMm.length,
      leastMm: Math.min(...packed.recessMm),
    };
    if (packed.recessMm.some((mm) => below(mm, depthMm))) return [fails('s03.shallow', facts)];
    if (packed.recessMm.length < RECESS_POINTS) {
      return [
        unread(
          's03.unread',
          { opening: frame.label, count: packed.recessMm.length, depthMm },
          'settle.recess',
        ),
      ];
    }
    return [conforms('s03.deep', facts)];
  }),
);

/** It holds to cables and wall. */
export const s04: Check = rule('S-04', 'Adhesion', 'adhesion', (context) => [judgeLook(context, 'adhesion')]);
/** Both sides are closed, as the sheet asks. */
export const s05: Check = rule('S-05', 'Both sides', 'both-sides', (context) => [
  judgeLook(context, 'both-sides'),
]);
/** What lies behind the sealant was looked at before it was closed. */
export const s06: Check = rule(
  'S-06',
  'Behind the sealant',
  'sleeves-behind',
  (context) => [judgeLook(context, 'sleeves-behind')],
  'detailed',
);
