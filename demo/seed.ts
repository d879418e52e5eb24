import { dayIn } from '../src/core/record/calendar';
import type { DossierFields } from '../src/core/record/commands';
import { looksOf, placesOf } from '../src/core/record/kinds';
import type { App } from '../src/server/app';
import { acceptCommands } from '../src/server/commands/accept';
import { signIn } from '../src/server/http/session';
import { MARROWICK } from './marrowick';
import { OXGATE } from './oxgate';
import { entryId, Script, type EnclosureSpec, type EntrySpec, type SiteSpec } from './spec';
import { answersOf, cableOf, entryOf, readingsAt, truthOf } from './scenario';
import { instruments } from './instruments';
import { addMineral, sealEnd } from './mineral';
import { MINERAL_CABLES, mineralCableOf } from './mineral-cables';
import { addWork } from './work';
import { certificates } from './series';
import { addPacking, transitCables } from './transits';

/** The invented people of the demo. */
export const PEOPLE = ['A. Vell', 'M. Okonjo', 'R. Tarn'] as const;
/** Both demo sites. */
export const SITES: readonly SiteSpec[] = [MARROWICK, OXGATE];

const WALL_MM = 12;

/** Fills an empty database with the demo scenario, its days counted from today. */
export function seedDemo(app: App): void {
  for (const name of PEOPLE) signIn(app, name);
  for (const spec of SITES) {
    const { commands } = scriptOf(spec, app.clock());
    for (const { command, by } of commands) {
      const [answer] = acceptCommands(app, [command], by);
      if (answer?.status !== 'applied') {
        throw new Error(`The demo's ${command.kind} was refused: ${answer?.field} ${answer?.message}`);
      }
    }
  }
}

/** The commands that make a site. */
export function scriptOf(spec: SiteSpec, today: Date): Script {
  const script = new Script(spec.site.id, today);
  addDossier(script, spec, today);
  addMakeOffs(script, spec);
  addMineralEnds(script, spec);
  addEarlierRound(script, spec);
  addMineral(script, spec);
  addRound(script, spec);
  addWork(script, spec);
  return script;
}

function addDossier(script: Script, spec: SiteSpec, today: Date): void {
  const by = 'R. Tarn';
  const at = () => script.at(-400);
  const { prefix } = spec;
  script.add('site.add', spec.site, at(), by);
  for (const area of spec.areas) script.add('area.add', area, at(), by);
  const certs = certificates(prefix);
  for (const certificate of certs) script.add('certificate.add', certificate, at(), by);
  for (const instrument of instruments(prefix, dayIn(today.toISOString(), 'UTC'))) {
    script.add('instrument.add', instrument, at(), by);
  }
  for (const { tag, area, what, x, y, z = 0, ...rest } of spec.enclosures) {
    const enclosure: DossierFields['enclosure'] = {
      id: `${prefix}-${tag}`.toLowerCase(),
      area,
      tag,
      what,
      concepts: rest.concepts ?? ['eb'],
      group: rest.group ?? 'IIB',
      temperatureClass: null,
      ingress: rest.ingress ?? 'IP54',
      derating: null,
      volumeCm3: rest.volumeCm3 ?? 1200,
      wallMm: rest.wallMm ?? WALL_MM,
      entryTemperatureC: rest.entryTemperatureC ?? null,
      measuredTemperature: null,
      positionM: { x, y, z },
      material: rest.material ?? 'metal',
      ignitionSource: rest.ignitionSource ?? false,
      indirectEntry: false,
      demandsBarrier: false,
      unused: rest.unused ?? [],
    };
    script.add('enclosure.add', enclosure, at(), by);
  }
  if (prefix === 'mb')
    for (const one of MINERAL_CABLES) script.add('cable.add', mineralCableOf(spec, one), at(), by);
  for (const entry of spec.entries) {
    if (entry.transit) {
      for (const cable of transitCables(spec, entry)) script.add('cable.add', cable, at(), by);
      script.add('entry.add', entryOf(spec, entry, 'M20x1.5'), at(), by);
      continue;
    }
    if (!entry.mineral) script.add('cable.add', cableOf(spec, entry), at(), by);
    const sizes = certs.find(({ id }) => id === entryOf(spec, entry, '').certificate)!.sheet.sizes;
    const { thread } = sizes.find(({ size }) => size === entry.size)!;
    script.add('entry.add', entryOf(spec, entry, thread), at(), by);
  }
}

