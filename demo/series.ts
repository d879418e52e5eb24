import { transitSheet } from './transits';
import type { DossierFields } from '../src/core/commands/commands';
import { KINDS, measures } from '../src/core/kinds/kinds';
import type { Kind } from '../src/core/kinds/kind';
import type { KindId } from '../src/core/record/kind-ids';
import type {
  AssemblySheet,
  BackNutSheet,
  ClampFace,
  CompoundData,
  GlandSize,
  MineralPot,
  Pot,
  Range,
  Seal,
} from '../src/core/record/types';

type Certificate = DossierFields['certificate'];

/** Invented sizes S2 … S6: thread, outer, inner, wire, braid ranges (mm), width and body length (mm). */
const SIZES: Record<
  string,
  [thread: string, outer: Range, inner: Range, wire: Range, braid: Range, across: number, body: number]
> = {
  S2: ['M20x1.5', [12.0, 18.3], [7.6, 13.1], [0.8, 1.25], [0.2, 0.6], 30, 52],
  S3: ['M25x1.5', [16.9, 24.1], [11.2, 18.3], [1.15, 1.65], [0.2, 0.7], 37, 58],
  S4: ['M32x1.5', [22.6, 31.5], [17.0, 25.4], [1.5, 2.1], [0.2, 0.7], 46, 64],
  S5: ['M40x1.5', [29.8, 39.2], [24.2, 31.6], [1.5, 2.1], [0.3, 0.8], 56, 71],
  S6: ['M50x1.5', [37.9, 49.0], [30.9, 40.8], [1.9, 2.6], [0.3, 0.8], 68, 80],
};

/** Invented pots: bore and depth (mm), cores at most, bundle (mm). */
const POTS: Record<string, Pot> = {
  S2: { boreMm: 13, depthMm: 24, mostCores: 7, overCoresMm: [4, 10.5] },
  S3: { boreMm: 18, depthMm: 26, mostCores: 12, overCoresMm: [6, 15] },
  S4: { boreMm: 24, depthMm: 28, mostCores: 19, overCoresMm: [9, 20.5] },
  S5: { boreMm: 31, depthMm: 30, mostCores: 24, overCoresMm: [14, 27] },
  S6: { boreMm: 40, depthMm: 34, mostCores: 30, overCoresMm: [20, 35] },
};

/** Invented pots for mineral-insulated cables: sheath range, threads and lengths (mm), heat (°C). */
const MINERAL_SIZES: Record<string, [thread: string, sheath: Range, pot: MineralPot]> = {
  Q1: ['M20x1.5', [6.8, 8.6], { threadLengthMm: 10, projectionMm: [1, 3], gripMm: 18, toolStopOffsetMm: 31, screenStubMm: 8, maxC: 105, longestTailMm: 250, warms: true }],
  Q2: ['M20x1.5', [8.4, 10.4], { threadLengthMm: 12, projectionMm: [1, 3], gripMm: 20, toolStopOffsetMm: 33, screenStubMm: 10, maxC: 105, longestTailMm: 250, warms: true }],
  Q3: ['M25x1.5', [10.2, 13.2], { threadLengthMm: 14, projectionMm: [1.5, 3.5], gripMm: 24, toolStopOffsetMm: 36, screenStubMm: 12, maxC: 105, longestTailMm: 300, warms: true }],
}; // prettier-ignore

const mineralSizes = (): GlandSize[] =>
  Object.entries(MINERAL_SIZES).map(([size, [thread, rangeMm, pot]]) => ({
    size, thread, maleLengthMm: 15, runoutMm: 1.5, washerMm: 0, acrossMm: size === 'Q3' ? 32 : 26, bodyLengthMm: 38,
    outer: { rangeMm, ovalityPct: 3, maxC: 250, minC: null, coldFlow: false, shapes: ['round'] },
    inner: null, clamp: [], backNut: null, armourLengthMm: null, innerProudMm: null, pot: null, sealDepthMm: null,
    mineral: pot,
  })); // prettier-ignore

/** Least and greatest armour that is left for the clamp, mm. */
const ARMOUR_LENGTH: Record<string, Range> = {
  S2: [12, 16], S3: [15, 20], S4: [18, 24], S5: [21, 27], S6: [24, 31],
}; // prettier-ignore

