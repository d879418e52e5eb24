import { KINDS, lookOf } from '../src/core/kinds/kinds';
import { partTick, seenTick, tryTick } from '../src/core/kinds/ticks';
import { addDrying } from './mineral';
import { entryId, type EntrySpec, type Script, type SiteSpec } from './spec';
import { cableOf } from './scenario';
import { addPacking } from './transits';

const MINUTE_MS = 60_000;
const BY = 'M. Okonjo';

/** What is done of each kind of work, and how long ago it began, in minutes. */
const DONE: Record<NonNullable<EntrySpec['work']>, { until: string; minutes: number }> = {
  curing: { until: 'pack', minutes: 150 },
  mixed: { until: 'mix', minutes: 50 },
  halfway: { until: 'spread', minutes: 35 },
  drying: { until: 'continuity', minutes: 60 },
  begun: { until: 'measure', minutes: 40 },
  tried: { until: 'spread', minutes: 45 },
  packing: { until: 'peel', minutes: 55 },
  opened: { until: 'lay-out', minutes: 20 },
};

/** Entries that are being made off as the demo begins: ticks, and compound that stiffens or cures. */
export function addWork(script: Script, spec: SiteSpec): void {
  const chosen = spec.entries.filter(({ work }) => work);
  if (chosen.length === 0) return;
  const ago = (minutes: number) => new Date(script.day0.getTime() - minutes * MINUTE_MS).toISOString();
  const started = ago(170);
  const round = `${spec.prefix}-round-15`;
  const entries = chosen.map((entry) => entryId(spec, entry));
  script.add('round.add', { id: round, name: 'Make-off, analyser house', grade: 'detailed', entries, started, closed: null }, started, BY); // prettier-ignore
  for (const entry of chosen) {
    const { until, minutes } = DONE[entry.work!];
    const at = ago(minutes);
    const work = `${entryId(spec, entry)}-work`;
    const of = { entry: entryId(spec, entry), round };
    const why = entry.work === 'opened' ? 'opening' : 'make-off';
    script.add('makeoff.start', { id: work, ...of, why, habit: 'body-first' }, at, BY);
    // The rows that are in are counted and looked at; the others lie ready.
    if (entry.transit) addPacking(script, spec, entry, ago(minutes - 1), BY);
    const { parts, steps } = KINDS[entry.kind];
    const own = steps.filter(({ whys }) => whys.includes(why));
    const first = own.filter((step) => step.first).map(({ id }) => id);
    const body = own.filter((step) => step.body).map(({ id }) => id);
    const rest = own.map(({ id }) => id).filter((id) => !first.includes(id) && !body.includes(id));
    const all = [...first, ...parts.map(({ id }) => partTick(id)), ...body, ...rest];
    const tick = (step: string, skipped: string | null = null) =>
      script.add('makeoff.tick', { id: work, step, initials: 'MO', skipped }, ago(minutes - 2), BY);
    // A kind without that step is half done.
    const done = all.includes(until) ? all.indexOf(until) + 1 : Math.ceil(all.length / 2);
    for (const step of all.slice(0, done)) {
      const { hold = null, seen = [] } = steps.find(({ id }) => id === step) ?? {};
      answer(script, spec, entry, of, hold, ago(minutes - 1));
      for (const key of seen) tick(seenTick(key));
      tick(step);
    }
    if (entry.work === 'drying') addDrying(script, spec, entry, ago);
    if (entry.work === 'tried') {
      for (const [n, answer] of ['Crossed', 'Inside the cone'].entries())
        tick(tryTick('dry-clamp', n + 1), answer);
    }
    if (entry.work !== 'curing' && entry.work !== 'mixed') continue;
    const packed = entry.work === 'curing';
    const payload = {
      id: script.id(at), ...of, batch: 'DY 2631', expires: ago(-200 * 24 * 60).slice(0, 10), ratioKept: true,
      mixedAt: ago(packed ? 75 : 6), packedAt: packed ? ago(60) : null, temperatureC: 19, lowestC: packed ? 19 : null,
      lookedAt: null,
    }; // prettier-ignore
    script.add('pour.record', payload, ago(packed ? 60 : 6), BY);
  }
}

/** What is read at the hold points of the work, mm. */
const READ: Record<string, number> = {
  'pot-projection': 2.1,
  'thread-engagement': 11,
  'armour-length': 17.5,
  'compound-reach': 14,
};

/** The reading or the good answer at a hold point. */
function answer(
  script: Script,
  spec: SiteSpec,
  entry: EntrySpec,
  of: { entry: string; round: string },
  hold: string | null,
  at: string,
): void {
  if (hold === null) return;
  if (hold === 'outer-sheath') return measure(script, spec, entry, of, at);
  const value = READ[hold];
  const id = script.id(at);
  if (value !== undefined) {
    const instrument = `${spec.prefix}-caliper-07`;
    script.add('reading.take', { id, ...of, place: hold, value, typed: String(value), method: 'caliper', instrument, source: 'typed' }, at, BY); // prettier-ignore
    return;
  }
  const look = lookOf(entry.kind, hold);
  if (!look) return;
  const good = look.answers.find((one) => one.good)!.id;
  script.add('look.answer', { id, ...of, look: hold, answer: good, photo: null, note: '' }, at, BY);
}

/** Three readings of each diameter of the cable, as its record says and a little beside it. */
function measure(
  script: Script,
  spec: SiteSpec,
  entry: EntrySpec,
  of: { entry: string; round: string },
  at: string,
): void {
  const { outerMm, innerMm, sheathMm, armour, cores } = cableOf(spec, entry);
  const [core] = cores;
  const values: Record<string, number | null | undefined> = {
    'outer-sheath': outerMm,
    'inner-sheath': innerMm,
    'over-cores': core!.diameterMm * 2.414,
    armour: KINDS[entry.kind].armour === 'gripped' ? outerMm! - 2 * sheathMm! : armour?.sizeMm,
  };
  const instrument = `${spec.prefix}-caliper-07`;
  for (const { id: place } of KINDS[entry.kind].places) {
    const value = values[place];
    if (value == null) continue;
    for (const off of [-0.02, 0, 0.01]) {
      const read = Math.round((value + off) * 100) / 100;
      script.add('reading.take', { id: script.id(at), ...of, place, value: read, typed: String(read), method: 'caliper', instrument, source: 'typed' }, at, BY); // prettier-ignore
    }
  }
}
