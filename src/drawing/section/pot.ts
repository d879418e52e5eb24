import { SECTION } from '../proportions';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { rectangle } from '../shapes';
import { bubbles } from './body';
import type { SectionFacts } from './facts';
import type { Geometry } from './geometry';
import type { Pen } from './pen';

/** The filling of a pot: empty until it is packed, then as far as it was found to reach. */
export function drawPot(pen: Pen, dossier: Dossier, m: SectionFacts, g: Geometry): void {
  const { pot } = g;
  if (!pot) return;
  const [from, to] = pot.span;
  const resin = kindOf(dossier).pot === 'resin';
  if (resin) drawDam(pen, m, g);
  if (!m.packed) {
    pen.line('dimension', [[from, -pot.boreR], [to, -pot.boreR], [to, pot.boreR], [from, pot.boreR], [from, -pot.boreR]], { dashed: true }); // prettier-ignore
    pen.label(resin ? 'no resin yet' : 'not packed yet', [to + 4, g.bodyR + 7], 'start', true);
    return;
  }
  if (resin) return fillWithResin(pen, m, g);
  const inBore = Math.max(pot.far, from);
  pen.polygon('compound', rectangle(inBore, -pot.boreR, to, pot.boreR), 'compound-reach');
  // What reaches out of the pot stands free in the box.
  if (pot.far < from) {
    const r = pot.boreR * 0.82;
    pen.polygon('compound', rectangle(pot.far, -r, from, r), 'compound-reach');
  }
}

/** Voids that were seen in the cured face, over the cores so that they show. */
export function drawVoids(pen: Pen, m: SectionFacts, { pot }: Geometry): void {
  if (!pot || m.seen('compound-face') !== 'voids') return;
  for (const bubble of bubbles(pot.far, pot.span[1], pot.boreR))
    pen.polygon('void', bubble, 'compound-reach');
}

/** What was pressed on the sheath beside the gland: the witness of hardness. */
export function drawWitness(pen: Pen, m: SectionFacts, g: Geometry): void {
  const seen = m.seen('compound-witness');
  if (seen === null || seen === 'none') return;
  const at = g.nut[1] + 20;
  pen.polygon('compound', [[at - 4, -g.outerR], [at - 2.5, -g.outerR - 2.4], [at + 2.5, -g.outerR - 2.4], [at + 4, -g.outerR]]); // prettier-ignore
  pen.label(
    seen === 'hard' ? 'surplus, hard' : 'surplus, soft',
    [at + 11, -g.outerR - 4.5],
    'end',
    seen === 'hard',
  );
}

function drawDam(pen: Pen, m: SectionFacts, { pot, bodyR }: Geometry): void {
  if (m.seen('resin-dam') === 'dam') return;
  const [from] = pot!.span;
  pen.polygon('dam', rectangle(from, -pot!.boreR, from + SECTION.damMm, pot!.boreR), 'resin-dam');
  pen.line('dimension', [[from + SECTION.damMm / 2, pot!.boreR - 1], [-2, bodyR + 6]], {}); // prettier-ignore
  pen.label('fibre dam', [-2.5, bodyR + 8], 'end', true);
}

function fillWithResin(pen: Pen, m: SectionFacts, { pot, bodyR }: Geometry): void {
  const [from, to] = pot!.span;
  const short = m.seen('resin-dam') === 'short';
  const lost = m.seen('resin-dam') === 'dam';
  // A fill that was not seen at the vent leaves the top of the chamber open.
  const top = short ? -pot!.boreR * 0.35 : -pot!.boreR;
  const start = lost ? from - 8 : from + SECTION.damMm;
  pen.polygon('resin', rectangle(start, top, to, pot!.boreR), 'resin-dam');
  if (short) pen.label('not filled to the vent', [to + 4, bodyR + 7], 'start');
  if (lost) pen.label('dam missing, resin runs into the box', [to + 4, bodyR + 7], 'start');
}
