import type { Calibration, InstrumentFields, ReadingFault } from './instrument';

/** A device's clock may be so far ahead of the judgement, ms. Chosen: what a clock drifts between two syncs; more is a wrong clock. */
export const CLOCK_SLACK_MS = 120_000;

/** Whether a time lies after another by more than clocks may differ; false where one of them is not known. */
export function isLater(time: string, than: string): boolean {
  if (than === '' || time === '') return false;
  // Times of one zone sort as text: most answers need no date at all.
  if (time <= than && (time.length === DAY_LENGTH || time[time.length - 1] === 'Z')) return false;
  return Date.parse(time) > Date.parse(than) + CLOCK_SLACK_MS;
}
/** Letters of a day as ISO 8601 writes it. */
const DAY_LENGTH = 10;

/**
 * Why no calibration speaks for a reading at a time, by the instrument's record as it stands now: days are
 * counted in UTC, the last day of a calibration still counts.
 */
function calibrationFault(instrument: InstrumentFields, at: string): ReadingFault | null {
  const day = at.slice(0, 10);
  if (day > instrument.calibratedUntil.slice(0, 10)) return 'past-calibration';
  // A copy inside a sealed record of an earlier day has no history.
  const history = instrument.calibrations ?? [];
  if (history.length === 0) return null;
  let found: 'within' | 'out' | null | undefined;
  for (const { from, to, found: how } of history) {
    if ((from === null || from.slice(0, 10) <= day) && day <= to.slice(0, 10)) found = how;
  }
  if (found === undefined) return 'past-calibration';
  return found === 'out' ? 'found-out' : null;
}

/** Why a value cannot count as a measurement; a fault of the measurement, not of the cable. */
export function faultOf(instrument: InstrumentFields, value: number, at: string): ReadingFault | null {
  const fault = calibrationFault(instrument, at);
  if (fault) return fault;
  const [least, most] = instrument.span;
  return value < least || value > most ? 'outside-span' : null;
}

/** What a place asks of the instrument that measures it. */
export interface MeansOfPlace {
  instruments: readonly InstrumentFields['kind'][];
  unit: InstrumentFields['unit'];
}

/**
 * Why a reading cannot count, worked out anew from the instrument's record; the mark that is stored with the
 * reading can only add a fault.
 *
 * @param place null for a place that the kind of entry does not have
 * @param since day on which the round began: a reading before it was taken by a clock set back
 */
export function readingFault(
  { fault, value, at }: { fault: ReadingFault | null; value: number; at: string },
  instrument: InstrumentFields | null,
  place: MeansOfPlace | null,
  since: string | null,
): ReadingFault | null {
  if (!instrument) return 'no-instrument';
  if (fault) return fault;
  const found = faultOf(instrument, value, at);
  if (found) return found;
  if (place && (!place.instruments.includes(instrument.kind) || place.unit !== instrument.unit))
    return 'wrong-kind';
  return since !== null && at.slice(0, 10) < since.slice(0, 10) ? 'before-round' : null;
}

/** Places from which a pooled repeatability is known (handbook of the plant: at least ten). Chosen: fewer places say little of how a hand repeats itself (JCGM 100, type A). */
const POOLED_FROM_PLACES = 10;

/** Repeatability of one reading on a kind of sheath; null when it is not known, or pooled from too few places. */
export function repeatabilityOn(
  { repeatability, repeatabilitySoft, pooledPlaces }: InstrumentFields,
  soft: boolean,
): number | null {
  if (pooledPlaces !== null && pooledPlaces !== undefined && pooledPlaces < POOLED_FROM_PLACES) return null;
  return soft ? repeatabilitySoft : repeatability;
}

/**
 * An instrument's calibrations after a change of its record: a later date is a new calibration from that day on,
 * an earlier one ends the newest.
 *
 * @param at when the record was changed, ISO 8601
 */
export function withCalibrations<I extends InstrumentFields>(before: I | null, after: I, at: string): I {
  const history = after.calibrations ?? [];
  const until = after.calibratedUntil.slice(0, 10);
  if (!before) return history.length > 0 ? dated(after, history) : after;
  if (history !== before.calibrations && !same(history, before.calibrations ?? []))
    return dated(after, history);
  const was = before.calibratedUntil.slice(0, 10);
  if (until === was) return after;
  const known =
    history.length > 0 ? history : [{ from: null, to: was, found: null, certificate: before.calibration }];
  if (until > was) {
    const next = { from: at.slice(0, 10), to: until, found: null, certificate: after.calibration };
    return { ...after, calibrations: [...known, next] };
  }
  const cut = known.map((one) => (one.to.slice(0, 10) > until ? { ...one, to: until } : one));
  return { ...after, calibrations: cut };
}

const same = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

/** The date of the record follows from its calibrations. */
function dated<I extends InstrumentFields>(instrument: I, calibrations: Calibration[]): I {
  const last = calibrations.reduce((latest, { to }) => (to > latest ? to : latest), '');
  return last === '' ? instrument : { ...instrument, calibratedUntil: last };
}