/** Entries of the close round a year ago. */
const earlierOf = (spec: SiteSpec): EntrySpec[] =>
  spec.entries
    .filter(
      ({ planted, read, madeOff, mineral, transit }) =>
        !planted && !madeOff && !mineral && !transit && read === 'all',
    )
    .slice(0, 4);

/** Entries made off in a round of their own, each left with a sealed record of what it hides now. */
function addMakeOffs(script: Script, spec: SiteSpec): void {
  const chosen = spec.entries.filter(({ madeOff }) => madeOff);
  if (chosen.length === 0) return;
  const by = 'M. Okonjo';
  const round = `${spec.prefix}-round-12`;
  const started = script.at(-380);
  const entries = chosen.map((entry) => entryId(spec, entry));
  script.add(
    'round.add',
    { id: round, name: 'Make-off, new heads', grade: 'detailed', entries, started, closed: null },
    started,
    by,
  );
  for (const entry of chosen) {
    inspect(script, spec, entry, { round, days: -379, by, reach: 'all', sealedBefore: false });
    const at = script.at(-378);
    const payload = {
      id: script.id(at), entry: entryId(spec, entry), round, why: 'make-off' as const,
      outerSeal: 'replaced' as const, innerSeal: 'replaced' as const, note: '',
    }; // prettier-ignore
    script.add('asleft.seal', payload, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(-377) } }, script.at(-377), by);
}

/** Ends of mineral-insulated cables, sealed when they were laid; each with a record of what it hides. */
function addMineralEnds(script: Script, spec: SiteSpec): void {
  const chosen = spec.entries.filter(({ mineral, work }) => mineral && !work);
  if (chosen.length === 0) return;
  const by = 'A. Vell';
  const round = `${spec.prefix}-round-11`;
  const started = script.at(-1095);
  const entries = chosen.map((entry) => entryId(spec, entry));
  script.add('round.add', { id: round, name: 'Make-off, mineral cables', grade: 'detailed', entries, started, closed: null }, started, by); // prettier-ignore
  for (const entry of chosen) {
    const of = entryId(spec, entry);
    const start = script.at(-1094);
    const work = `${of}-sealing`;
    script.add(
      'makeoff.start',
      { id: work, entry: of, round, why: 'make-off', habit: 'body-first' },
      start,
      by,
    );
    sealEnd(script, spec, entry, work, start);
    inspect(script, spec, entry, { round, days: -1093, by, reach: 'all', sealedBefore: false });
    const at = script.at(-1092);
    const payload = {
      id: script.id(at), entry: of, round, why: 'make-off' as const, outerSeal: 'none' as const,
      innerSeal: 'none' as const, note: '',
    }; // prettier-ignore
    script.add('asleft.seal', payload, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(-1091) } }, script.at(-1091), by);
}

