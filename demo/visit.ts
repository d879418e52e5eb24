import type { DossierFields } from '../src/core/commands/commands';
import { looksOf, placesOf } from '../src/core/kinds/kinds';
import { answersOf, cableOf, entryOf, readingsAt, truthOf } from './scenario';
import { certificates } from './series';
import { entryId, WALL_MM, type EnclosureSpec, type EntrySpec, type Script, type SiteSpec } from './spec';
import { addPacking } from './transits';

/** Instrument that measures a place, by the end of its id. */
function instrumentAt(place: string, unit: string): string {
  if (unit === 'ohm') return 'ohm-02';
  if (unit === 'turns') return 'mark-01';
  if (unit === 'Nm') return 'driver-04';
  return place === 'support-distance' || place === 'sheath-length' ? 'rule-05' : 'caliper-07';
}

/** Who goes where on which day, and how far in. */
export interface Visit {
  round: string;
  days: number;
  by: string;
  reach: 'all' | 'outside';
  /** Whether an earlier record of the entry is sealed. */
  sealedBefore: boolean;
}

/** Everything that a visit to an entry measures and sees. */
export function inspect(script: Script, spec: SiteSpec, entry: EntrySpec, visit: Visit): void {
  const { round, days, by, reach } = visit;
  const id = entryId(spec, entry);
  const certificate = certificateOf(spec, entry);
  const enclosure = spec.enclosures.find(({ tag }) => tag === entry.enclosure)!;
  if (entry.transit) {
    const at = script.at(days);
    // From outside it is looked at as it was packed.
    if (reach === 'all') addPacking(script, spec, entry, at, by);
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
    // Nobody counts turns or sets a driver on a joint that stays closed.
    if (!open && /^(turns|torque)-/.test(place.id)) return;
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
    outside: !open,
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
