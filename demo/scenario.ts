import { monotonicFactory } from 'ulid';
import { normalAt } from '../src/core/instrument/random';
import type { AnyCommand, DossierFields, Payloads } from '../src/core/record/commands';
import { KINDS } from '../src/core/record/kinds';
import type { KindId } from '../src/core/record/kind-ids';
import type { Id } from '../src/core/record/types';
import { CABLE_FOR } from './series';

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
}

/** An entry and what is wrong with it on purpose. */
export interface EntrySpec {
  enclosure: string;
  label: string;
  kind: KindId;
  size: string;
  /** Certificate by the end of its id; the usual one of the kind when left out. */
  certificate?: string;
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

/** Sound cable for an entry's size, twisted as the entry says. */
export function cableOf(spec: SiteSpec, entry: EntrySpec): DossierFields['cable'] {
  const { inner, wire, sheath, cores } = CABLE_FOR[entry.size]!;
  const tag = `P-${cableNumber(spec, entry)}`;
  const type = entry.twist?.cable?.armour?.type ?? 'wire';
  const armourMm = type === 'wire' ? wire : 0.4;
  const [count, areaMm2, diameterMm] = cores;
  return {
    id: `${spec.prefix}-cable-${entry.enclosure}-${entry.label}`.toLowerCase(),
    tag,
    from: `${entry.enclosure}, entry ${entry.label}`,
    to: 'Panel MCC-1',
    lengthM: 40 + (cableNumber(spec, entry) % 60),
    cores: [{ count, areaMm2, diameterMm }],
    shape: 'round',
    coldFlow: false,
    innerMm: inner,
    armour: { type, sizeMm: armourMm, material: 'steel', areaMm2: null },
    unarmoured: null,
    sheathMm: sheath,
    outerMm: round2(inner + 2 * (armourMm + sheath)),
    toleranceMm: 0.4,
    maxC: 90,
    ...entry.twist?.cable,
  };
}

const cableNumber = (spec: SiteSpec, entry: EntrySpec): number => 2000 + 7 * spec.entries.indexOf(entry);

/** Id of an entry. */
export const entryId = (spec: SiteSpec, entry: Pick<EntrySpec, 'enclosure' | 'label'>): Id =>
  `${spec.prefix}-${entry.enclosure}-${entry.label}`.toLowerCase();

/** The entry's record, twisted as it says. */
export function entryOf(spec: SiteSpec, entry: EntrySpec, thread: string): DossierFields['entry'] {
  const reversible = KINDS[entry.kind].ring === 'reversible';
  const usual = reversible ? 'reversible' : 'double';
  return {
    id: entryId(spec, entry),
    enclosure: `${spec.prefix}-${entry.enclosure}`.toLowerCase(),
    label: entry.label,
    kind: entry.kind,
    hole: { form: 'threaded', thread, diameterMm: null, chamfersMm: 1 },
    certificate: `${spec.prefix}-cert-${entry.certificate ?? usual}`,
    size: entry.size,
    ringFace: reversible ? (entry.twist?.cable?.armour?.type === 'braid' ? 'X' : 'W') : null,
    cable: `${spec.prefix}-cable-${entry.enclosure}-${entry.label}`.toLowerCase(),
    washerMm: 0,
    ...entry.twist?.entry,
  };
}

/** The true values at an entry's places, before the readings scatter round them. */
export function truthOf(
  entry: EntrySpec,
  cable: DossierFields['cable'],
  wallMm: number,
): Record<string, number> {
  return {
    'outer-sheath': cable.outerMm,
    'inner-sheath': cable.innerMm,
    armour: cable.armour?.sizeMm ?? 1,
    'thread-engagement': wallMm - 1,
    bond: 0.011,
    ...entry.twist?.truth,
  } as Record<string, number>;
}

/** Readings of one place: scatter of the instrument, and the ovality of a sheath. */
export function readingsAt(entry: EntrySpec, place: string, truth: number, seed: number): number[] {
  const unit = place === 'bond' ? 'ohm' : 'mm';
  if (unit === 'ohm') return [round4(truth + 0.0004 * normalAt(seed, 0))];
  const single = place === 'thread-engagement' || place.startsWith('thread-');
  const wanted = entry.twist?.count?.[place] ?? (single ? 1 : 3 + (seed % 2));
  const sheath = place.endsWith('sheath');
  const oval = sheath ? (entry.twist?.oval ?? 0.08) : 0;
  return Array.from({ length: wanted }, (_, i) => {
    const axis = oval * 0.5 * Math.cos((2 * Math.PI * i) / 3);
    const scatter = single ? 0 : 0.015 * Math.max(-1.5, Math.min(1.5, normalAt(seed, i)));
    return round2(truth + axis + scatter);
  });
}

/** Answers to every look of a kind, the good ones, twisted as the entry says. */
export function looksOf(entry: EntrySpec): [look: string, answer: string][] {
  return KINDS[entry.kind].looks.map(({ id, answers }) => [
    id,
    entry.twist?.looks?.[id] ?? answers.find(({ good }) => good)!.id,
  ]);
}
