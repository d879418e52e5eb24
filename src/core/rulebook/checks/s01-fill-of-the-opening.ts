import { sealantNeed } from '../../transit/sealant';
import { sealantOpening } from '../transit-sealed';
import { type Check, saying } from '../check';
import { overOpenings, rule, measured } from '../sealant-openings';

type OfFill = { opening: string; fillPct: number; mostPct: number };

/** What it says, and the facts of each. */
type Says = {
  's01.fill': OfFill;
  's01.full': OfFill;
  's01.wraps': OfFill;
};
const { conforms, fails } = saying<Says>();

/** Cables take no more of the opening than the sheet allows; none is left out. */
export const s01: Check = rule(
  {
    id: 'S-01',
    place: null,
    basis: { 'iec-2013': 'Assembly sheet, fill; IEC 60079-14:2013, 9.6.4', certificate: true },
  },
  (context) =>
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
