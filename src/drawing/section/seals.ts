import { SECTION } from '../proportions';
import type { Stage } from '../../core/makeoff/stage';
import type { Dossier } from '../../core/rulebook/dossier';
import type { Point } from '../shapes';
import type { SectionFacts } from './facts';
import { housingR, type Geometry } from './geometry';
import type { Pen } from './pen';

/** Seals: each touches its sheath only where the sheath, as measured, fills its range. */
export function drawSeals(pen: Pen, { size }: Dossier, m: SectionFacts, g: Geometry, stage: Stage): void {
  if (g.innerSeal && size?.inner && stage.innerSeal) {
    pen.ring(
      'rubber',
      g.innerSeal,
      sealBore(g.innerR, size.inner.rangeMm),
      housingR(g.innerR),
      'inner-sheath',
    );
  }
  if (g.diaphragm && stage.innerSeal) drawDiaphragm(pen, m, g, size?.inner?.rangeMm ?? null);
  const outer = size ? sealBore(g.outerR, size.outer.rangeMm) : g.outerR;
  pen.shifted(stage.nut ? 0 : SECTION.slippedMm, () =>
    pen.ring('rubber', g.outerSeal, outer, housingR(g.outerR), 'outer-sheath'),
  );
  if (m.seen('outer-bare') === 'no') {
    const [from, to] = g.outerSeal;
    for (const side of [-1, 1]) {
      const y = side * (g.outerR + 0.5);
      pen.line('void', [[from - 2, y], [to + 2, y]], { width: 2.5 }); // prettier-ignore
    }
    pen.label('something under the seal', [to + 3, -g.outerR - 3], 'start');
  }
}

const sealBore = (cableR: number, range: readonly [number, number] | null): number =>
  range ? Math.min(Math.max(cableR, range[0] / 2), range[1] / 2) : cableR;

/** A thin disc of rubber whose lip lies back along the sheath; it is not squeezed. */
function drawDiaphragm(
  pen: Pen,
  m: SectionFacts,
  g: Geometry,
  range: readonly [number, number] | null,
): void {
  const [from, to] = g.diaphragm!;
  const r = range ? sealBore(g.innerR, range) : g.innerR;
  const housing = housingR(g.innerR);
  const thick = 1.5;
  const seen = m.seen('diaphragm-lip');
  const root: Point[] = [[to - thick * 1.6, -housing], [to, -housing], [to, -r - thick], [to - thick * 1.6, -r - thick]]; // prettier-ignore
  pen.both('rubber', root, 'inner-sheath');
  if (seen === 'cut') {
    // The lip is gone: what is left ends above the sheath.
    pen.label('lip cut', [to - 1, housing + 5], 'middle');
    return;
  }
  const lip: Point[] =
    seen === 'folded'
      ? [[to, -r - thick], [to + 2.5, -r - thick * 2], [to + 2.5, -r], [to - thick * 1.6, -r - thick]]
      : [[to, -r - thick], [to, -r], [from, -r], [from + 0.8, -r - thick * 0.7], [to - thick * 1.6, -r - thick]]; // prettier-ignore
  pen.both('rubber', lip, 'inner-sheath');
}
