import type { DossierFields } from '../src/core/record/commands';
import { KINDS } from '../src/core/record/kinds';
import type { KindId } from '../src/core/record/kind-ids';
import type { Frame, PackedBlock, PackedOpening, SealantSheet, TransitSheet } from '../src/core/record/types';
import { pack } from '../src/core/transit/pack/pack';
import type { Solve } from '../src/core/transit/pack/types';
import { peel } from '../src/core/transit/peel';
import { type TransitSpec, entryId, type EntrySpec, type Script, type SiteSpec } from './spec';

/** Invented block series of Tarrane, and sealant of Dessel Yard; lengths mm. */
const BLOCKS: TransitSheet['blocks'] = [
  { sizeMm: 15, boreMm: 2.5, layerMm: 0.5, layersPerHalf: 9, keepLayers: 1, rangeMm: [3, 10.5] },
  { sizeMm: 20, boreMm: 3.5, layerMm: 0.5, layersPerHalf: 12, keepLayers: 1, rangeMm: [4, 14.5] },
  { sizeMm: 30, boreMm: 9.5, layerMm: 0.6, layersPerHalf: 14, keepLayers: 1, rangeMm: [10, 25] },
  { sizeMm: 40, boreMm: 20, layerMm: 0.7, layersPerHalf: 11, keepLayers: 1, rangeMm: [20.5, 34] },
  { sizeMm: 60, boreMm: 27, layerMm: 0.8, layersPerHalf: 18, keepLayers: 1, rangeMm: [28, 54] },
];
const SEALANT: SealantSheet = {
  name: 'Dessel Yard sealant S1', depthMm: 20, wastePct: 12, cartridgeMl: 310, maxFillPct: 40, cableGapMm: 12,
  wallGapMm: 12, sleeve: { outerMm: 30, innerMm: 19, lengthMm: 80 }, coreClearanceMm: 4,
}; // prettier-ignore

/** What the sheet of a kind of transit says. */
export const transitSheet = (kind: KindId): TransitSheet | null => {
  const of = KINDS[kind].transit;
  if (!of) return null;
  return {
    blocks: of === 'sealant' ? [] : BLOCKS,
    gapMm: [0.2, 1.2],
    maxLayerDifference: 1,
    stayPlateMm: 1,
    compressionMm: [20, 45],
    wedgeMm: [8, 14],
    relaxH: 24,
    sealant: of === 'sealant' ? SEALANT : null,
  };
};

/** Tolerance of the demo's cables, mm. */
const TOLERANCE_MM = 0.2;
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
        maxC: 90, filling: 'filled' as const, breathing: null, mineral: null,
      }; // prettier-ignore
    }),
  );
}

/** No search for the best: the first complete packing will do for the demo. */
const FIRST: Solve = () => ({ status: 'unknown', value: () => 0 });

/** Records how a transit is packed, sound but for what its spec turns. */
export function addPacking(script: Script, spec: SiteSpec, entry: EntrySpec, at: string, by: string): void {
  const { found = (same: PackedOpening) => same } = entry.transit!;
  const openings = KINDS[entry.kind].transit === 'sealant' ? sealed(spec, entry) : blocked(spec, entry);
  const id = entryId(spec, entry);
  script.add('packing.set', { id, entry: id, openings: openings.map(found) }, at, by);
}

const sealed = (spec: SiteSpec, entry: EntrySpec): PackedOpening[] =>
  entry.transit!.openings.map(({ label }, o) => ({
    label, rows: [], wedgeMm: null, recessMm: [20.5, 21, 20],
    cables: entry.transit!.cables[o]!.map((cable, i) => {
      const [, xMm, yMm] = cable as [number, number, number];
      return { cable: cableId(spec, entry, o, i), xMm, yMm };
    }),
  })); // prettier-ignore

