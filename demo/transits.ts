import type { DossierFields } from '../src/core/commands/commands';
import { KINDS } from '../src/core/kinds/kinds';
import type { KindId } from '../src/core/record/kind-ids';
import type { Frame, PackedBlock, PackedOpening, SealantSheet, TransitSheet } from '../src/core/record/types';
import { pack } from '../src/core/transit/pack/pack';
import type { Solve } from '../src/core/transit/pack/types';
import { freshBlock } from '../src/core/rulebook/transit-planned';
import { peel } from '../src/core/transit/peel';
import { type TransitSpec, entryId, type EntrySpec, type Script, type SiteSpec } from './spec';

/** Invented block series of Tarrane, in steps of 13 mm, and sealant of Dessel Yard; lengths mm. */
const BLOCKS: TransitSheet['blocks'] = [
  { sizeMm: 13, boreMm: 2.3, layerMm: 0.5, layersPerHalf: 7, keepLayers: 1, rangeMm: [2.7, 9.1] },
  { sizeMm: 26, boreMm: 7.7, layerMm: 0.6, layersPerHalf: 13, keepLayers: 1, rangeMm: [8.2, 22.1] },
  { sizeMm: 39, boreMm: 20.2, layerMm: 0.7, layersPerHalf: 11, keepLayers: 1, rangeMm: [20.9, 33.6] },
  { sizeMm: 52, boreMm: 31.1, layerMm: 0.8, layersPerHalf: 11, keepLayers: 1, rangeMm: [31.8, 46.3] },
];
const SEALANT: SealantSheet = {
  name: 'Dessel Yard sealant, clay grade', depthMm: 22, wastePct: 14, cartridgeMl: 295, maxFillPct: 38, cableGapMm: 11,
  wallGapMm: 13, sleeve: { outerMm: 29, innerMm: 18.5, lengthMm: 76 }, coreClearanceMm: 4.5,
}; // prettier-ignore

/** What the sheet of the bonded blocks asks of a cable, mm. */
const BONDED_BLOCK = {
  blockDepthMm: 58,
  braidMm: [21, 43] as [number, number],
  leastContactMm: 19,
  overhangMm: 11,
  toleranceMm: 1,
  window: false,
};

/** What the sheet of a kind of transit says. */
export const transitSheet = (kind: KindId): TransitSheet | null => {
  const of = KINDS[kind].transit;
  if (!of) return null;
  return {
    blocks: of === 'sealant' ? [] : BLOCKS,
    gapMm: [0.3, 1.5],
    maxLayerDifference: 1,
    stayPlateMm: 1.5,
    compressionMm: [19, 44],
    wedgeMm: [7, 13],
    relaxH: 31,
    bonded: KINDS[kind].transit === 'bonded' ? BONDED_BLOCK : null,
    shapes: ['round'],
    sealant: of === 'sealant' ? SEALANT : null,
  };
};

/** Tolerance of the demo's cables, mm. */
const TOLERANCE_MM = 0.12;
const WIRE_MM = 1.25;

const cableId = (spec: SiteSpec, entry: EntrySpec, o: number, i: number): string =>
  `${entryId(spec, entry)}-c${o + 1}${String(i + 1).padStart(2, '0')}`;

const mmOf = (cable: number | [number, number, number]): number =>
  typeof cable === 'number' ? cable : cable[0];

/** The cables of a transit. */
export function transitCables(spec: SiteSpec, entry: EntrySpec): DossierFields['cable'][] {
  const { from, to } = { from: 'Control room', to: `through ${entry.enclosure}` };
  const bonded = KINDS[entry.kind].transit === 'bonded';
  return entry.transit!.cables.flatMap((cables, o) =>
    cables.map((cable, i) => {
      const outerMm = mmOf(cable);
      const sheathMm = outerMm > 14 ? 1.5 : 1;
      const innerMm = Math.round((outerMm - 2 * sheathMm - (bonded ? 2 * WIRE_MM : 0)) * 100) / 100;
      return {
        id: cableId(spec, entry, o, i), tag: `C-${entry.enclosure}${entry.label}-${o + 1}${String(i + 1).padStart(2, '0')}`, from, to,
        lengthM: 30 + 3 * i, cores: [{ count: 4, areaMm2: 1.5, diameterMm: Math.max(1, innerMm / 3.5) }], shape: 'round' as const,
        coldFlow: false, innerMm, armour: bonded ? { type: 'wire' as const, sizeMm: WIRE_MM, material: 'steel' as const, areaMm2: null } : null,
        unarmoured: bonded ? null : { by: 'R. Tarn', on: '2026-01-15' }, sheathMm, outerMm, toleranceMm: TOLERANCE_MM,
        maxC: 90, minC: -30, screened: false, filling: 'filled' as const, breathing: null, mineral: null,
      }; // prettier-ignore
    }),
  );
}