/** A close round a year ago: a few entries sealed, with defects that went different ways since. */
function addEarlierRound(script: Script, spec: SiteSpec): void {
  const chosen = earlierOf(spec);
  const [damaged, loose, overdue] = chosen;
  if (!damaged || !loose || !overdue) return;
  const by = 'M. Okonjo';
  const round = `${spec.prefix}-round-13`;
  const started = script.at(-330);
  const entries = chosen.map((entry) => entryId(spec, entry));
  script.add(
    'round.add',
    { id: round, name: 'Round 13', grade: 'close', entries, started, closed: null },
    started,
    by,
  );
  const wrong = new Map([
    [damaged, { damage: 'painted' }],
    [loose, { 'bond-tight': 'loose' }],
    [overdue, { 'unused-cores': 'no' }],
  ] as [EntrySpec, Record<string, string>][]);
  for (const entry of chosen) {
    const earlier = { ...entry, twist: { ...entry.twist, looks: wrong.get(entry) } } as EntrySpec;
    inspect(script, spec, earlier, { round, days: -329, by, reach: 'outside', sealedBefore: false });
  }
  const raise = (entry: EntrySpec, check: string, action: string, days: number) => {
    const at = script.at(days);
    const id = script.id(at);
    const payload = {
      id,
      entry: entryId(spec, entry),
      round,
      check,
      grade: 'close' as const,
      photos: [],
      action,
      observation: null,
    };
    script.add('defect.raise', payload, at, by);
    return id;
  };
  const first = raise(damaged, 'E-29', 'Clean the seal face, replace the outer seal.', -329);
  const second = raise(loose, 'E-23a', 'Tighten the tag, serrated washer.', -329);
  raise(overdue, 'E-27', 'Terminate the two spare cores.', -329);
  script.add(
    'defect.edit',
    { id: first, set: { owner: 'R. Tarn', state: 'assigned' } },
    script.at(-320),
    'R. Tarn',
  );
  script.add('defect.edit', { id: first, set: { state: 'done' } }, script.at(-290), 'R. Tarn');
  script.add(
    'defect.edit',
    { id: second, set: { owner: 'R. Tarn', state: 'done' } },
    script.at(-325),
    'R. Tarn',
  );
  for (const entry of chosen) {
    const at = script.at(-328);
    script.add('inspection.seal', { id: script.id(at), entry: entryId(spec, entry), round }, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(-327) } }, script.at(-327), by);
}

/** The round that is under way: detailed, some entries not reached yet. */
function addRound(script: Script, spec: SiteSpec): void {
  const by = 'A. Vell';
  const round = `${spec.prefix}-round-14`;
  const started = script.at(-2);
  const entries = spec.entries.filter(({ work }) => !work).map((entry) => entryId(spec, entry));
  script.add(
    'round.add',
    { id: round, name: 'Round 14', grade: 'detailed', entries, started, closed: null },
    started,
    by,
  );
  const found: [EntrySpec, string][] = [];
  const before = new Set(earlierOf(spec));
  spec.entries.forEach((entry, i) => {
    if (entry.read === 'none') return;
    const sealedBefore = before.has(entry) || Boolean(entry.madeOff ?? entry.mineral);
    inspect(script, spec, entry, { round, days: i % 2 ? -1 : -2, by, reach: entry.read, sealedBefore });
    // Every second planted fault is logged already; the others wait for somebody to raise them.
    if (i % 2 && entry.planted && entry.read === 'all') found.push([entry, entry.planted[0]!]);
  });
  for (const [entry, check] of found) {
    const at = script.at(-1);
    const id = script.id(at);
    const payload = {
      id,
      entry: entryId(spec, entry),
      round,
      check,
      grade: 'detailed' as const,
      photos: [],
      action: '',
      observation: null,
    };
    script.add('defect.raise', payload, at, by);
  }
}

/** Instrument that measures a place, by the end of its id. */
function instrumentAt(place: string, unit: string): string {
  if (unit === 'ohm') return 'ohm-02';
  if (unit === 'turns') return 'mark-01';
  if (unit === 'Nm') return 'driver-04';
  return place === 'support-distance' || place === 'sheath-length' ? 'rule-05' : 'caliper-07';
}

interface Visit {
  round: string;
  days: number;
  by: string;
  reach: 'all' | 'outside';
  /** Whether an earlier record of the entry is sealed. */
  sealedBefore: boolean;
}