const POT_COMPOUND: CompoundData = {
  name: 'Dessel Yard compound, grey pack', packMl: 43, wastePct: 17, ratio: '3 : 2', referenceC: 21, q10: 2,
  workingMinutes: 26, cureHours: 5.5, energiseHours: 27, minimumC: 6, maxC: 110, minC: -45, extrapolates: false,
  reachMm: 29,
}; // prettier-ignore
const RESIN: CompoundData = {
  name: 'Dessel Yard resin, amber cartridge', packMl: 68, wastePct: 22, ratio: '5 : 3', referenceC: 21, q10: 2,
  workingMinutes: 13, cureHours: 19, energiseHours: 27, minimumC: 9, maxC: 105, minC: -40, extrapolates: false,
  reachMm: 41,
}; // prettier-ignore

/** The sheets' chart: size by cores and conductor area, mm². It is coarse on purpose: a measurement decides. */
const CHART: AssemblySheet['chart'] = [
  [2, 1.5, 'S2'], [3, 1.5, 'S2'], [3, 2.5, 'S2'], [4, 2.5, 'S2'], [4, 4, 'S3'], [7, 2.5, 'S3'], [7, 4, 'S3'],
  [12, 1.5, 'S3'], [4, 10, 'S4'], [4, 25, 'S5'], [1, 95, 'S3'], [4, 50, 'S6'],
].map(([cores, areaMm2, size]) => ({ cores, areaMm2, size }) as AssemblySheet['chart'][number]); // prettier-ignore

/** A ring of rubber that suits an outer range, and its nut. */
const backNutFor = ([, high]: Range): BackNutSheet => ({
  freeBoreMm: round1(high + 0.6),
  freeOutsideMm: round1((high + 0.6) * 1.26),
  freeLengthMm: 14,
  housingBoreMm: round1((high + 0.6) * 1.26 + 0.5),
  handOnGapMm: 10,
  turns: 0.5,
  pitchMm: 1.5,
  toleranceMm: 0.5,
  indentPct: 20,
});
const round1 = (value: number) => Math.round(value * 10) / 10;

const seal = (rangeMm: Range, maxC: number, coldFlow: boolean): Seal => ({
  rangeMm,
  ovalityPct: 5,
  maxC,
  minC: null,
  coldFlow,
  shapes: ['round'],
});

/** A ring that fits either way, faces or rings for wire and braid, a grip over the ridges, or no clamp. */
function clampOf({ ring, armour }: Kind, inner: Range, wire: Range, braid: Range): ClampFace[] {
  if (armour === 'none') return [];
  if (armour === 'gripped') {
    return [{ face: 'both', armour: 'corrugated', rangeMm: [inner[0] + 1, inner[1] + 2.5] }];
  }
  const [w, x] = ring === 'universal' ? ['both', 'both'] : ['wire', 'braid'];
  return [
    { face: w!, armour: 'wire', rangeMm: wire },
    { face: x!, armour: 'braid', rangeMm: braid },
  ];
}

function sizesOf(kind: Kind, sealC: number): GlandSize[] {
  const cold = kind.inner === 'diaphragm';
  return Object.entries(SIZES).map(([size, [thread, outer, inner, wire, braid, acrossMm, bodyLengthMm]]) => ({
    size,
    thread,
    maleLengthMm: 15,
    runoutMm: 1.5,
    washerMm: 0,
    acrossMm,
    bodyLengthMm,
    outer: seal(outer, sealC, cold),
    inner: kind.inner === 'none' ? null : seal(inner, sealC, cold),
    clamp: clampOf(kind, inner, wire, braid),
    backNut: measures(kind, 'back-nut-gap') ? backNutFor(outer) : null,
    armourLengthMm: kind.armour === 'cone' ? ARMOUR_LENGTH[size]! : null,
    innerProudMm: kind.inner === 'none' ? null : 5,
    pot: kind.pot === 'none' ? null : POTS[size]!,
    sealDepthMm: Math.round(bodyLengthMm * (kind.pot === 'none' ? 0.3 : 0.12)),
    mineral: null,
  }));
}

