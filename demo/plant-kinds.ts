import type { KindId } from '../src/core/record/kind-ids';
import type { UnusedEntry } from '../src/core/record/types';
import type { EnclosureSpec, EntrySpec } from './spec';
import { TRANSITS } from './transits';

/** A plug that suits a box of increased safety. */
const PLUG: UnusedEntry = {
  label: 'Z', closure: 'plug', needsTool: true, inAdaptor: false, concepts: ['eb'], certificate: 'FRN 23.0660', levels: ['Gb'],
  groups: ['IIC'], divisions: [], thread: 'M20x1.5', hole: 'M20x1.5', ingress: 'IP66', engagedMm: null,
}; // prettier-ignore

/** Enclosures of the kinds beside the two of the extraction line: analysers, heaters, workshop, loading. */
export const MORE_ENCLOSURES: EnclosureSpec[] = [
  { tag: 'AX-31', area: 'hall', what: 'analyser house, vapour', x: 1.2, y: 18.5, concepts: ['db'], volumeCm3: 5200 },
  { tag: 'AX-32', area: 'hall', what: 'drive box, basket lift', x: 12.9, y: 18.5, concepts: ['db'], volumeCm3: 2400 },
  { tag: 'AX-33', area: 'hall', what: 'flow switch, solvent', x: 26.8, y: 18.5, concepts: ['db'], volumeCm3: 600 },
  { tag: 'AX-34', area: 'hall-2', what: 'analyser house, spare', x: 17, y: 25.5, z: 4, concepts: ['db'], volumeCm3: 2100 },
  {
    tag: 'HC-3', area: 'cell', what: 'analyser, hydrogen', x: 52, y: 6, concepts: ['db'], group: 'IIC', volumeCm3: 3100,
    unused: [{ ...PLUG, closure: 'transport-plug', needsTool: false, concepts: [], certificate: null, levels: [], groups: [] }],
  },
  { tag: 'HC-4', area: 'cell', what: 'pressure switch', x: 52, y: 11, concepts: ['db'], group: 'IIC', volumeCm3: 450 },
  {
    tag: 'JB-223', area: 'hall-2', what: 'junction box, gallery lights', x: 28, y: 29, z: 4,
    unused: [PLUG],
  },
  { tag: 'DL-3', area: 'loft', what: 'junction box, reflux pump', x: 41, y: 25, z: 8, concepts: ['eb'], wallMm: 12 },
  { tag: 'DL-4', area: 'loft', what: 'junction box, trace heating', x: 41, y: 28.4, z: 8, concepts: ['eb'], material: 'insulating' },
  { tag: 'PM-3', area: 'mill', what: 'junction box, filter fan', x: 75.4, y: 6, concepts: ['tb'], group: 'IIIC' },
  { tag: 'TY-4', area: 'yard', what: 'motor box, transfer pump', x: 79, y: 27.5, concepts: ['db'], volumeCm3: 2800 },
  { tag: 'TY-5', area: 'yard', what: 'junction box, flood lights', x: 66, y: 33, concepts: ['eb'] },
  { tag: 'TY-6', area: 'yard', what: 'heater box, tank 2', x: 79, y: 33, concepts: ['db'], volumeCm3: 1900 },
  { tag: 'TR-1', area: 'hall', what: 'wall to the control room', x: 14.5, y: 3, concepts: [], wallMm: 150 },
  { tag: 'TR-2', area: 'hall', what: 'wall to the workshop', x: 21, y: 3, concepts: [], wallMm: 150 },
  { tag: 'TR-3', area: 'cell', what: 'deck over the cell', x: 53.5, y: 1.9, concepts: [], wallMm: 150 },
  { tag: 'CB-1', area: 'loft', what: 'marshalling cabinet', x: 51, y: 17.8, z: 8, concepts: ['eb'] },
  { tag: 'TR-4', area: 'mill', what: 'wall to the yard', x: 72.5, y: 1.9, concepts: [], wallMm: 240 },
  { tag: 'WS-61', area: 'shop', what: 'socket board', x: 6, y: 40, concepts: [], ingress: 'IP44', material: 'insulating' },
  { tag: 'WS-62', area: 'shop', what: 'bench supply', x: 22, y: 40, concepts: [], ingress: 'IP44', wallMm: 3 },
]; // prettier-ignore

