import { each, at, lookQuestions, type ChangeOf, type Mutation } from './mutation';
import { add, drop, type Records } from './records';

/** Limits of a place in its own unit, from sheet and cable alone; null where a side has none. */
type Limits = (records: Records) => [low: number | null, high: number | null] | null;

interface Measured {
  limits: Limits;
  /** More than any uncertainty of the test's instruments, in the unit of the place. */
  step: number;
}

const GEOMETRY = ({ size, enclosure, entry }: Records): number =>
  Math.min(size.maleLengthMm - entry.washerMm - size.runoutMm, enclosure.wallMm);

const MEASURED: Record<string, Measured> = {
  'outer-sheath': { limits: ({ size }) => size.outer.rangeMm, step: 0.6 },
  'inner-sheath': { limits: ({ size }) => size.inner?.rangeMm ?? null, step: 0.6 },
  'over-cores': { limits: ({ size }) => size.pot?.overCoresMm ?? null, step: 0.6 },
  armour: {
    limits: ({ size, cable }) => size.clamp.find(({ armour }: { armour: string }) => armour === cable.armour?.type)?.rangeMm ?? null,
    step: 0.3,
  },
  'armour-length': { limits: ({ size }) => size.armourLengthMm, step: 1 },
  'inner-proud': { limits: ({ size }) => [size.innerProudMm, null], step: 1 },
  // Five full threads of 1.5 mm, and no more than there is to engage.
  'thread-engagement': { limits: (r) => (r.enclosure.concepts.includes('db') ? [5 * 1.5, GEOMETRY(r)] : null), step: 0.6 },
  bond: { limits: ({ site }) => [null, site.bondLimitOhm], step: 0.01 },
  'pot-projection': { limits: ({ size }) => size.mineral?.projectionMm ?? null, step: 0.5 },
  'sheath-earth': { limits: ({ cable }) => [null, cable.mineral?.earthLimitOhm ?? null], step: 0.05 },
  'torque-entry': { limits: () => [30, 40], step: 3 },
  'turns-outer-seal': { limits: () => [0.6, 1.1], step: 0.25 },
  'back-nut-gap': { limits: ({ size, readings }) => {
    const gap = readings.find(({ place }) => place === 'back-nut-gap')?.value as number | undefined;
    return gap === undefined ? null : [gap - (size.backNut?.toleranceMm ?? 0), gap + (size.backNut?.toleranceMm ?? 0)];
  }, step: 0.9 },
  'compound-reach': { limits: ({ certificate }) => [null, certificate.sheet.compound?.reachMm ?? null], step: 1 },
  'sheath-length': { limits: ({ readings, cable }) => {
    const cut = readings.find(({ place }) => place === 'sheath-length')?.value as number | undefined;
    const fit = (cable.mineral?.link?.fitMm as number | undefined) ?? 0;
    return cut === undefined ? null : [cut - fit, cut + fit];
  }, step: 4 },
}; // prettier-ignore

const PLACES = Object.keys(MEASURED);
const LATER = '2026-03-20T09:00:00.000Z';
const BEFORE = '2026-02-11T09:00:00.000Z';
/** Kinds of instrument that measure no place of the test at all, or another quantity. */
const WRONG = ['i', 'g', 'n', 'o', 't', 'u'];

const setAll = (
  records: Records,
  place: string,
  change: (reading: Records['readings'][number]) => void,
): boolean => {
  const taken = at(records, place);
  taken.forEach(change);
  return taken.length > 0;
};
const moved = (records: Records, place: string, by: number): boolean =>
  setAll(records, place, (reading) => {
    reading.value = Math.round((reading.value + by) * 1e6) / 1e6;
    reading.typed = String(reading.value);
  });

/** Shifts every reading of a place past a limit by so many steps. */
function past(place: string, side: 0 | 1, steps: number): Mutation['edit'] {
  return (records) => {
    const limit = MEASURED[place]!.limits(records)?.[side] ?? null;
    const taken = at(records, place);
    if (limit === null || taken.length === 0) return false;
    const mean = taken.reduce((sum, { value }) => sum + (value as number), 0) / taken.length;
    const target = limit + (side === 0 ? -1 : 1) * steps * MEASURED[place]!.step;
    if (target <= 0) return false;
    return moved(records, place, target - mean);
  };
}

