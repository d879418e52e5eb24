import { cableOn, type BlockState, type SideFault } from '../../core/rulebook/transit-found';
import { peel, type MeasuredCable } from '../../core/transit/peel';
import { UNREAD } from '../../core/rulebook/transit-planned';
import { atMost } from '../../core/quantity/compare';
import type { TransitBlock, TransitSheet } from '../../core/record/types';
import { figure } from '../../core/words/en/format';

export const FAULT_WORDS: Record<SideFault, string> = {
  range: 'the block does not take this cable',
  wide: 'gap too wide: peel more',
  tight: 'gap too tight: too much is peeled',
  difference: 'the halves differ too much',
  'last-layer': 'the layer that must stay is gone',
  daylight: 'daylight',
};

/** A block in a few words, for its label. */
export function blockWords({ widthMm, block, cable, sides }: BlockState): string {
  const size = `block ${figure(widthMm, 0)} mm`;
  if (block.cable === null) {
    return `${size}, spare${block.core === false ? ', core missing' : block.core === null ? ', core not looked at' : ''}`;
  }
  const faults = sides.flatMap(({ side, faults: own }) =>
    own.map((fault) => `${sides.length > 1 ? `${side} side: ` : ''}${FAULT_WORDS[fault]}`),
  );
  const layers = sides.map(({ layers: own }) => (own ? own.join(' + ') : 'not counted')).join('; ');
  return `${size}, cable ${cable?.tag ?? block.cable}, layers ${layers}${faults.length > 0 ? `, ${faults.join(', ')}` : ''}`;
}

export interface DropVerdict {
  good: boolean;
  words: string;
}

/** Whether a cable fits another block, and what it asks for there. */
export function verdictFor(
  from: BlockState | undefined,
  to: BlockState | undefined,
  sheet: TransitSheet,
): DropVerdict | null {
  if (!from?.cable || !to) return null;
  const said = fitWords(from, to, sheet);
  if (!to.cable) return said;
  const back = fitWords(to, from, sheet);
  return { good: said.good && back.good, words: `${said.words} In exchange: ${back.words}` };
}

/** Layers that a cable asks for in a block, or why it does not fit. */
function fitWords(from: BlockState, to: BlockState, sheet: TransitSheet): DropVerdict {
  const { tag } = from.cable!;
  const block = to.sheet;
  const size = `${figure(to.widthMm, 0)} mm`;
  if (!block) return { good: false, words: `The sheet has no block of ${size}.` };
  const sides = from.block.armour ? (['jacket', 'armour'] as const) : (['jacket'] as const);
  const parts: string[] = [];
  for (const side of sides) {
    // As it was measured where it sits; a block that the sheet does not name has only the record.
    const known = from.sides.find((one) => one.side === side);
    const { cable } = known ?? cableOn(side, UNREAD, from.cable, new Map(), { by: '', at: '' });
    if (!cable) return { good: false, words: `The diameter of ${tag} is not known.` };
    const { minMm, maxMm, expandedUncertaintyMm: u } = cable;
    if (!atMost(block.rangeMm[0], minMm - u))
      return { good: false, words: `${tag} is too thin for a block of ${size}.` };
    if (!atMost(maxMm + u, block.rangeMm[1]))
      return { good: false, words: `${tag} is too thick for a block of ${size}.` };
    const peeling = peel(block, sheet.gapMm, cable, sheet.maxLayerDifference);
    if (!peeling) return { good: false, words: `No number of layers fits ${tag} in a block of ${size}.` };
    parts.push(`${peeling.layers.join(' + ')} layers, gap ${figure(peeling.gapMm, 1)} mm`);
  }
  return { good: true, words: `${tag} fits a block of ${size}: ${parts.join('; armour side ')}.` };
}

/** Whether the next smaller or larger block would take a cable that finds no number of layers in this one. */
export function neighbourWords(sheet: TransitSheet, widthMm: number, cable: MeasuredCable): string {
  const { minMm, maxMm, expandedUncertaintyMm: u } = cable;
  const takes = (block: TransitBlock | undefined): boolean =>
    block !== undefined &&
    atMost(block.rangeMm[0], minMm - u) &&
    atMost(maxMm + u, block.rangeMm[1]) &&
    peel(block, sheet.gapMm, cable, sheet.maxLayerDifference) !== null;
  const sorted = [...sheet.blocks].sort((a, b) => a.sizeMm - b.sizeMm);
  const smaller = sorted.filter(({ sizeMm }) => sizeMm < widthMm).at(-1);
  const larger = sorted.find(({ sizeMm }) => sizeMm > widthMm);
  const fitting = [smaller, larger].filter(takes).map((block) => `one of ${figure(block!.sizeMm, 0)} mm`);
  return fitting.length > 0
    ? `${fitting.join(' or ')} would do.`
    : 'nor would the next smaller or larger one.';
}