/** How the joints of a kind are closed; every school occurs somewhere. */
function jointsOf(kind: Kind): AssemblySheet['joints'] {
  const byTurns = kind.ring === 'reversible' || kind.ring === 'dedicated';
  const school: Record<string, AssemblySheet['joints'][number]> = {
    entry: kind.certified
      ? { joint: 'entry', school: 'torque', range: [30, 40] }
      : { joint: 'entry', school: 'grip', range: null },
    clamp: byTurns
      ? { joint: 'clamp', school: 'turns', range: [0.75, 1] }
      : { joint: 'clamp', school: 'faces', range: null },
    'inner-seal': byTurns
      ? { joint: 'inner-seal', school: 'turns', range: [1, 1.25] }
      : { joint: 'inner-seal', school: 'faces', range: null },
    'outer-seal':
      kind.pot === 'compound'
        ? { joint: 'outer-seal', school: 'gap', range: null }
        : kind.certified && kind.pot === 'none' && !kind.mineral
          ? { joint: 'outer-seal', school: 'turns', range: [0.75, 1] }
          : { joint: 'outer-seal', school: 'grip', range: null },
    pot: kind.mineral
      ? { joint: 'pot', school: 'grip', range: null }
      : { joint: 'pot', school: 'turns', range: [0.75, 1] },
    'resin-port': { joint: 'resin-port', school: 'grip', range: null },
  };
  return kind.joints.map((joint) => school[joint]!);
}

function certificate(
  id: string,
  number: string,
  title: string,
  kindId: KindId,
  differing: Partial<Certificate> & { sealC?: number } = {},
): Certificate {
  const { sealC = 95, ...rest } = differing;
  const kind = KINDS[kindId];
  const { certified } = kind;
  return {
    id,
    number,
    maker: 'Fernholt',
    title,
    kind: kindId,
    issued: '2022-02-12',
    state: 'valid',
    concepts: certified ? ['db', 'eb', 'tb'] : [],
    levels: certified ? ['Gb', 'Db'] : [],
    groups: certified ? ['IIC', 'IIIC'] : [],
    serviceC: [-40, 95],
    ingress: 'IP66',
    sealing: certified,
    specialConditions: [],
    divisions: certified ? [{ class: 'I', division: 1, groups: ['B', 'C', 'D'] }] : [],
    reducedRetention: false,
    withdrawn: null,
    categories: [],
    oRing: false,
    demandsBarrier: false,
    sheet: {
      number: `FS ${number.slice(4, 11)}`,
      sizes: kind.transit ? [] : kind.mineral ? mineralSizes() : sizesOf(kind, sealC),
      joints: jointsOf(kind),
      expectedBondOhm: 0.012,
      compound: kind.pot === 'compound' ? POT_COMPOUND : kind.pot === 'resin' ? RESIN : null,
      shroud: certified ? 'none' : 'shroud',
      chart: kind.transit ? [] : CHART,
      transit: transitSheet(kindId),
    },
    ...rest,
  };
}

const SPECIAL = [
  'The clamp is tightened to face-to-face contact and opened once for a look before it is closed.',
];
const QUILLION = { maker: 'Quillion', serviceC: [-60, 250] as Range };
/** Walls ask for an approval, not for a protection. */
const TARRANE = { maker: 'Tarrane', concepts: [], levels: [], groups: [], divisions: [] };
const HELD = ['The cable is clamped within 300 mm of the gland.'];

