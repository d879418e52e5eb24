import type { DossierFields } from '../src/core/record/commands';
import type { ClampFace, GlandSize, Range, Seal } from '../src/core/record/types';

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

const seal = (rangeMm: Range, maxC: number): Seal => ({
  rangeMm,
  ovalityPct: 5,
  maxC,
  coldFlow: false,
  shapes: ['round'],
});

/** A ring that fits either way, or one whose faces hold wire one way, braid and tape the other. */
function clampOf(ring: 'universal' | 'reversible', wire: Range, braid: Range): ClampFace[] {
  const [w, x] = ring === 'universal' ? ['both', 'both'] : ['W', 'X'];
  return [
    { face: w!, armour: 'wire', rangeMm: wire },
    { face: x!, armour: 'braid', rangeMm: braid },
  ];
}

function sizesOf(ring: 'universal' | 'reversible', sealC: number): GlandSize[] {
  return Object.entries(SIZES).map(([size, [thread, outer, inner, wire, braid, acrossMm, bodyLengthMm]]) => ({
    size,
    thread,
    maleLengthMm: 15,
    runoutMm: 1.5,
    washerMm: 0,
    acrossMm,
    bodyLengthMm,
    outer: seal(outer, sealC),
    inner: seal(inner, sealC),
    clamp: clampOf(ring, wire, braid),
  }));
}

function certificate(
  id: string,
  number: string,
  title: string,
  kind: Certificate['kind'],
  differing: Partial<Certificate> & { sealC?: number } = {},
): Certificate {
  const { sealC = 95, ...rest } = differing;
  const reversible = kind === 'gland-reversible-ring';
  return {
    id,
    number,
    maker: 'Fernholt',
    title,
    kind,
    issued: '2024-02-12',
    state: 'valid',
    concepts: ['db', 'eb', 'tb'],
    levels: ['Gb', 'Db'],
    groups: ['IIC', 'IIIC'],
    serviceC: [-40, 95],
    ingress: 'IP66',
    sealing: true,
    specialConditions: [],
    sheet: {
      number: `FS ${number.slice(4, 11)}`,
      sizes: sizesOf(reversible ? 'reversible' : 'universal', sealC),
      joints: [
        { joint: 'entry', school: 'torque', range: [30, 40] },
        { joint: 'clamp', school: reversible ? 'turns' : 'faces', range: reversible ? [0.75, 1] : null },
        { joint: 'inner-seal', school: reversible ? 'turns' : 'faces', range: reversible ? [1, 1.25] : null },
        { joint: 'outer-seal', school: 'turns', range: [0.75, 1] },
      ],
      expectedBondOhm: 0.012,
    },
    ...rest,
  };
}

const SPECIAL = [
  'The clamp is tightened to face-to-face contact and opened once for a look before it is closed.',
];

/** The invented certificates of a site, under ids that begin with its prefix. */
export function certificates(prefix: string): Certificate[] {
  const id = (name: string) => `${prefix}-cert-${name}`;
  return [
    certificate(
      id('double'),
      'FRN 24.0117X',
      'Fernholt double-seal gland, sizes S2 to S6',
      'gland-double-seal',
      {
        specialConditions: SPECIAL,
      },
    ),
    certificate(
      id('reversible'),
      'FRN 23.0442',
      'Fernholt reversible-ring gland, sizes S2 to S6',
      'gland-reversible-ring',
    ),
    certificate(
      id('withdrawn'),
      'FRN 19.0031',
      'Fernholt double-seal gland, first pattern',
      'gland-double-seal',
      {
        state: 'withdrawn',
        issued: '2019-05-20',
      },
    ),
    certificate(
      id('zone2'),
      'FRN 22.0208',
      'Fernholt double-seal gland, zone 2 pattern',
      'gland-double-seal',
      {
        concepts: ['ec', 'tc'],
        levels: ['Gc', 'Dc'],
      },
    ),
    certificate(
      id('iib'),
      'FRN 21.0150',
      'Fernholt reversible-ring gland, IIB pattern',
      'gland-reversible-ring',
      {
        groups: ['IIB', 'IIIB'],
      },
    ),
    certificate(
      id('mild'),
      'FRN 22.0391',
      'Fernholt double-seal gland, standard seals',
      'gland-double-seal',
      {
        serviceC: [-20, 60],
        sealC: 60,
      },
    ),
    certificate(
      id('ip54'),
      'FRN 20.0073',
      'Fernholt reversible-ring gland, indoor pattern',
      'gland-reversible-ring',
      {
        ingress: 'IP54',
      },
    ),
    certificate(
      id('eonly'),
      'FRN 23.0510',
      'Fernholt double-seal gland, increased safety',
      'gland-double-seal',
      {
        concepts: ['eb', 'tb'],
      },
    ),
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