const DR: KindId = 'gland-dedicated-ring';
const DF: KindId = 'gland-diaphragm';
const BA: KindId = 'gland-barrier';
const BP: KindId = 'gland-barrier-plain';
const PL: KindId = 'gland-plain';
const IN: KindId = 'gland-industrial';
const RC: KindId = 'connector-resin';
const DS: KindId = 'gland-double-seal';
const RR: KindId = 'gland-reversible-ring';

type Rest = Partial<Omit<EntrySpec, 'enclosure' | 'label' | 'kind' | 'size'>>;
const entry = (enclosure: string, label: string, kind: KindId, size: string, rest: Rest = {}): EntrySpec => ({
  enclosure,
  label,
  kind,
  size,
  read: 'all',
  ...rest,
});
/** A fault: what is planted, and the twist that makes it. */
const fault = (planted: string, twist: EntrySpec['twist']): Rest => ({ planted: planted.split(' '), twist });

const pot = (enclosure: string, label: string, mineral: string, size: string, rest: Rest = {}): EntrySpec =>
  entry(enclosure, label, 'mi-pot', size, { mineral, ...rest });
const link = (enclosure: string, label: string, mineral: string, size: string, rest: Rest = {}): EntrySpec =>
  entry(enclosure, label, 'mi-link', size, { mineral, ...rest });

const ONE_CORE = [{ count: 1, areaMm2: 95, diameterMm: 14.5 }];
const WIRE = { type: 'wire', sizeMm: 1.25, material: 'steel', areaMm2: null } as const;
const adaptor = (male: string, female: string) => ({
  what: 'adaptor' as const,
  male,
  female,
  concepts: ['db', 'eb'],
  levels: ['Gb' as const],
  groups: ['IIC' as const],
  divisions: [],
  maleLengthMm: 15,
  runoutMm: 1.5,
  femaleDepthMm: 16,
});