/** The invented certificates of a site, under ids that begin with its prefix. */
export function certificates(prefix: string): Certificate[] {
  const make = (
    name: string,
    number: string,
    title: string,
    kind: KindId,
    differing: Parameters<typeof certificate>[4] = {},
  ) =>
    certificate(
      `${prefix}-cert-${name}`,
      number,
      `${differing.maker ?? 'Fernholt'} ${title}`,
      kind,
      differing,
    );
  return [
    make('double', 'FRN 24.0117X', 'double-seal gland, sizes S2 to S6', 'gland-double-seal', {
      specialConditions: SPECIAL,
    }),
    make('reversible', 'FRN 23.0442', 'reversible-ring gland, sizes S2 to S6', 'gland-reversible-ring'),
    make('dedicated', 'FRN 22.0615', 'dedicated-ring gland, sizes S2 to S6', 'gland-dedicated-ring'),
    make('diaphragm', 'FRN 24.0288', 'diaphragm gland, sizes S2 to S6', 'gland-diaphragm'),
    make('barrier', 'FRN 23.0721', 'barrier gland, sizes S2 to S6', 'gland-barrier'),
    make('barrier-plain', 'FRN 23.0722X', 'barrier gland for unarmoured cable', 'gland-barrier-plain', {
      specialConditions: HELD,
      reducedRetention: true,
    }),
    make('plain', 'FRN 22.0930', 'plain gland, sizes S2 to S6', 'gland-plain'),
    make('industrial', 'FRN sheet 61', 'industrial gland, indoor pattern', 'gland-industrial', {
      ingress: 'IP54',
    }),
    make('industrial-outdoor', 'FRN sheet 62', 'industrial gland, outdoor pattern', 'gland-industrial'),
    make('resin', 'FRN 21.0808', 'resin connector for corrugated armour', 'connector-resin'),
    make('mi-pot', 'QLN 22.0316', 'pots and glands for mineral-insulated cables', 'mi-pot', QUILLION),
    make('mi-link', 'QLN 22.0317', 'pots and glands for mineral-insulated links', 'mi-link', QUILLION),
    make('transit-block', 'TRN 23.0520', 'block transit, gas and water approval', 'transit-block', TARRANE),
    make(
      'transit-bonded',
      'TRN 23.0521',
      'bonded block transit, gas and fire approval',
      'transit-block-bonded',
      TARRANE,
    ),
    make('transit-cabinet', 'TRN 24.0066', 'cabinet transit', 'transit-cabinet', { maker: 'Tarrane' }),
    make('transit-sealant', 'DYS 22.0140', 'sealant transit, gas and fire approval', 'transit-sealant', {
      ...TARRANE,
      maker: 'Dessel Yard',
    }),
    make('withdrawn', 'FRN 19.0031', 'double-seal gland, first pattern', 'gland-double-seal', {
      state: 'withdrawn',
      withdrawn: 'safety',
      issued: '2019-05-20',
    }),
    make('zone2', 'FRN 22.0208', 'double-seal gland, zone 2 pattern', 'gland-double-seal', {
      concepts: ['ec', 'tc'],
      levels: ['Gc', 'Dc'],
    }),
    make('gas', 'FRN 22.0209', 'double-seal gland, gas only', 'gland-double-seal', {
      levels: ['Gb'],
      groups: ['IIC', 'IIIC'],
    }),
    make('iib', 'FRN 21.0150', 'reversible-ring gland, IIB pattern', 'gland-reversible-ring', {
      groups: ['IIB', 'IIIB'],
    }),
    make('mild', 'FRN 22.0391', 'double-seal gland, standard seals', 'gland-double-seal', {
      serviceC: [-20, 60],
      sealC: 60,
    }),
    make('ip54', 'FRN 20.0073', 'reversible-ring gland, indoor pattern', 'gland-reversible-ring', {
      ingress: 'IP54',
    }),
    make('eonly', 'FRN 23.0510', 'double-seal gland, increased safety', 'gland-double-seal', {
      concepts: ['eb', 'tb'],
    }),
  ];
}

/** Nominal build-up of a cable that suits a size: inner sheath, wire, sheath (mm) and its cores. */
export const CABLE_FOR: Record<
  string,
  { inner: number; wire: number; sheath: number; cores: [count: number, area: number, diameter: number] }
> = {
  S2: { inner: 10.9, wire: 0.9, sheath: 1.4, cores: [3, 1.5, 2.9] },
  S3: { inner: 15.2, wire: 1.25, sheath: 1.5, cores: [4, 4, 4.1] },
  S4: { inner: 21.3, wire: 1.6, sheath: 1.7, cores: [7, 4, 4.1] },
  S5: { inner: 27.6, wire: 1.6, sheath: 1.8, cores: [4, 25, 9.4] },
  S6: { inner: 35.8, wire: 2.0, sheath: 2.0, cores: [4, 50, 12.4] },
};