function inspect(script: Script, spec: SiteSpec, entry: EntrySpec, visit: Visit): void {
  const { round, days, by, reach } = visit;
  const id = entryId(spec, entry);
  const certificate = certificateOf(spec, entry);
  const enclosure = spec.enclosures.find(({ tag }) => tag === entry.enclosure)!;
  if (entry.transit) {
    const at = script.at(days);
    addPacking(script, spec, entry, at, by);
    answerLooks(script, spec, entry, visit, certificate, enclosure, { singleCore: false, screened: false });
    return;
  }
  const cable = cableOf(spec, entry);
  const size = certificate.sheet.sizes.find((one) => one.size === entry.size)!;
  const truth: Record<string, number> = {
    ...truthOf(entry, cable, enclosure.wallMm ?? WALL_MM, size),
    ...(certificate.reducedRetention
      ? { 'support-distance': entry.twist?.truth?.['support-distance'] ?? 180 }
      : {}),
  };
  const open = reach === 'all';
  placesOf(entry.kind, certificate.sheet).forEach((place, p) => {
    const value = truth[place.id];
    if (value === undefined || (!open && place.grade === 'detailed')) return;
    if (entry.twist?.count?.[place.id] === 0) return;
    const instrument = entry.twist?.instrument?.[place.id] ?? instrumentAt(place.id, place.unit);
    const seed = 31 * spec.entries.findIndex((e) => entryId(spec, e) === id) + 7 * p + round.length;
    for (const reading of readingsAt(entry, place.id, value, seed)) {
      const at = script.at(days);
      const payload = {
        id: script.id(at),
        entry: id,
        round,
        place: place.id,
        value: reading,
        typed: String(reading),
        method: place.unit === 'mm' && instrument !== 'rule-05' ? ('caliper' as const) : null,
        instrument: `${spec.prefix}-${instrument}`,
        source: instrument === 'caliper-07' ? ('instrument' as const) : ('typed' as const),
      };
      script.add('reading.take', payload, at, by);
    }
  });
  if (open && certificate.sheet.compound) pour(script, entry, id, visit);
  answerLooks(script, spec, entry, visit, certificate, enclosure, {
    singleCore: cable.cores.reduce((sum, { count }) => sum + count, 0) === 1,
    screened: cable.mineral?.screened ?? true,
  });
}

/** The answers to every look that a visit reaches. */
function answerLooks(
  script: Script,
  spec: SiteSpec,
  entry: EntrySpec,
  { round, days, by, reach, sealedBefore }: Visit,
  certificate: DossierFields['certificate'],
  enclosure: EnclosureSpec,
  cable: { singleCore: boolean; screened: boolean },
): void {
  const id = entryId(spec, entry);
  const open = reach === 'all';
  const { weather } = spec.areas.find((area) => area.id === enclosure.area)!;
  const place = {
    weather,
    sealedBefore,
    unused: (enclosure.unused ?? []).length > 0,
    ...cable,
  };
  const looks = looksOf(entry.kind, certificate);
  for (const [look, answer] of answersOf(entry, certificate, place)) {
    const { grade } = looks.find((one) => one.id === look)!;
    if (!open && grade === 'detailed') continue;
    if (look === 'bond-path' && entry.twist?.count?.bond === 0) continue;
    const at = script.at(days);
    const note = look.startsWith('condition-') ? (entry.twist?.note ?? 'seen when it was open') : '';
    script.add(
      'look.answer',
      { id: script.id(at), entry: id, round, look, answer, photo: null, note },
      at,
      by,
    );
  }
}

const HOUR_MS = 3_600_000;

/** Compound or resin as it should be mixed, packed and looked at, or as the twist says. */
function pour(script: Script, entry: EntrySpec, id: string, { round, days, by }: Visit): void {
  const { workedMin = 8, lookAfterH = 44, ...rest } = entry.twist?.pour ?? {};
  const mixed = Date.parse(script.at(days - 3));
  const packed = mixed + workedMin * 60_000;
  const iso = (ms: number) => new Date(ms).toISOString();
  const at = script.at(days);
  const payload = {
    id: script.id(at),
    entry: id,
    round,
    batch: 'DY 2608',
    expires: iso(mixed + 200 * 24 * HOUR_MS).slice(0, 10),
    ratioKept: true,
    mixedAt: iso(mixed),
    packedAt: iso(packed),
    temperatureC: 19,
    lowestC: 16,
    lookedAt: iso(packed + lookAfterH * HOUR_MS),
    ...rest,
  };
  script.add('pour.record', payload, at, by);
}

const certificateOf = (spec: SiteSpec, entry: EntrySpec): DossierFields['certificate'] =>
  certificates(spec.prefix).find(({ id }) => id === entryOf(spec, entry, '').certificate)!;