/** No search for the best: the first complete packing will do for the demo. */
const FIRST: Solve = () => ({ status: 'unknown', value: () => 0 });

/** Records how a transit is packed, sound but for what its spec turns. */
export function addPacking(script: Script, spec: SiteSpec, entry: EntrySpec, at: string, by: string): void {
  const { found = (same: PackedOpening) => same } = entry.transit!;
  const openings =
    KINDS[entry.kind].transit === 'sealant' ? sealed(spec, entry, at, by) : blocked(spec, entry);
  const id = entryId(spec, entry);
  script.add('packing.set', { id, entry: id, openings: openings.map(found) }, at, by);
}

/** Three readings of a diameter, a little apart as a caliper reads them. */
const read = (mm: number): number[] => [-0.02, 0.01, 0].map((off) => Math.round((mm + off) * 100) / 100);

const sealed = (spec: SiteSpec, entry: EntrySpec, at: string, by: string): PackedOpening[] =>
  entry.transit!.openings.map(({ label }, o) => ({
    label, rows: [], wedgeMm: null, recessMm: [22.6, 23.1, 22.4], recessFarMm: entry.transit!.sides === 2 ? [22.9, 22.5, 23] : [],
    plug: false, packedAt: null,
    cables: entry.transit!.cables[o]!.map((cable, i) => {
      const [mm, xMm, yMm] = cable as [number, number, number];
      const instrument = `${spec.prefix}-caliper-07`;
      return { cable: cableId(spec, entry, o, i), xMm, yMm, readings: [{ readingsMm: read(mm), instrument, by, at }] };
    }),
  })); // prettier-ignore

function blocked(spec: SiteSpec, entry: EntrySpec): PackedOpening[] {
  const sheet = transitSheet(entry.kind)!;
  const bonded = KINDS[entry.kind].transit === 'bonded';
  const records = new Map(transitCables(spec, entry).map((cable) => [cable.id, cable]));
  const empty = {
    layers: null,
    readingsMm: [],
    instrument: null,
    readBy: null,
    readAt: null,
    others: [],
    daylight: null,
  };
  const side = (sizeMm: number, mm: number): PackedBlock['jacket'] => {
    const block = sheet.blocks.find((one) => one.sizeMm === sizeMm)!;
    const measured = { minMm: mm - 0.02, maxMm: mm + 0.01, meanMm: mm, expandedUncertaintyMm: 0.05 };
    const peeling = peel(block, sheet.gapMm, measured, sheet.maxLayerDifference)!;
    const instrument = `${spec.prefix}-caliper-07`;
    return { ...empty, layers: [...peeling.layers], readingsMm: read(mm), instrument, daylight: false };
  };
  const block = (widthMm: number, cable: string | null): PackedBlock => {
    const record = cable === null ? null : records.get(cable)!;
    const spare = { bondOhm: null, bondInstrument: null, bondAt: null };
    if (!record) return { cable: null, core: true, jacket: empty, armour: bonded ? empty : null, ...spare };
    const jacket = side(widthMm, record.outerMm!);
    const armour = bonded ? side(widthMm, record.innerMm! + 2 * WIRE_MM) : null;
    const bond = { bondOhm: 0.011, bondInstrument: `${spec.prefix}-ohm-02`, bondAt: null };
    return { cable, core: null, jacket, armour, ...(bonded ? bond : spare) };
  };
  return entry.transit!.openings.map(({ label }, o) => {
    const rows = packed(spec, entry, o).map(({ heightMm: height, columns }) => ({
      heightMm: height,
      plate: true,
      columns: columns.map((column) => ({
        widthMm: column.widthMm,
        blocks: column.blocks.map((cable) => block(column.widthMm, cable)),
      })),
    }));
    const nothing = { cables: [], recessMm: [], recessFarMm: [], plug: false, packedAt: null };
    return { label, rows, wedgeMm: 10.4, ...nothing };
  });
}