/** Whether a value is past a limit of its place. */
const outside = (records: Records, place: string, value: number): boolean => {
  const [low, high] = MEASURED[place]!.limits(records) ?? [null, null];
  const { step } = MEASURED[place]!;
  return (low !== null && value < low - step) || (high !== null && value > high + step);
};

const slipped =
  (place: string, factor: number): Mutation['edit'] =>
  (records) => {
    const [first] = at(records, place);
    if (!first || !outside(records, place, first.value * factor)) return false;
    return setAll(records, place, (reading) => {
      reading.value = reading.value * factor;
      reading.typed = String(reading.value);
    });
  };

const reread = (records: Records, place: string, change: object): boolean => {
  const taken = at(records, place);
  taken.forEach((one, i) => add(records, 'reading', { ...one, id: `other-${place}-${i}`, ...change }));
  return taken.length > 0;
};

/** Only where the joint is a flameproof one are threads counted; the drawing of the parts counts them too. */
const COUNTED = 'thread-engagement';
const isCounted = ({ enclosure }: Records): boolean => enclosure.concepts.includes('db');

const readingsOf = (place: string): Mutation[] => {
  const blanks = place === COUNTED ? [] : blanksOf(place);
  const rest = [...blanks, ...faultsOf(place)];
  return place === COUNTED
    ? rest.map((one): Mutation => ({ ...one, edit: (r) => (isCounted(r) ? one.edit(r) : false) }))
    : rest;
};

const blanksOf = (place: string): Mutation[] => {
  const field = `place:${place}`;
  const one = (change: ChangeOf, reason: string, edit: Mutation['edit']): Mutation => ({
    field,
    change,
    reason,
    edit,
  });
  return [
    one('blank', 'Nobody has measured it.', (r) => {
      const had = at(r, place).length > 0;
      drop(r, 'reading', (reading) => reading.place === place);
      return had;
    }),
    one('blank', 'Every reading is struck out.', (r) => setAll(r, place, (reading) => (reading.struck = { by: 'A. Vell', at: '2026-03-04T09:30:00.000Z', reason: 'misreading' }))),
    one('blank', 'One reading is left where three are asked for.', (r) => {
      const [first, ...rest] = at(r, place);
      if (!first || rest.length === 0) return false;
      drop(r, 'reading', (reading) => reading.place === place && reading.id !== first.id);
      return true;
    }),
    one('day', 'It belongs to another round.', (r) => setAll(r, place, (reading) => (reading.round = 'another'))),
  ]; // prettier-ignore
};

const faultsOf = (place: string): Mutation[] => {
  const field = `place:${place}`;
  const one = (change: ChangeOf, reason: string, edit: Mutation['edit']): Mutation => ({
    field,
    change,
    reason,
    edit,
  });
  return [
    ...[1, 2.5, 6].flatMap((steps) => [
      one('out', `It lies below what the sheet takes, by ${steps} times more than any doubt of the instrument.`, past(place, 0, steps)),
      one('out', `It lies above what the sheet takes, by ${steps} times more than any doubt of the instrument.`, past(place, 1, steps)),
    ]),
    ...[10, 0.1, 25.4, 1 / 25.4, 1000, 0.001].map((factor) =>
      one('unit', `The figure was written in another unit, ${factor.toPrecision(4)} times what it was, and lies outside the sheet.`, slipped(place, factor)),
    ),
    ...each(field, 'kind', 'Such an instrument cannot measure this.', WRONG, (r, id) => {
      const [first] = at(r, place);
      const now = first && r.instruments.get(first.instrument as string);
      const next = r.instruments.get(id);
      // The meter of the bond measures every resistance, a rule some lengths; only another quantity is surely wrong.
      if (!now || !next || now.kind === next.kind || (next.unit === now.unit && id !== 'g')) return false;
      return setAll(r, place, (reading) => (reading.instrument = id));
    }),
    one('day', 'It was read on a day that has not come.', (r) => setAll(r, place, (reading) => (reading.at = LATER))),
    one('day', 'It was read before this round began.', (r) => (place === COUNTED && r.works.length > 0 ? false : setAll(r, place, (reading) => (reading.at = BEFORE)))),
    one('day', 'The instrument’s calibration had run out on that day.', (r) => calibrated(r, place, { calibratedUntil: '2026-03-01' })),
    one('day', 'The instrument was found out at its next calibration.', (r) => calibrated(r, place, { calibrations: [{ from: '2026-01-01', to: '2026-06-01', found: 'out', certificate: 'CAL 2' }] })),
    one('person', 'Somebody else read what the sheet does not take.', (r) => {
      const [low, high] = MEASURED[place]!.limits(r) ?? [null, null];
      const limit = high ?? low;
      if (limit === null) return false;
      const value = limit + (high === null ? -4 : 4) * MEASURED[place]!.step;
      return reread(r, place, { by: 'M. Okonjo', value, typed: String(value), at: '2026-03-04T09:20:00.000Z' });
    }),
    one('file', 'Nobody knows the instrument: its record is in another site’s file.', (r) => setAll(r, place, (reading) => (reading.instrument = 'elsewhere'))),
    one('file', 'It reads past the span that the instrument’s record has here.', (r) => calibrated(r, place, { span: [5000, 6000] })),
  ]; // prettier-ignore
};