function blocked(spec: SiteSpec, entry: EntrySpec): PackedOpening[] {
  const sheet = transitSheet(entry.kind)!;
  const bonded = KINDS[entry.kind].transit === 'bonded';
  const records = new Map(transitCables(spec, entry).map((cable) => [cable.id, cable]));
  const side = (sizeMm: number, mm: number): PackedBlock['jacket'] => {
    const block = sheet.blocks.find((one) => one.sizeMm === sizeMm)!;
    const measured = { minMm: mm, maxMm: mm, meanMm: mm, expandedUncertaintyMm: TOLERANCE_MM / 2 };
    const peeling = peel(block, sheet.gapMm, measured, sheet.maxLayerDifference)!;
    return { layers: [...peeling.layers], readingsMm: [], instrument: null, daylight: false };
  };
  const empty = { layers: null, readingsMm: [], instrument: null, daylight: null };
  const block = (widthMm: number, cable: string | null): PackedBlock => {
    const record = cable === null ? null : records.get(cable)!;
    if (!record)
      return { cable: null, core: true, jacket: empty, armour: bonded ? empty : null, bondOhm: null };
    const jacket = side(widthMm, record.outerMm);
    const armour = bonded ? side(widthMm, record.innerMm + 2 * WIRE_MM) : null;
    return { cable, core: null, jacket, armour, bondOhm: bonded ? 0.011 : null };
  };
  return entry.transit!.openings.map(({ label, widthMm, heightMm }, o) => {
    const result = pack(
      {
        openings: [
          { id: label, widthMm, heightMm, plateMm: sheet.stayPlateMm, compressionMm: sheet.compressionMm },
        ],
        blocks: sheet.blocks,
        cables: entry.transit!.cables[o]!.map((cable, i) => {
          const mm = mmOf(cable);
          return {
            id: cableId(spec, entry, o, i),
            minMm: mm - TOLERANCE_MM / 2,
            maxMm: mm + TOLERANCE_MM / 2,
          };
        }),
        sparePct: 20,
      },
      FIRST,
    );
    if (!result.fits)
      throw new Error(`${entryId(spec, entry)} cannot be packed: ${JSON.stringify(result.reason)}`);
    const rows = result.packing.openings[0]!.rows.map(({ heightMm: height, columns }) => ({
      heightMm: height,
      plate: true,
      columns: columns.map((column) => ({
        widthMm: column.widthMm,
        blocks: column.blocks.map((cable) => block(column.widthMm, cable)),
      })),
    }));
    return { label, rows, wedgeMm: 11, cables: [], recessMm: [] };
  });
}

/** Changes the first block that holds a cable, or the first spare one. */
const firstBlock =
  (
    change: (block: PackedBlock, widthMm: number) => PackedBlock,
    spare = false,
  ): NonNullable<TransitSpec['found']> =>
  (opening) => {
    let done = false;
    const rows = opening.rows.map((row) => ({
      ...row,
      columns: row.columns.map((column) => ({
        ...column,
        blocks: column.blocks.map((block) => {
          if (done || (block.cable === null) !== spare) return block;
          done = true;
          return change(block, column.widthMm);
        }),
      })),
    }));
    return { ...opening, rows };
  };
const jacket = (change: (layers: [number, number], widthMm: number) => [number, number]) =>
  firstBlock((block, widthMm) => ({
    ...block,
    jacket: { ...block.jacket, layers: change(block.jacket.layers!, widthMm) },
  }));
const both =
  (...all: NonNullable<TransitSpec['found']>[]): NonNullable<TransitSpec['found']> =>
  (opening) =>
    all.reduce((found, change) => change(found), opening);

/** Halves peeled unlike, the sum as it should be. */
const unequal = jacket(([a, b]) => [a - 2, b + 2]);
/** The layer that must stay is gone from one half, the sum as it should be. */
const lastLayer = jacket(([a, b], widthMm) => {
  const { layersPerHalf } = BLOCKS.find(({ sizeMm }) => sizeMm === widthMm)!;
  return [layersPerHalf, a + b - layersPerHalf];
});
const tooWide = jacket(([a, b]) => [a - 2, b - 2]);
const tooTight = firstBlock((block) => ({ ...block, armour: { ...block.armour!, layers: block.armour!.layers!.map((n) => n + 2) as [number, number] } })); // prettier-ignore
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
const swollen = (prefix: string) =>
  firstBlock((block, widthMm) => ({ ...block, jacket: { ...block.jacket, readingsMm: [widthMm, widthMm + 0.02, widthMm - 0.01], instrument: `${prefix}-caliper-07` } })); // prettier-ignore
