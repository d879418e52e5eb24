import {
  CABLE_COLD_C,
  UNMARKED_DEVICE_C,
  UNMARKED_GLAND_C,
  worstBranchTemperature,
  worstEntryTemperature,
  type WorstC,
} from '../../hazard/temperature';
import { atMost, below } from '../../quantity/compare';
import type { Range } from '../../record/types';
import { blank, type Check, type None, saying } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';

type OfPartTemperature = { part: string; maxC: number | null; worstC: number; from: string };

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e04.ambient-reversed': { area: string; coldestC: number; hottestC: number };
  'e04.ambient': { coldestC: number; hottestC: number; leastC: number; mostC: number; marked: boolean };
  'e01.no-size': { certificate: string; size?: string | null };
  'cable.none': None;
  'e04.suits': {
    coldestC: number;
    hottestC: number;
    leastC: number;
    mostC: number;
    marked: boolean;
    worstC: number;
    from: string;
    part: string;
    maxC: number | null;
  };
  'e04.too-hot': OfPartTemperature;
  'e04.too-cold': { part: string; minC: number; coldestC: number };
  'e04.cable-unknown': { cable: string };
  'e04.bound': OfPartTemperature;
  'e04.cable-cold': { cable: string; coldestC: number };
};
const { conforms, fails, marginal, unread } = saying<Says>();

/** Gland, seals, compound and cable bear the ambient, the temperature at the entry and that at the branching point. */
export const e04: Check = {
  id: 'E-04',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 5.6 and 9.3', certificate: true },
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const { area, certificate, size, cable } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!area.ambientC) return [blank('ambient-range', area.name, 'settle.area')];
    const [coldest, hottest] = area.ambientC;
    if (below(hottest, coldest))
      return [
        unread(
          'e04.ambient-reversed',
          { area: area.name, coldestC: coldest, hottestC: hottest },
          'settle.area',
        ),
      ];
    const { service, marked } = serviceOf(context);
    const [least, most] = service;
    const known = temperaturesOf(context);
    const worst = {
      entry: worstEntryTemperature(known, hottest),
      branch: worstBranchTemperature(known, hottest),
    };
    const aspects: Aspect[] = [];
    const parts = partsOf(context, service, worst, aspects);
    if (!atMost(least, coldest) || !atMost(hottest, most)) {
      const facts = { coldestC: coldest, hottestC: hottest, leastC: least, mostC: most, marked };
      aspects.push(fails('e04.ambient', facts));
    }
    for (const part of parts) bears(part, coldest, aspects);
    if (!size) aspects.push(unread('e01.no-size', { certificate: certificate.number }, 'settle.size'));
    if (cable) cableBears(context, area.ambientC, worst, aspects);
    else aspects.push(unread('cable.none', {}, 'settle.cable'));
    if (aspects.length > 0) return aspects;
    let weakest = parts[0]!;
    for (const part of parts) if (part.maxC < weakest.maxC) weakest = part;
    const byCable = cable!.maxC! < weakest.maxC;
    return [
      conforms('e04.suits', {
        coldestC: coldest,
        hottestC: hottest,
        leastC: least,
        mostC: most,
        marked,
        worstC: weakest.worst.worstC,
        from: weakest.worst.from,
        part: byCable ? 'cable' : weakest.part,
        maxC: byCable ? cable!.maxC : weakest.maxC,
      }),
    ];
  },
};

interface Part {
  part: string;
  maxC: number;
  minC: number;
  worst: WorstC;
}

/** The service range of the device: as marked, or what stands for it without a mark. */
function serviceOf(context: Context): { service: Range; marked: boolean } {
  const { serviceC } = context.certificate!;
  if (serviceC) return { service: serviceC, marked: true };
  const [low, high] = kindOf(context).transit ? UNMARKED_DEVICE_C : UNMARKED_GLAND_C;
  return { service: [low, high], marked: false };
}

/** What is known of the temperatures of an enclosure. */
export const temperaturesOf = ({ enclosure }: Pick<Context, 'enclosure'>) => ({
  markedC: enclosure.entryTemperatureC,
  branchC: enclosure.branchTemperatureC,
  measured: enclosure.measuredTemperature,
});

interface Worst {
  entry: WorstC;
  branch: WorstC;
}

/** Everything that has to bear the temperature; what nobody recorded is told in `aspects`. */
function partsOf(
  context: Context,
  [least, most]: Range,
  { entry, branch }: Worst,
  aspects: Aspect[],
): Part[] {
  const { certificate, size } = context;
  const parts: Part[] = [{ part: 'gland', maxC: most, minC: least, worst: entry }];
  if (size) {
    const { outer, inner } = size;
    for (const [part, seal] of [
      ['outer-seal', outer],
      ['inner-seal', inner],
    ] as const) {
      if (!seal) continue;
      const { maxC, minC } = seal;
      if (maxC === null) aspects.push(blank(`${part}-temperature`, size.size, 'settle.sheet'));
      else parts.push({ part, maxC, minC: minC ?? least, worst: entry });
    }
  }
  const { compound } = certificate!.sheet;
  // Compound lies round the cores, where they branch.
  const hotter = branch.worstC > entry.worstC && branch.from !== 'unmarked' ? branch : entry;
  if (compound) {
    parts.push({ part: 'compound', maxC: compound.maxC, minC: compound.minC ?? least, worst: hotter });
    if (branch.from === 'unmarked' && branch.worstC > entry.worstC)
      parts.push({ part: 'compound', maxC: compound.maxC, minC: compound.minC ?? least, worst: branch });
  }
  return parts;
}

function bears({ part, maxC, minC, worst }: Part, coldest: number, aspects: Aspect[]): void {
  if (!atMost(worst.worstC, maxC))
    aspects.push(fails('e04.too-hot', { part, maxC, worstC: worst.worstC, from: worst.from }));
  if (!atMost(minC, coldest)) aspects.push(fails('e04.too-cold', { part, minC, coldestC: coldest }));
}

/**
 * The cable bears entry and branching point. 70 and 80 °C where nothing is marked are bounds, not readings: a
 * cable between the ambient and the bound is a close call, which a measurement at full load settles.
 */
function cableBears(
  { cable }: Context,
  [coldest, hottest]: Range,
  { entry, branch }: Worst,
  aspects: Aspect[],
): void {
  const { maxC, minC } = cable!;
  if (maxC === null) {
    aspects.push(unread('e04.cable-unknown', { cable: cable!.tag }, 'settle.cable'));
    return;
  }
  for (const worst of [entry, branch]) {
    if (atMost(worst.worstC, maxC)) continue;
    const facts = { part: 'cable', maxC, worstC: worst.worstC, from: worst.from };
    const onlyBound = worst.from === 'unmarked' && atMost(hottest, maxC);
    aspects.push(onlyBound ? marginal('e04.bound', facts, 'settle.full-load') : fails('e04.too-hot', facts));
  }
  if (minC !== null && !atMost(minC, coldest))
    aspects.push(fails('e04.too-cold', { part: 'cable', minC, coldestC: coldest }));
  if (minC === null && below(coldest, CABLE_COLD_C))
    aspects.push(unread('e04.cable-cold', { cable: cable!.tag, coldestC: coldest }, 'settle.cable'));
}
