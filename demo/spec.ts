import { monotonicFactory } from 'ulid';
import type { AnyCommand, DossierFields, Payloads } from '../src/core/commands/commands';
import type { KindId } from '../src/core/record/kind-ids';
import type { Frame, Id, MineralLink, PackedOpening } from '../src/core/record/types';

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
  branchTemperatureC?: number | null;
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
  /** Worked on today: its compound curing, just mixed, half of its steps done, its clamp tried, its frame packed, or opened up. */
  work?: 'curing' | 'mixed' | 'halfway' | 'drying' | 'begun' | 'tried' | 'packing' | 'opened';
  /** How far this round has got. */
  read: 'all' | 'outside' | 'none';
  /** Changes the sound entry into what it is. */
  twist?: Twist;
  /** Checks that must fail because of the twist; no others may. */
  planted?: string[];
}

/** Differences from a sound entry of its kind and size. */
interface Twist {
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
  entries: readonly EntrySpec[];
  /** Mineral-insulated cables of the site. */
  minerals: readonly MineralSpec[];
  /** Years of rounds behind it. */
  years: 1 | 3;
}

/** Collects the commands of a scenario in the order of time. */
export class Script {
  readonly commands: { command: AnyCommand; by: string }[] = [];
  readonly #ulid: (at: number) => string;
  #seconds = 0;

  constructor(
    readonly site: Id,
    readonly day0: Date,
    random?: () => number,
  ) {
    this.#ulid = monotonicFactory(random);
  }

  /** An id that sorts by its time. */
  id(at: string): Id {
    return this.#ulid(Date.parse(at));
  }

  /**
   * A time some days from the seeding day, a little later at each call. All calls together stay within one day, so
   * that nothing is done in time to come.
   */
  at(days: number): string {
    this.#seconds += 5;
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

/** What a transit of the demo holds, and how it was found. */
export interface TransitSpec {
  openings: Frame['openings'];
  /** Outer diameters by opening, mm; for sealant with their place on the face. */
  cables: readonly (readonly (number | [mm: number, x: number, y: number])[])[];
  where?: Frame['where'];
  sides?: Frame['sides'];
  /** Area on the other side of the wall, by the end of its id. */
  other?: string;
  /** Turns the sound packing into what was found. */
  found?: (opening: PackedOpening) => PackedOpening;
}

/** How one end was sealed when the cables were laid. */
interface SealedEnd {
  /** Insulation of its worst pair before sealing, MΩ; that of the new cable when left out. */
  beforeMegohm?: number;
  /** Minutes between the first reading and the compound. */
  sealedAfterMin?: number;
}

/** Id of an entry. */
export const entryId = (spec: SiteSpec, entry: Pick<EntrySpec, 'enclosure' | 'label'>): Id =>
  `${spec.prefix}-${entry.enclosure}-${entry.label}`.toLowerCase();

/** A mineral-insulated cable of the demo, and what is wrong with it on purpose. */
export interface MineralSpec {
  tag: string;
  from: string;
  to: string;
  lengthM: number;
  conductors: string[];
  screened?: boolean;
  jacketed?: boolean;
  /** Insulation at 20 °C when new, MΩ, and the factor by which it changes in a year. */
  megohm: number;
  yearly?: number;
  planted?: 'damp over the years' | 'short' | 'far end open' | 'fell at sealing';
  /** Conductors that were swapped at the far end. */
  crossed?: [string, string];
  sheathC?: number;
  link?: MineralLink;
  /** Laid today: never tested yet but by the work that is going on. */
  fresh?: boolean;
}

/** Thickness of a wall unless an enclosure says otherwise, mm. */
export const WALL_MM = 12;

/** What the demo's sites have alike: European zones, 100 mΩ for a bond, due days by level. */
export const SITE_RULES = {
  acceptance: 'guarded',
  references: 'iec-2013',
  scheme: 'zones',
  barrierSchool: '2013',
  ovalityAllowancePct: 3,
  bondLimitOhm: 0.1,
  bondPredictionFactor: 3,
  severityDays: { 4: 0, 3: 7, 2: 90, 1: 365 },
  timeZone: 'Europe/London',
  enclosureTypes: [],
  usualMinutes: [],
  intervals: { visual: null, close: 12, detailed: 33 },
  longestMonths: 36,
} satisfies Partial<SiteSpec['site']>;