function calibrated(records: Records, place: string, change: object): boolean {
  const [first] = at(records, place);
  const instrument = first && records.instruments.get(first.instrument as string);
  if (!instrument) return false;
  Object.assign(instrument, change);
  return true;
}

/** Looks that are asked only where something else is recorded. */
const ASKED: Record<string, (r: Records) => boolean> = {
  flats: (r) => r.readings.some(({ method }) => method === 'tape'),
  'thread-taper': (r) => at(r, 'thread-major').length > 0,
  'single-core': (r) =>
    r.cable.cores.reduce((sum: number, { count }: { count: number }) => sum + count, 0) === 1,
  'seen-entry': (r) => at(r, 'torque-entry').length === 0,
  'seen-outer-seal': (r) => at(r, 'turns-outer-seal').length === 0,
  'from-face': () => false,
};

/** Looks of every kind, by their id: the answer is taken away, turned bad, or somebody else's, or of another day. */
const looksOf = (id: string): Mutation[] => {
  const field = `look:${id}`;
  const find = (r: Records) =>
    ASKED[id]?.(r) === false ? undefined : r.looks.find(({ look }) => look === id);
  const badAnswers = (r: Records) =>
    lookQuestions(r)
      .find((one) => one.id === id)
      ?.answers.filter(({ good }) => !good)
      .map((answer) => answer.id) ?? [];
  const answered =
    (nth: number): Mutation['edit'] =>
    (r) => {
      const look = find(r);
      const answer = badAnswers(r)[nth];
      if (!look || !answer) return false;
      look.answer = answer;
    };
  const set =
    (change: object): Mutation['edit'] =>
    (r) => {
      const look = find(r);
      if (!look) return false;
      Object.assign(look, change);
    };
  return [
    { field, change: 'blank', reason: 'Nobody has looked.', edit: (r) => {
      const had = find(r) !== undefined;
      drop(r, 'look', ({ look }) => look === id);
      return had;
    } },
    ...[0, 1, 2, 3].map((nth): Mutation => ({ field, change: 'out', reason: 'What was seen is bad, or could not be seen.', edit: answered(nth) })),
    { field, change: 'kind', reason: 'The answer is one to another question.', edit: set({ answer: 'of-another-question' }) },
    { field, change: 'day', reason: 'It was seen in another round.', edit: set({ round: 'another' }) },
    { field, change: 'person', reason: 'Somebody else saw later that it is bad.', edit: (r) => {
      const look = find(r);
      const [answer] = badAnswers(r);
      if (!look || !answer) return false;
      add(r, 'look', { ...look, id: `other-${id}`, answer, by: 'M. Okonjo', at: '2026-03-04T09:40:00.000Z' });
    } },
    { field, change: 'file', reason: 'The look belongs to an entry of another site.', edit: set({ entry: 'elsewhere', round: 'elsewhere' }) },
  ]; // prettier-ignore
};

/** Every way to spoil readings and looks, for the looks that any kind asks. */
export const readingMutations = (looks: readonly string[]): Mutation[] => [
  ...PLACES.flatMap(readingsOf),
  ...looks.flatMap(looksOf),
];