/** The rows of one opening as they are worked out. */
function packed(spec: SiteSpec, entry: EntrySpec, o: number) {
  const sheet = transitSheet(entry.kind)!;
  const { label, widthMm, heightMm } = entry.transit!.openings[o]!;
  const cables = entry.transit!.cables[o]!.map((cable, i) => {
    const mm = mmOf(cable);
    return { id: cableId(spec, entry, o, i), minMm: mm - TOLERANCE_MM, maxMm: mm + TOLERANCE_MM };
  });
  const { stayPlateMm: plateMm, compressionMm, blocks } = sheet;
  const openings = [{ id: label, widthMm, heightMm, plateMm, compressionMm }];
  const result = pack({ openings, blocks, cables, sparePct: 20 }, FIRST);
  if (!result.fits)
    throw new Error(`${entryId(spec, entry)} cannot be packed: ${JSON.stringify(result.reason)}`);
  return result.packing.openings[0]!.rows;
}

/** Changes the first block that holds a cable, or the first spare one, for which something holds. */
const firstBlock =
  (
    change: (block: PackedBlock, widthMm: number) => PackedBlock,
    spare = false,
    holds: (block: PackedBlock, widthMm: number) => boolean = () => true,
  ): NonNullable<TransitSpec['found']> =>
  (opening) => {
    let done = false;
    const rows = opening.rows.map((row) => ({
      ...row,
      columns: row.columns.map((column) => ({
        ...column,
        blocks: column.blocks.map((block) => {
          if (done || (block.cable === null) !== spare || !holds(block, column.widthMm)) return block;
          done = true;
          return change(block, column.widthMm);
        }),
      })),
    }));
    return { ...opening, rows };
  };
type Layers = [number, number];
const jacket = (
  change: (layers: Layers, widthMm: number) => Layers,
  holds: (layers: Layers, widthMm: number) => boolean = () => true,
) =>
  firstBlock(
    (block, widthMm) => ({
      ...block,
      jacket: { ...block.jacket, layers: change(block.jacket.layers!, widthMm) },
    }),
    false,
    (block, widthMm) => holds(block.jacket.layers!, widthMm),
  );
const both =
  (...all: NonNullable<TransitSpec['found']>[]): NonNullable<TransitSpec['found']> =>
  (opening) =>
    all.reduce((found, change) => change(found), opening);

/** Halves peeled unlike, the sum as it should be. */
const unequal = jacket(([a, b]) => [a - 2, b + 2]);
const perHalf = (widthMm: number): number => BLOCKS.find(({ sizeMm }) => sizeMm === widthMm)!.layersPerHalf;
/** The layer that must stay is gone from one half, the sum as it should be. */
const lastLayer = jacket(
  ([a, b], widthMm) => [perHalf(widthMm), a + b - perHalf(widthMm)],
  ([a, b], widthMm) => a + b >= perHalf(widthMm),
);
const tooWide = jacket(([a, b]) => [a - 2, b - 2]);
const tooTight = firstBlock((block) => ({ ...block, armour: { ...block.armour!, layers: block.armour!.layers!.map((n) => n + 2) as [number, number] } })); // prettier-ignore
/** Half of the rows are in, counted and looked at; the others lie ready, and nothing is read of them. */
const halfPacked: NonNullable<TransitSpec['found']> = (opening) => ({
  ...opening,
  wedgeMm: null,
  recessMm: [],
  recessFarMm: [],
  rows: opening.rows.map((row, i) => (i < Math.ceil(opening.rows.length / 2) ? row : asPlanned(row))),
});

