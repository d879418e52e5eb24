import { compoundTimes } from '../gland/compound';
import { atMost, below } from '../quantity/compare';
import type { CompoundData, Pour } from '../record/types';
import { conforms, fails, unread } from './check';
import type { Context } from './dossier';
import type { Aspect } from './finding';

const MINUTE_MS = 60_000;
const HOUR_MS = 3_600_000;

/** When a pour becomes stiff, may be looked at, and may be energised; ISO 8601. */
export interface PourClocks {
  stiffAt: string;
  lookAt: string;
  energiseAt: string;
}

/**
 * The clocks of a pour, by the temperatures that were recorded: working life from mixing on the temperature
 * then, cure from packing on the lowest since. Null without a temperature.
 */
export function clocksOf(compound: CompoundData, pour: Pour): PourClocks | null {
  const { temperatureC, lowestC, mixedAt, packedAt } = pour;
  if (temperatureC === null) return null;
  const coldestC = Math.min(temperatureC, lowestC ?? temperatureC);
  const { workingMinutes } = compoundTimes(compound, temperatureC);
  const look = compoundTimes(compound, coldestC).cureHours;
  const energise = compoundTimes({ ...compound, cureHours: compound.energiseHours }, coldestC).cureHours;
  const after = (from: string, ms: number) => new Date(Date.parse(from) + ms).toISOString();
  return {
    stiffAt: after(mixedAt, workingMinutes * MINUTE_MS),
    lookAt: after(packedAt, look * HOUR_MS),
    energiseAt: after(packedAt, energise * HOUR_MS),
  };
}

/** Batch, expiry, ratio, temperature and working life of every pour, and the cure of the newest. */
export function judgePours(context: Context, what: 'compound' | 'resin'): Aspect[] {
  const { certificate, pours } = context;
  if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
  const { compound, number } = certificate.sheet;
  if (!compound) return [unread('pour.no-sheet', { sheet: number, what }, 'settle.sheet')];
  if (pours.length === 0) return [unread('pour.none', { name: compound.name }, 'settle.pour')];
  const mixing = pours.flatMap((pour) => judgeMixing(compound, pour));
  const cure = judgeCure(context, compound, pours[pours.length - 1]!);
  return [...mixing, cure];
}

function judgeMixing(compound: CompoundData, pour: Pour): Aspect[] {
  const { batch, expires, ratioKept, temperatureC, mixedAt, packedAt } = pour;
  const { name } = compound;
  const facts = { name, batch: batch ?? '', expires: expires ?? '', mixedAt, packedAt, temperatureC };
  const aspects: Aspect[] = [];
  if (batch === null) aspects.push(fails('pour.no-batch', facts));
  if (expires === null) aspects.push(fails('pour.no-expiry', facts));
  else if (mixedAt.slice(0, 10) > expires.slice(0, 10)) aspects.push(fails('pour.expired', facts));
  if (ratioKept === null)
    aspects.push(unread('pour.ratio-unknown', { ...facts, ratio: compound.ratio }, 'settle.pour'));
  else if (!ratioKept) aspects.push(fails('pour.ratio', { ...facts, ratio: compound.ratio }));
  const clocks = clocksOf(compound, pour);
  if (!clocks || temperatureC === null) {
    return [...aspects, unread('pour.no-temperature', facts, 'settle.pour')];
  }
  if (below(temperatureC, compound.minimumC)) {
    aspects.push(fails('pour.too-cold', { ...facts, minimumC: compound.minimumC }));
  }
  const workingMin = (Date.parse(clocks.stiffAt) - Date.parse(mixedAt)) / MINUTE_MS;
  const tookMin = (Date.parse(packedAt) - Date.parse(mixedAt)) / MINUTE_MS;
  const times = { ...facts, workingMin, tookMin };
  aspects.push(atMost(tookMin, workingMin) ? conforms('pour.in-time', times) : fails('pour.too-late', times));
  return aspects;
}

/** Looked at before the cure is a look at soft compound; nobody has looked before the time is up. */
function judgeCure({ at }: Context, compound: CompoundData, pour: Pour): Aspect {
  const clocks = clocksOf(compound, pour);
  const facts = { name: compound.name, lookAt: clocks?.lookAt ?? '', lowestC: pour.lowestC };
  if (!clocks) return unread('pour.no-temperature', facts, 'settle.pour');
  if (pour.lowestC === null) return unread('pour.no-lowest', facts, 'settle.lowest');
  if (below(pour.lowestC, compound.minimumC)) {
    return unread('pour.cure-stopped', { ...facts, minimumC: compound.minimumC }, 'settle.warm');
  }
  if (pour.lookedAt === null) {
    const curing = at !== '' && at < clocks.lookAt;
    return unread(curing ? 'pour.curing' : 'pour.not-looked', facts, 'settle.look-after-cure');
  }
  const seen = { ...facts, lookedAt: pour.lookedAt };
  return Date.parse(pour.lookedAt) < Date.parse(clocks.lookAt)
    ? fails('pour.looked-too-early', seen)
    : conforms('pour.cured', seen);
}