/** Entries of the other kinds, and the rules that the first two kinds leave unbroken. */
export const MORE_ENTRIES: EntrySpec[] = [
  // Barrier glands on the analysers and in the hydrogen cell.
  entry('AX-31', 'A', BA, 'S3'),
  entry('AX-31', 'B', BA, 'S3', fault('E-17', { pour: { workedMin: 52 } })),
  entry('AX-31', 'C', BA, 'S4', fault('E-17', { pour: { expires: '2025-06-30' } })),
  entry('AX-31', 'D', BA, 'S3', fault('E-17', { looks: { 'compound-face': 'voids' } })),
  entry('HC-3', 'A', BA, 'S2', fault('E-10', { looks: { 'unused-entries': 'transport' } })),
  entry('HC-3', 'B', BA, 'S4', fault('E-17', { truth: { 'compound-reach': 33 } })),
  entry('HC-3', 'C', BP, 'S3'),
  entry('HC-3', 'D', BP, 'S3', fault('E-17', { pour: { lookAfterH: 3 } })),
  entry('HC-4', 'A', BP, 'S2', fault('E-17', { looks: { 'spigot-held': 'no' } })),
  entry('HC-4', 'B', BP, 'S3', fault('E-26', { truth: { 'support-distance': 410 } })),
  entry('HC-4', 'C', BP, 'S3', fault('E-25', { looks: { 'condition-1': 'not-met' } })),
  entry('HC-4', 'D', BP, 'S2', { ...fault('E-18b', { truth: { 'turns-pot': 0.4 } }) }),
  // A short cable, and one that is not filled, both without a barrier.
  entry('AX-32', 'A', DS, 'S3', fault('E-15', { cable: { lengthM: 2.2 } })),
  entry('AX-32', 'B', RR, 'S3', fault('E-15', { cable: { filling: 'not-filled' } })),
  entry('AX-32', 'C', DS, 'S3', fault('E-09', { entry: { adaptors: [adaptor('M25x1.5', 'M25x1.5'), adaptor('M25x1.5', 'M25x1.5')] } })),
  entry('AX-32', 'D', DS, 'S2', fault('E-09', { entry: { hole: { form: 'threaded', thread: 'M25x1.5', diameterMm: null, chamfersMm: 1 }, adaptors: [{ ...adaptor('M25x1.5', 'M20x1.5'), concepts: ['eb'] }] } })),
  // One ring per armour.
  entry('AX-33', 'A', DR, 'S3'),
  entry('AX-33', 'B', DR, 'S3', fault('E-13', { looks: { 'ring-thick-end': 'no' } })),
  entry('AX-33', 'C', DR, 'S3', fault('E-13', { entry: { ringFace: 'braid' } })),
  entry('AX-33', 'D', DR, 'S2', fault('E-18b', { truth: { 'turns-clamp': 0.5 } })),
  entry('DL-3', 'A', DR, 'S3', fault('E-21', { truth: { 'armour-length': 11 } })),
  entry('DL-3', 'B', DR, 'S4', fault('E-30', { looks: { 'seal-state': 'hard' } })),
  // Sheaths that flow cold.
  entry('DL-4', 'A', DF, 'S3', { madeOff: true, read: 'outside' }),
  entry('DL-4', 'B', DF, 'S3', fault('E-12', { looks: { 'diaphragm-lip': 'cut' } })),
  entry('DL-4', 'C', DF, 'S2', fault('E-20', { truth: { 'inner-proud': 2.5 } })),
  entry('DL-4', 'D', DF, 'S4', fault('E-21', { truth: { 'armour-length': 27 } })),
  entry('DL-3', 'C', DS, 'S3', fault('E-16', { cable: { coldFlow: true } })),
  entry('DL-3', 'D', DF, 'S3', { madeOff: true, ...fault('E-28', { looks: { unaltered: 'altered' } }) }),
  // Without armour.
  entry('JB-223', 'A', PL, 'S3', fault('E-10', { looks: { 'unused-entries': 'open' } })),
  entry('JB-223', 'B', PL, 'S3', fault('E-16', { cable: { armour: { ...WIRE }, unarmoured: null, outerMm: 20.7 } })),
  entry('JB-223', 'C', PL, 'S4', fault('E-31', { cable: { cores: ONE_CORE, innerMm: 21.3 }, looks: { 'single-core': 'no' } })),
  entry('JB-223', 'D', PL, 'S2', fault('E-20', { looks: { conductors: 'scored' } })),
  entry('JB-222', 'D', PL, 'S2'),
  entry('PM-3', 'A', PL, 'S2', fault('E-22', { entry: { washerMm: 0 }, looks: { washer: 'none' } })),
  entry('PM-3', 'B', DS, 'S3', { certificate: 'gas', planted: ['E-02'] }),
  entry('PM-3', 'C', PL, 'S3', fault('E-30', { looks: { 'seal-state': 'reused' } })),
  entry('PM-3', 'D', PL, 'S3', fault('E-26', { looks: { 'cable-held': 'strain' } })),
  // Made off by somebody twenty years ago, with no record, and never opened since.
  entry('PM-3', 'E', DS, 'S3', { read: 'outside', twist: { entry: { foundMadeOff: { by: 'M. Okonjo', on: '2006-05-11' } } } }),
  // Ordinary glands: at home in the workshop, not in a zone.
  entry('WS-61', 'A', IN, 'S3'),
  entry('WS-61', 'B', IN, 'S3', fault('E-14', { looks: { 'armour-seated': 'beside' } })),
  entry('WS-61', 'C', IN, 'S2', fault('E-24', { looks: { shroud: 'missing' } })),
  entry('WS-62', 'A', IN, 'S3', fault('E-18a', { looks: { 'grip-outer-seal': 'loose' } })),
  entry('WS-62', 'B', IN, 'S2', fault('E-22', { entry: { washerMm: 0 }, looks: { washer: 'none' } })),
  entry('TY-5', 'A', IN, 'S3', { certificate: 'industrial-outdoor', planted: ['E-01', 'E-06'] }),
  entry('TY-5', 'B', RR, 'S3', fault('E-24', { looks: { shroud: 'pools' } })),
  entry('TY-5', 'C', DS, 'S3', fault('E-19', { gapOffMm: 1.6 })),
  entry('TY-5', 'D', DS, 'S3', fault('E-25', { looks: { 'condition-1': 'not-met' } })),
  // Corrugated armour and resin on the loading pumps.
  entry('TY-4', 'A', RC, 'S3'),
  entry('TY-4', 'B', RC, 'S3', fault('R-01', { looks: { 'resin-dam': 'short' } })),
  entry('TY-4', 'C', RC, 'S4', fault('R-02', { pour: { expires: '2025-02-28' } })),
  entry('TY-4', 'D', RC, 'S3', fault('R-03', { looks: { 'grommet-nut': 'body' } })),
  entry('TY-6', 'A', RC, 'S3', fault('R-01', { looks: { 'resin-dam': 'dam' } })),
  entry('TY-6', 'B', RC, 'S2', fault('R-02', { pour: { workedMin: 25 } })),
  entry('TY-6', 'C', RC, 'S3', fault('R-03', { looks: { 'grommet-nut': 'armour' } })),
  entry('TY-6', 'D', DS, 'S3', { madeOff: true, ...fault('E-28', { looks: { unaltered: 'altered' } }) }),
  // The rest of the book on the first two kinds.
  entry('TY-1', 'C', DS, 'S3', fault('E-18a', { truth: { 'torque-entry': 52 } })),
  entry('TY-1', 'D', RR, 'S3', fault('E-19', { gapOffMm: -1.4 })),
  entry('MT-12', 'D', DS, 'S4', fault('E-31', { cable: { cores: ONE_CORE } })),
  // Mineral-insulated cables: pots, and two links that were cut to fit.
  pot('AX-31', 'M', 'MI-01', 'Q1'),
  pot('AX-33', 'M', 'MI-02', 'Q2', { planted: ['M-05'], sealed: { sealedAfterMin: 34 } }),
  pot('HC-1', 'M', 'MI-03', 'Q1'),
  pot('DL-3', 'M', 'MI-03', 'Q1', { planted: ['M-05'], sealed: { sealedAfterMin: 22 } }),
  pot('DL-3', 'N', 'MI-04', 'Q1', { planted: ['M-06'] }),
  pot('HC-2', 'M', 'MI-04', 'Q1', { planted: ['M-06'] }),
  pot('PM-2', 'M', 'MI-05', 'Q2', { planted: ['M-03'] }),
  pot('WS-62', 'M', 'MI-05', 'Q2', { planted: ['M-03'] }),
  pot('PM-1', 'M', 'MI-06', 'Q2', fault('M-07', { truth: { 'sheath-earth': 0.61 } })),
  pot('WS-62', 'N', 'MI-06', 'Q2', fault('M-07', { truth: { 'sheath-earth': 0.58 } })),
  pot('TY-5', 'M', 'MI-07', 'Q1'),
  pot('TY-6', 'M', 'MI-08', 'Q1', { planted: ['M-08'] }),
  pot('TY-1', 'M', 'MI-08', 'Q1', { planted: ['M-02', 'M-08'], sealed: { beforeMegohm: 0.4 } }),
  pot('TY-4', 'M', 'MI-09', 'Q3', { planted: ['M-02'], sealed: { beforeMegohm: 38 } }),
  pot('TY-3', 'M', 'MI-09', 'Q3', fault('M-01', { looks: { 'pot-filled': 'crimp' } })),
  pot('MT-12', 'M', 'MI-10', 'Q2', { planted: ['M-04'] }),
  pot('AX-32', 'N', 'MI-10', 'Q2', { planted: ['M-04'] }),
  link('AX-32', 'M', 'MI-11', 'Q1', fault('M-01', { truth: { 'pot-projection': 0.3 } })),
  link('LS-11', 'M', 'MI-11', 'Q1', fault('E-24', { looks: { 'shrouds-facing': 'turned' } })),
  link('DL-4', 'M', 'MI-12', 'Q1'),
  // Cut 12 mm too short for its path.
  link('DL-1', 'M', 'MI-12', 'Q1', fault('M-01', { truth: { 'sheath-length': 11753 } })),
  // Walls, a deck and a cabinet with many cables each.
  ...TRANSITS,
  // Work of today, which nobody has inspected yet.
  pot('AX-34', 'M', 'MI-13', 'Q1', { read: 'none', work: 'drying' }),
  entry('AX-34', 'A', BA, 'S3', { read: 'none', work: 'curing' }),
  entry('AX-34', 'B', BP, 'S3', { read: 'none', work: 'mixed' }),
  entry('AX-34', 'C', DS, 'S3', { read: 'none', work: 'halfway' }),
  entry('AX-34', 'D', RR, 'S3', { read: 'none', work: 'tried' }),
  entry('AX-34', 'E', DR, 'S3', { read: 'none', work: 'tried' }),
  entry('AX-34', 'F', DF, 'S3', { read: 'none', work: 'begun' }),
  entry('AX-34', 'G', PL, 'S3', { read: 'none', work: 'begun' }),
  entry('AX-34', 'H', RC, 'S3', { read: 'none', work: 'begun' }),
  entry('AX-34', 'I', DS, 'S3', { read: 'none', work: 'opened' }),
  entry('WS-61', 'F', IN, 'S3', { read: 'none', work: 'begun' }),
  link('AX-34', 'N', 'MI-14', 'Q1', { read: 'none', work: 'begun' }),
]; // prettier-ignore