const recess =
  (...recessMm: number[]): NonNullable<TransitSpec['found']> =>
  (opening) => ({ ...opening, recessMm });

const opening = (label: string, widthMm: number, heightMm: number): Frame['openings'][number] => ({ label, shape: 'rect', widthMm, heightMm }); // prettier-ignore
const MANY = [44, 36, 32, 24, 22, 18, 16, 13, 12, 11, 9.2, 8.4];
const SOME = [24, 18, 16, 12, 9];
const FULL = [12, 12.4, 11.8, 12.2, 13, 11.2];

const transit = (enclosure: string, label: string, kind: KindId, spec: TransitSpec, rest: Partial<EntrySpec> = {}): EntrySpec => ({
  enclosure, label, kind, size: '', read: 'all', transit: spec, ...rest,
}); // prettier-ignore
const block = (enclosure: string, label: string, kind: KindId, cables: number[], found?: TransitSpec['found'], rest: Partial<EntrySpec> = {}, heightMm = 218) =>
  transit(enclosure, label, kind, { openings: [opening('1', 120, heightMm)], cables: [cables], found }, rest); // prettier-ignore
const TB: KindId = 'transit-block';
const TX: KindId = 'transit-block-bonded';
const TC: KindId = 'transit-cabinet';
const TS: KindId = 'transit-sealant';
const ROUND: Frame['openings'] = [{ label: '1', shape: 'round', widthMm: 150, heightMm: 150 }];
const SQUARE = [opening('1', 260, 160)];
const ON_FACE: [number, number, number][] = [
  [24, 60, 60],
  [18, 110, 90],
  [30, 170, 70],
  [12, 210, 120],
];
const looks = (answers: Record<string, string>): Partial<EntrySpec> => ({ twist: { looks: answers } });

/** Transits of the extraction site, and what is wrong with them on purpose. */
export const TRANSITS: EntrySpec[] = [
  transit('TR-1', 'A', TB, { openings: [opening('1', 120, 398), opening('2', 120, 218)], cables: [MANY, SOME] }),
  block('TR-1', 'B', TB, SOME, unequal, { planted: ['T-03'] }),
  block('TR-2', 'A', TB, SOME, lastLayer, { planted: ['T-03', 'T-04'] }),
  block('TR-2', 'B', TB, MANY.slice(3), tooWide, { planted: ['T-02'] }),
  block('TR-2', 'C', TB, SOME, noPlate, { planted: ['T-05', 'T-08'], ...looks({ 'transit-cables': 'dry' }) }),
  block('TR-2', 'D', TB, FULL, wedge(19), { planted: ['T-06', 'T-07'] }, 46),
  transit('TR-3', 'A', TX, { openings: [opening('1', 120, 218), opening('2', 120, 218)], cables: [SOME, [30, 22, 20]], where: 'deck' }),
  block('TR-3', 'B', TX, SOME, greaseOhm, { planted: ['T-09'], ...looks({ braid: 'grease' }) }),
  block('TR-3', 'C', TX, SOME, tooTight, { planted: ['T-02', 'T-09'], ...looks({ braid: 'paint' }) }),
  block('TR-3', 'D', TX, SOME, swollen('mb'), { planted: ['T-01', 'T-02', 'T-10'], ...looks({ 'frame-fixed': 'gap' }) }),
  block('CB-1', 'A', TC, SOME),
  block('CB-1', 'B', TC, SOME, both(wedge(5), noCore), { planted: ['T-05', 'T-06'] }),
  block('CB-1', 'C', TC, FULL, swollen('mb'), { planted: ['T-01', 'T-02', 'T-05', 'T-07'], ...looks({ 'both-sides': 'one' }) }, 46),
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
  openings: [opening('1', 120, 218)],
  cables: [SOME],
});

/** The frame of a transit's entry. */
export const frameOf = ({ transit: of, kind }: EntrySpec): Frame | null =>
  of ? { where: of.where ?? 'wall', wallDepthMm: KINDS[kind].transit === 'sealant' ? 240 : 150, sides: of.sides ?? 1, openings: of.openings } : null; // prettier-ignore