/** A row that is planned only. */
const asPlanned = (row: PackedOpening['rows'][number]): PackedOpening['rows'][number] => ({
  ...row,
  plate: null,
  columns: row.columns.map((column) => ({
    ...column,
    blocks: column.blocks.map(({ cable, armour }) => freshBlock(cable, armour !== null)),
  })),
});
const noPlate: NonNullable<TransitSpec['found']> = (opening) => ({
  ...opening,
  rows: opening.rows.map((row, i) => (i === 0 ? { ...row, plate: false } : row)),
});
const wedge =
  (wedgeMm: number): NonNullable<TransitSpec['found']> =>
  (opening) => ({ ...opening, wedgeMm });
const noCore = firstBlock((block) => ({ ...block, core: false }), true);
const greaseOhm = firstBlock((block) => ({ ...block, bondOhm: 0.34 }));
/** A cable far from its record: measured, it is no diameter for its block. */
const swollen = firstBlock((block, widthMm) => ({ ...block, jacket: { ...block.jacket, readingsMm: [widthMm, widthMm + 0.02, widthMm - 0.01] } })); // prettier-ignore
const recess =
  (...recessMm: number[]): NonNullable<TransitSpec['found']> =>
  (opening) => ({ ...opening, recessMm });

const opening = (label: string, widthMm: number, heightMm: number): Frame['openings'][number] => ({ label, shape: 'rect', widthMm, heightMm }); // prettier-ignore
const MANY = [44, 36, 32, 24, 22, 18, 16, 13, 12, 11, 9.2, 8.4];
const SOME = [24, 18, 16, 12, 9];
/** Armour and jacket of each lie in the range of one block. */
const BONDED = [24, 18, 16, 12, 10.8];
const FULL = [12, 12.4, 11.8, 12.2, 13, 11.2];

const transit = (enclosure: string, label: string, kind: KindId, spec: TransitSpec, rest: Partial<EntrySpec> = {}): EntrySpec => ({
  enclosure, label, kind, size: '', read: 'all', transit: spec, ...rest,
}); // prettier-ignore
const block = (enclosure: string, label: string, kind: KindId, cables: number[], found?: TransitSpec['found'], rest: Partial<EntrySpec> = {}, heightMm = 233) =>
  transit(enclosure, label, kind, { openings: [opening('1', 156, heightMm)], cables: [cables], found }, rest); // prettier-ignore
const TB: KindId = 'transit-block';
const TX: KindId = 'transit-block-bonded';
const TC: KindId = 'transit-cabinet';
const TS: KindId = 'transit-sealant';
const ROUND: Frame['openings'] = [{ label: '1', shape: 'round', widthMm: 147, heightMm: 147 }];
const SQUARE = [opening('1', 274, 163)];
const ON_FACE: [number, number, number][] = [
  [24, 60, 60],
  [18, 110, 90],
  [30, 170, 70],
  [12, 210, 120],
];
const looks = (answers: Record<string, string>): Partial<EntrySpec> => ({ twist: { looks: answers } });

