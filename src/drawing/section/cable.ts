import { SECTION } from '../proportions';
import type { Dossier } from '../../core/rulebook/dossier';
import { rectangle, type Point } from '../shapes';
import type { SectionFacts } from './facts';
import { type Geometry } from './geometry';
import type { Pen } from './pen';

/** Sheaths as measured, up to where they are cut. */
export function drawSheaths(pen: Pen, { size, cable }: Dossier, g: Geometry): void {
  const end = g.nut[1] + SECTION.cableMm;
  pen.polygon('sheath-outer', rectangle(g.sheathCut, -g.outerR, end, g.outerR), 'outer-sheath');
  const shape = cable?.shape ?? 'round';
  pen.polygon(
    'sheath-inner',
    rectangle(g.innerCut, -g.innerR, end, g.innerR),
    size?.inner ? 'inner-sheath' : undefined,
  );
  if (shape !== 'round') pen.label(`${shape} cable`, [end - 1, -g.outerR - 2], 'end');
}

/** Cores from the sheath, through the pot where there is one, to the tails in the box. */
export function drawCores(pen: Pen, { cable }: Dossier, m: SectionFacts, g: Geometry): void {
  const total = (cable?.cores ?? []).reduce((sum, { count }) => sum + count, 0);
  const drawn = Math.min(Math.max(total, 1), SECTION.mostCores);
  const end = g.nut[1] + SECTION.cableMm;
  const bundle = Math.min(((m.overCoresMm ?? g.innerR * 1.72) / 2) * 0.98, g.innerR * 0.92);
  const band = (2 * bundle) / drawn;
  const half = band * 0.42;
  // In a pot the cores stand apart, so that compound surrounds each of them.
  const potR = g.pot ? Math.min(g.pot.boreR * 0.86, bundle * 1.35) : bundle;
  const tip = Math.min(0, g.tip, g.pot?.far ?? 0, g.innerCut - 1) - 3;
  const spread = Math.min(g.glandMajorR * 1.7, g.innerR + drawn * 1.6);
  const from = g.innerCut;
  for (let i = 0; i < drawn; i++) {
    const share = drawn === 1 ? 0 : -1 + (2 * i) / (drawn - 1);
    const y = drawn === 1 ? 0 : share * (bundle - band / 2);
    const potY = drawn === 1 ? 0 : share * (potR - half);
    const tailY = share * spread;
    const spine: Point[] = [[-SECTION.tailMm, tailY], [-SECTION.tailMm * 0.6, tailY], [tip, potY], [from - 3, potY], [from, y], [end, y]]; // prettier-ignore
    const up = spine.map(([x, yy]): Point => [x, yy - half]);
    const down = spine.map(([x, yy]): Point => [x, yy + half]).reverse();
    pen.polygon('core', [...up, ...down], g.pot ? 'over-cores' : undefined, i);
    const wire = half * 0.55;
    pen.polygon('conductor', rectangle(-SECTION.tailMm - 6, tailY - wire, -SECTION.tailMm, tailY + wire));
  }
  if (m.seen('conductors') === 'scored') {
    const y = -bundle;
    pen.line('dimension', [[from - 2, y - 1.5], [from - 0.6, y + 1.5]]); // prettier-ignore
    pen.label('scored', [from - 2, y - 3], 'end');
  }
}
