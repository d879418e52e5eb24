import { CLOCK_SLACK_MS } from '../instrument/calibration';
import type { Dossier } from '../rulebook/dossier';
import { clocksOf } from '../rulebook/judge-pour';

/** An hour: exactly so many milliseconds. */
const HOUR_MS = 3_600_000;

/**
 * The next moment after a judgement at which time alone can alter it: a compound has cured, bolts want tightening
 * again, what a clock ahead of ours has written comes to lie in the past. Calibrations and expiries are compared with
 * the day on which something was done, never with today.
 *
 * It may name a moment at which nothing changes; it never leaves one out.
 *
 * @param dossiers what was judged: the entry in its round, and in the earlier ones that were left open
 * @param at time of judging, ISO 8601
 * @returns ISO 8601; null where time changes nothing
 */
export function changesAt(dossiers: readonly Dossier[], at: string): string | null {
  const now = Date.parse(at);
  let next = Infinity;
  for (const dossier of dossiers)
    for (const moment of momentsOf(dossier, at)) if (moment > now && moment < next) next = moment;
  return next === Infinity ? null : new Date(next).toISOString();
}

/** Moments of a dossier, ms since 1970, in no order; those that have passed may be among them. */
function momentsOf(dossier: Dossier, at: string): number[] {
  const { certificate, pours, looks, transit } = dossier;
  const moments: number[] = [];
  const ahead = (time: string | null) => {
    // A time counts once the judgement's clock is as near to it as clocks may differ.
    if (time !== null && time > at) moments.push(Date.parse(time) - CLOCK_SLACK_MS);
  };
  ahead(certificate?.issued ?? null);
  for (const { at: read } of dossier.readings) ahead(read);
  for (const { at: given } of looks.values()) ahead(given);
  for (const pour of pours) {
    [pour.mixedAt, pour.packedAt, pour.lookedAt].forEach(ahead);
    const compound = certificate?.sheet.compound;
    const lookAt = compound ? clocksOf(compound, pour)?.lookAt : null;
    if (lookAt) moments.push(Date.parse(lookAt));
  }
  timesIn(dossier.record, ahead);
  timesIn(dossier.mineral, ahead);
  timesIn(transit, ahead);
  const relaxH = certificate?.sheet.transit?.relaxH;
  if (transit && relaxH != null) {
    const since = [looks.get('bolts-again')?.at, transit.at, ...transit.openings.map(({ packed }) => packed.packedAt)];
    for (const time of since) if (time) moments.push(Date.parse(time) + relaxH * HOUR_MS + 1);
  }
  return moments;
} // prettier-ignore

/** A time as records write it. */
const TIME = /^\d{4}-\d\d-\d\dT/;

/** Every time that stands somewhere in a record. */
function timesIn(value: unknown, found: (time: string) => void): void {
  if (typeof value === 'string') {
    if (TIME.test(value)) found(value);
  } else if (value instanceof Map) {
    for (const one of value.values()) timesIn(one, found);
  } else if (typeof value === 'object' && value !== null) {
    for (const one of Object.values(value)) timesIn(one, found);
  }
}