/** Transits of the extraction site, and what is wrong with them on purpose. */
export const TRANSITS: EntrySpec[] = [
  transit('TR-1', 'A', TB, { openings: [opening('1', 156, 407), opening('2', 156, 233)], cables: [MANY, SOME] }),
  block('TR-1', 'B', TB, SOME, unequal, { planted: ['T-03'] }),
  block('TR-2', 'A', TB, SOME, lastLayer, { planted: ['T-03', 'T-04'] }),
  block('TR-2', 'B', TB, MANY.slice(3), tooWide, { planted: ['T-02'] }),
  block('TR-2', 'C', TB, SOME, noPlate, { planted: ['T-05', 'T-08'], ...looks({ 'transit-cables': 'dry' }) }),
  block('TR-2', 'D', TB, FULL, wedge(19), { planted: ['T-06', 'T-07'] }, 53),
  transit('TR-3', 'A', TX, { openings: [opening('1', 156, 233), opening('2', 156, 233)], cables: [BONDED, [30, 19.6, 18.5]], where: 'deck' }),
  block('TR-3', 'B', TX, BONDED, greaseOhm, { planted: ['T-09'], ...looks({ braid: 'grease' }) }),
  block('TR-3', 'C', TX, BONDED, tooTight, { planted: ['T-02', 'T-09'], ...looks({ braid: 'paint' }) }),
  block('TR-3', 'D', TX, BONDED, swollen, { planted: ['T-01', 'T-02', 'T-10'], ...looks({ 'frame-fixed': 'gap' }) }),
  block('TR-1', 'C', TB, SOME, halfPacked, { read: 'none', work: 'packing' }),
  block('TR-3', 'E', TX, BONDED, halfPacked, { read: 'none', work: 'packing' }),
  block('CB-1', 'E', TC, SOME, halfPacked, { read: 'none', work: 'packing' }),
  transit('TR-4', 'G', TS, { openings: SQUARE, cables: [ON_FACE], found: halfPacked }, { read: 'none', work: 'packing' }),
  block('CB-1', 'A', TC, SOME),
  block('CB-1', 'B', TC, SOME, both(wedge(5), noCore), { planted: ['T-05', 'T-06'] }),
  block('CB-1', 'C', TC, FULL, swollen, { planted: ['T-01', 'T-02', 'T-05', 'T-07'], ...looks({ 'both-sides': 'one' }) }, 53),
  block('CB-1', 'D', TC, SOME, lastLayer, { planted: ['T-03', 'T-04', 'T-08', 'T-10'], ...looks({ 'frame-fixed': 'loose', 'transit-cables': 'loose' }) }),
  transit('TR-4', 'A', TS, { openings: SQUARE, cables: [ON_FACE] }),
  transit('TR-4', 'B', TS, { openings: SQUARE, cables: [ON_FACE], sides: 2, found: recess(20, 16, 19) }, { planted: ['S-03', 'S-05'], ...looks({ 'both-sides': 'one' }) }),
  transit('TR-4', 'C', TS, { openings: ROUND, cables: [[[48, -32, 0], [54, 20, 26], [50, 22, -30], [44, -24, -46]]] }, { planted: ['S-01', 'S-02'] }),
  transit('TR-4', 'D', TS, { openings: SQUARE, cables: [ON_FACE] }, { planted: ['S-04', 'S-06'], ...looks({ adhesion: 'lifts', 'sleeves-behind': 'bare' }) }),
  transit('TR-4', 'E', TS, { openings: ROUND, cables: [[[74, -30, 4], [64, 40, -8]]], found: recess(14, 15, 15) }, { planted: ['S-01', 'S-02', 'S-03'] }),
  transit('TR-4', 'F', TS, { openings: ROUND, cables: [[[20, -30, 10], [24, 30, -12]]], sides: 2 }, { planted: ['S-04', 'S-05', 'S-06'], ...looks({ adhesion: 'wall', 'both-sides': 'one', 'sleeves-behind': 'hollow' }) }),
]; // prettier-ignore

/** The one bonded frame of the small site. */
export const OXGATE_TRANSIT: EntrySpec = transit('OX-T1', 'A', TX, {
  openings: [opening('1', 156, 233)],
  cables: [BONDED],
});

/** A transit as it should be, instead of one that is wrong on purpose. */
export const soundTransit = ({ kind, transit: of }: EntrySpec): TransitSpec => {
  const { where, other, sides } = of!;
  if (KINDS[kind].transit === 'sealant') return { openings: SQUARE, cables: [ON_FACE], where, other, sides };
  const cables = KINDS[kind].transit === 'bonded' ? BONDED : SOME;
  return { openings: [opening('1', 156, 233)], cables: [cables], where, other, sides };
};

/** The frame of a transit's entry. */
export const frameOf = (spec: SiteSpec, { transit: of, kind }: EntrySpec): Frame | null =>
  of
    ? {
        where: of.where ?? 'wall', wallDepthMm: KINDS[kind].transit === 'sealant' ? 240 : 150, sides: of.sides ?? 1,
        otherArea: of.other ? `${spec.prefix}-${of.other}` : null, openings: of.openings,
      }
    : null; // prettier-ignore
