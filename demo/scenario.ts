import { monotonicFactory } from 'ulid';
import { normalAt } from '../src/core/instrument/random';
import type { AnyCommand, DossierFields, Payloads } from '../src/core/record/commands';
import { KINDS, looksOf, type Kind } from '../src/core/record/kinds';
import type { KindId } from '../src/core/record/kind-ids';
import type { GlandSize, Id } from '../src/core/record/types';
import { gapFor } from '../src/core/rulebook/gap-scale';
import type { SealedEnd } from './mineral';
import { MINERAL_CABLES, mineralCableOf, mineralTruth } from './mineral-cables';
import { CABLE_FOR } from './series';
import { frameOf, type TransitSpec } from './transits';

/** An area of the invented plant, as the scenario writes it. */
export type AreaSpec = DossierFields['area'];

/** An enclosure; what is left out is the usual. */
export interface EnclosureSpec {
  tag: string;
  area: Id;
  what: string;
  x: number;
  y: number;
  z?: number;
  concepts?: string[];
  group?: DossierFields['enclosure']['group'];
  volumeCm3?: number;
  ingress?: string;
  entryTemperatureC?: number | null;
  wallMm?: number;
  material?: DossierFields['enclosure']['material'];
  unused?: DossierFields['enclosure']['unused'];
  ignitionSource?: boolean;
}

/** An entry and what is wrong with it on purpose. */
export interface EntrySpec {
  enclosure: string;
  label: string;
  kind: KindId;
  size: string;
  /** Certificate by the end of its id; the usual one of the kind when left out. */
  certificate?: string;
  /** Made off in a round of its own, with a sealed as-left record. */
  madeOff?: boolean;
  /** Tag of the mineral-insulated cable in it, instead of one of its own. */
  mineral?: string;
  /** What a transit holds, instead of one cable. */
  transit?: TransitSpec;
  /** How its end was sealed, where that was not as it should be. */
  sealed?: SealedEnd;
  /** Being made off today: its compound curing, just mixed, or half of its steps done. */
  work?: 'curing' | 'mixed' | 'halfway' | 'drying';
  /** How far this round has got. */
  read: 'all' | 'outside' | 'none';
  /** Changes the sound entry into what it is. */
  twist?: Twist;
  /** Checks that must fail because of the twist; no others may. */
  planted?: string[];
}

/** Differences from a sound entry of its kind and size. */
export interface Twist {
  cable?: Partial<DossierFields['cable']>;
  entry?: Partial<DossierFields['entry']>;
  /** True values at the places, mm or Ω. */
  truth?: Partial<Record<string, number>>;
  /** Answers to the looks. */
  looks?: Record<string, string>;
  /** Instrument by the end of its id, per place. */
  instrument?: Record<string, string>;
  /** How many readings, per place. */
  count?: Record<string, number>;
  /** Spread between the axes of the sheath, mm. */
  oval?: number;
  /** How far the back-nut gap is off what the cable asks for, mm. */
  gapOffMm?: number;
  /** Differences from compound or resin mixed as it should be; hours from packing to the look in `lookAfterH`. */
  pour?: Partial<
    Pick<Payloads['pour.record'], 'batch' | 'expires' | 'ratioKept' | 'temperatureC' | 'lowestC'>
  > & {
    workedMin?: number;
    lookAfterH?: number;
  };
  /** Evidence beside the tick of a special condition. */
  note?: string;
}

/** A site of the scenario. */
export interface SiteSpec {
  prefix: string;
  site: Payloads['site.add'];
  areas: AreaSpec[];
  enclosures: EnclosureSpec[];
  entries: EntrySpec[];
}

/** Collects the commands of a scenario in the order of time. */
export class Script {
  readonly commands: { command: AnyCommand; by: string }[] = [];
  readonly #ulid = monotonicFactory();
  #seconds = 0;

  constructor(
    readonly site: Id,
    readonly day0: Date,
  ) {}

  /** An id that sorts by its time. */
  id(at: string): Id {
    return this.#ulid(Date.parse(at));
  }

  /** A time some days from the seeding day, a little later at each call. */
  at(days: number): string {
    this.#seconds += 17;
    const base = new Date(this.day0);
    base.setUTCDate(base.getUTCDate() + days);
    base.setUTCHours(5, 0, 0, 0);
    return new Date(base.getTime() + this.#seconds * 1000).toISOString();
  }

  add<K extends AnyCommand['kind']>(kind: K, payload: Payloads[K], at: string, by: string): Id {
    const id = this.id(at);
    this.commands.push({ command: { id, kind, site: this.site, at, payload } as unknown as AnyCommand, by });
    return id;
  }
}

const round2 = (value: number) => Math.round(value * 100) / 100;
const round4 = (value: number) => Math.round(value * 10000) / 10000;

/** What the armour of a sound cable of a kind is. */
function armourFor({ armour }: Kind, entry: EntrySpec): DossierFields['cable']['armour'] {
  const { wire } = CABLE_FOR[entry.size]!;
  if (armour === 'none') return null;
  if (armour === 'gripped') return { type: 'corrugated', sizeMm: wire, material: 'aluminium', areaMm2: 28 };
  return { type: 'wire', sizeMm: wire, material: 'steel', areaMm2: null };
}

/** Sound cable for an entry's size and kind, twisted as the entry says. */
export function cableOf(spec: SiteSpec, entry: EntrySpec): DossierFields['cable'] {
  if (entry.mineral)
    return mineralCableOf(
      spec,
      MINERAL_CABLES.find(({ tag }) => tag === entry.mineral)!,
    );
  const { inner, sheath, cores } = CABLE_FOR[entry.size]!;
  const kind = KINDS[entry.kind];
  const tag = `P-${cableNumber(spec, entry)}`;
  const twisted = entry.twist?.cable?.armour;
  const usual = armourFor(kind, entry);
  const armour = twisted === undefined ? usual : twisted && { ...twisted };
  // A braid or tape of the scenario is 0.4 mm thick unless the twist says otherwise.
  const armourMm = armour?.sizeMm ?? 0;
  const [count, areaMm2, diameterMm] = cores;
  return {
    id: cableId(spec, entry),
    tag,
    from: `${entry.enclosure}, entry ${entry.label}`,
    to: 'Panel MCC-1',
    lengthM: 40 + (cableNumber(spec, entry) % 60),
    cores: [{ count, areaMm2, diameterMm }],
    shape: 'round',
    coldFlow: kind.inner === 'diaphragm',
    innerMm: inner,
    armour,
    unarmoured: armour === null ? { by: 'R. Tarn', on: '2026-01-15' } : null,
    sheathMm: sheath,
    outerMm: round2(inner + 2 * (armourMm + sheath)),
    toleranceMm: 0.4,
    maxC: 90,
    filling: kind.pot === 'none' ? 'filled' : 'not-filled',
    breathing: null,
    mineral: null,
    ...entry.twist?.cable,
  };
}

/** Id of the cable in an entry. */
const cableId = (spec: SiteSpec, entry: EntrySpec): Id =>
  `${spec.prefix}-cable-${entry.mineral ?? `${entry.enclosure}-${entry.label}`}`.toLowerCase();

const cableNumber = (spec: SiteSpec, entry: EntrySpec): number => 2000 + 7 * spec.entries.indexOf(entry);

/** Id of an entry. */
export const entryId = (spec: SiteSpec, entry: Pick<EntrySpec, 'enclosure' | 'label'>): Id =>
  `${spec.prefix}-${entry.enclosure}-${entry.label}`.toLowerCase();

/** The usual certificate of a kind, by the end of its id. */
const USUAL: Record<KindId, string> = {
  'gland-double-seal': 'double',
  'gland-reversible-ring': 'reversible',
  'gland-dedicated-ring': 'dedicated',
  'gland-diaphragm': 'diaphragm',
  'gland-barrier': 'barrier',
  'gland-barrier-plain': 'barrier-plain',
  'gland-plain': 'plain',
  'gland-industrial': 'industrial',
  'connector-resin': 'resin',
  'mi-pot': 'mi-pot',
  'mi-link': 'mi-link',
  'transit-block': 'transit-block',
  'transit-block-bonded': 'transit-bonded',
  'transit-cabinet': 'transit-cabinet',
  'transit-sealant': 'transit-sealant',
};

/** The entry's record, twisted as it says. */
export function entryOf(spec: SiteSpec, entry: EntrySpec, thread: string): DossierFields['entry'] {
  const { ring } = KINDS[entry.kind];
  const turned = ring === 'reversible' || ring === 'dedicated';
  return {
    id: entryId(spec, entry),
    enclosure: `${spec.prefix}-${entry.enclosure}`.toLowerCase(),
    label: entry.label,
    kind: entry.kind,
    hole: { form: 'threaded', thread, diameterMm: null, chamfersMm: 1 },
    certificate: `${spec.prefix}-cert-${entry.certificate ?? USUAL[entry.kind]}`,
    size: entry.transit ? null : entry.size,
    ringFace: turned ? (entry.twist?.cable?.armour?.type === 'braid' ? 'X' : 'W') : null,
    cable: entry.transit ? null : cableId(spec, entry),
    washerMm: entry.transit ? 0 : 2,
    adaptors: [],
    tailMm: entry.transit ? null : entry.mineral ? 120 : 180,
    frame: frameOf(entry),
    ...entry.twist?.entry,
  };
}

/** Diameter over a bundle of cores, as a multiple of one core, by their number. */
const BUNDLE: Record<number, number> = { 1: 1, 2: 2, 3: 2.155, 4: 2.414, 5: 2.7, 6: 3, 7: 3 };

/** The true values at an entry's places, before the readings scatter round them. */
export function truthOf(
  entry: EntrySpec,
  cable: DossierFields['cable'],
  wallMm: number,
  size: GlandSize,
): Record<string, number> {
  const [{ count, diameterMm } = { count: 1, diameterMm: 1 }] = cable.cores;
  const gripped = KINDS[entry.kind].armour === 'gripped';
  const truth = {
    'outer-sheath': cable.outerMm,
    'inner-sheath': cable.innerMm,
    'over-cores': round2((BUNDLE[count] ?? 3) * diameterMm),
    armour: gripped ? cable.outerMm - 2 * cable.sheathMm : (cable.armour?.sizeMm ?? 1),
    'armour-length': size.armourLengthMm ? (size.armourLengthMm[0] + size.armourLengthMm[1]) / 2 : 18,
    'thread-engagement': wallMm - 1,
    'inner-proud': (size.innerProudMm ?? 5) + 3,
    'compound-reach': 14,
    bond: 0.011,
    'torque-entry': 35,
    'turns-clamp': 0.88,
    'turns-inner-seal': 1.12,
    'turns-outer-seal': 0.88,
    'turns-pot': 0.88,
    'pot-projection': 2,
    ...mineralTruth(cable),
    ...entry.twist?.truth,
  } as Record<string, number>;
  if (size.backNut) {
    // A cable that is too thick for the seal has no place on the scale.
    const cableMm = Math.min(truth['outer-sheath']!, size.backNut.freeBoreMm);
    truth['back-nut-gap'] = round2(gapFor(size.backNut, cableMm).gapMm + (entry.twist?.gapOffMm ?? 0));
  }
  return truth;
}

/** Places that one reading is enough for, and those that are read thrice. */
const THRICE = new Set(['outer-sheath', 'inner-sheath', 'over-cores', 'armour']);

/** Readings of one place: scatter of the instrument, and the ovality of a sheath. */
export function readingsAt(entry: EntrySpec, place: string, truth: number, seed: number): number[] {
  if (place === 'bond' || place === 'sheath-earth') return [round4(truth + 0.0004 * normalAt(seed, 0))];
  if (!THRICE.has(place)) return [round2(truth)];
  const wanted = entry.twist?.count?.[place] ?? 3 + (seed % 2);
  const oval = place.endsWith('sheath') ? (entry.twist?.oval ?? 0.08) : 0;
  return Array.from({ length: wanted }, (_, i) => {
    const axis = oval * 0.5 * Math.cos((2 * Math.PI * i) / 3);
    const scatter = 0.015 * Math.max(-1.5, Math.min(1.5, normalAt(seed, i)));
    return round2(truth + axis + scatter);
  });
}

/** Answers to every look of an entry, the sound ones, twisted as the entry says. */
export function answersOf(
  entry: EntrySpec,
  certificate: DossierFields['certificate'],
  place: {
    weather: string | null;
    sealedBefore: boolean;
    unused: boolean;
    singleCore: boolean;
    screened: boolean;
  },
): [look: string, answer: string][] {
  const usual: Record<string, string> = {
    'unused-entries': place.unused ? 'yes' : 'none',
    unaltered: place.sealedBefore ? 'same' : 'first',
    shroud: place.weather === 'indoors' && certificate.sheet.shroud === 'none' ? 'none' : 'fitted',
  };
  return looksOf(entry.kind, certificate)
    .filter(({ id }) => (id !== 'single-core' || place.singleCore) && (id !== 'drain-wire' || place.screened))
    .map(({ id, answers }) => [
      id,
      entry.twist?.looks?.[id] ?? usual[id] ?? answers.find(({ good }) => good)!.id,
    ]);
}
