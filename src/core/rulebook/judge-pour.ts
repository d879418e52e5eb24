import { compoundTimes } from '../gland/compound';
import { atMost, below } from '../quantity/compare';
import type { CompoundData, Pour } from '../record/types';
import { isLater } from '../instrument/calibration';
import { type None, saying } from './check';
import type { Context } from './dossier';
import type { Aspect } from '../record/finding';

type OfMoments = { name: string; mixedAt: string; packedAt: string | null; lookedAt: string | null };
type OfPour = {
  name: string;
  batch: string;
  expires: string;
  mixedAt: string;
  packedAt: string | null;
  temperatureC: number | null;
};
type OfRatio = OfPour & { ratio: string };
type OfTime = OfPour & { workingMin: number; tookMin: number };
type OfCure = { name: string; lookAt: string; lowestC: number | null };
type OfCureSeen = { name: string; lookAt: string; lowestC: number | null; lookedAt: string | null };

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'pour.no-sheet': { sheet: string; what: string };
  'pour.none': { name: string };
  'pour.order': OfMoments;
  'pour.future': OfMoments;
  'pour.no-batch': OfPour;
  'pour.no-expiry': OfPour;
  'pour.expired': OfPour;
  'pour.ratio-unknown': OfRatio;
  'pour.ratio': OfRatio;
  'pour.no-temperature': OfPour | OfCure;
  'pour.too-cold': OfPour & { minimumC: number };
  'pour.not-packed': OfPour | OfCure;
  'pour.in-time': OfTime;
  'pour.too-late': OfTime;
  'pour.no-lowest': OfCure;
  'pour.cure-stopped': { name: string; lookAt: string; lowestC: number | null; minimumC: number };
  'pour.curing': OfCure;
  'pour.not-looked': OfCure;
  'pour.looked-too-early': OfCureSeen;
  'pour.cured': OfCureSeen;
};
const { conforms, fails, unread } = saying<Says>();

/** A minute in milliseconds. */
const MINUTE_MS = 60_000;
/** An hour: exactly so many milliseconds. */
const HOUR_MS = 3_600_000;

/** When a pour becomes stiff, may be looked at, and may be energised; ISO 8601. */
export interface PourClocks {
  stiffAt: string;
  /** Null while it is not packed. */
  lookAt: string | null;
  energiseAt: string | null;
}

/** The same in ms since 1970; null without a temperature. */
function momentsOf(compound: CompoundData, { temperatureC, lowestC, mixedAt, packedAt }: Pour) {
  if (temperatureC === null) return null;
  const coldestC = Math.min(temperatureC, lowestC ?? temperatureC);
  const factor = compoundTimes(compound, coldestC).cureHours / compound.cureHours;
  const packed = packedAt === null ? null : Date.parse(packedAt);
  return {
    stiff: Date.parse(mixedAt) + compoundTimes(compound, temperatureC).workingMinutes * MINUTE_MS,
    look: packed === null ? null : packed + compound.cureHours * factor * HOUR_MS,
    energise: packed === null ? null : packed + compound.energiseHours * factor * HOUR_MS,
  };
}

const iso = (ms: number): string => new Date(ms).toISOString();
const isoOrNull = (ms: number | null): string | null => (ms === null ? null : iso(ms));

/**
 * The clocks of a pour, by the temperatures that were recorded: working life from mixing on the temperature
 * then, cure from packing on the lowest since. Null without a temperature.
 */
export function clocksOf(compound: CompoundData, pour: Pour): PourClocks | null {
  const moments = momentsOf(compound, pour);
  if (!moments) return null;
  return {
    stiffAt: iso(moments.stiff),
    lookAt: isoOrNull(moments.look),
    energiseAt: isoOrNull(moments.energise),
  };
}

/** Batch, expiry, ratio, temperature and working life of every pour, and the cure of the newest. */
export function judgePours(context: Context, what: 'compound' | 'resin'): Aspect[] {
  const { certificate, pours } = context;
  if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
  const { compound, number } = certificate.sheet;
  if (!compound) return [unread('pour.no-sheet', { sheet: number, what }, 'settle.sheet')];
  if (pours.length === 0) {
    // Found made off before these records begin: face, hardness and voids are asked by opening, not the batch.
    if (context.entry.foundMadeOff && !context.madeOffHere) return [];
    return [unread('pour.none', { name: compound.name }, 'settle.pour')];
  }
  const aspects: Aspect[] = [];
  for (const pour of pours) {
    outOfOrder(context, compound, pour, aspects);
    judgeMixing(compound, pour, aspects);
  }
  aspects.push(judgeCure(context, compound, pours[pours.length - 1]!));
  return aspects;
}

/** Mixed, packed, looked at, in this order and not in the future: otherwise one of the times is wrong. */
function outOfOrder(
  { at }: Context,
  { name }: CompoundData,
  { mixedAt, packedAt, lookedAt }: Pour,
  aspects: Aspect[],
): void {
  const mixed = Date.parse(mixedAt);
  const packed = packedAt === null ? null : Date.parse(packedAt);
  const looked = lookedAt === null ? null : Date.parse(lookedAt);
  const order = (packed ?? mixed) >= mixed && (looked === null || looked >= (packed ?? mixed));
  if (!order) {
    aspects.push(unread('pour.order', { name, mixedAt, packedAt, lookedAt }, 'settle.pour'));
  } else if (isLater(lookedAt ?? packedAt ?? mixedAt, at)) {
    aspects.push(unread('pour.future', { name, mixedAt, packedAt, lookedAt }, 'settle.clock'));
  }
}

function judgeMixing(compound: CompoundData, pour: Pour, aspects: Aspect[]): void {
  const { batch, expires, ratioKept, temperatureC, mixedAt, packedAt } = pour;
  const { name } = compound;
  const facts = { name, batch: batch ?? '', expires: expires ?? '', mixedAt, packedAt, temperatureC };
  if (batch === null) aspects.push(fails('pour.no-batch', facts));
  if (expires === null) aspects.push(fails('pour.no-expiry', facts));
  else if (mixedAt.slice(0, 10) > expires.slice(0, 10)) aspects.push(fails('pour.expired', facts));
  if (ratioKept === null)
    aspects.push(unread('pour.ratio-unknown', { ...facts, ratio: compound.ratio }, 'settle.pour'));
  else if (!ratioKept) aspects.push(fails('pour.ratio', { ...facts, ratio: compound.ratio }));
  const moments = momentsOf(compound, pour);
  if (!moments || temperatureC === null) {
    aspects.push(unread('pour.no-temperature', facts, 'settle.pour'));
    return;
  }
  if (below(temperatureC, compound.minimumC)) {
    aspects.push(fails('pour.too-cold', { ...facts, minimumC: compound.minimumC }));
  }
  if (packedAt === null) {
    aspects.push(unread('pour.not-packed', facts, 'settle.pour'));
    return;
  }
  const workingMin = (moments.stiff - Date.parse(mixedAt)) / MINUTE_MS;
  const tookMin = (Date.parse(packedAt) - Date.parse(mixedAt)) / MINUTE_MS;
  const timed = { ...facts, workingMin, tookMin };
  aspects.push(atMost(tookMin, workingMin) ? conforms('pour.in-time', timed) : fails('pour.too-late', timed));
}

/** Looked at before the cure is a look at soft compound; nobody has looked before the time is up. */
function judgeCure({ at }: Context, compound: CompoundData, pour: Pour): Aspect {
  const moments = momentsOf(compound, pour);
  const look = moments?.look ?? null;
  const facts = { name: compound.name, lookAt: isoOrNull(look) ?? '', lowestC: pour.lowestC };
  if (!moments) return unread('pour.no-temperature', facts, 'settle.pour');
  if (look === null) return unread('pour.not-packed', facts, 'settle.pour');
  if (pour.lowestC === null) return unread('pour.no-lowest', facts, 'settle.lowest');
  if (below(pour.lowestC, compound.minimumC)) {
    return unread('pour.cure-stopped', { ...facts, minimumC: compound.minimumC }, 'settle.warm');
  }
  if (pour.lookedAt === null) {
    const curing = at !== '' && Date.parse(at) < look;
    return unread(curing ? 'pour.curing' : 'pour.not-looked', facts, 'settle.look-after-cure');
  }
  const seen = { ...facts, lookedAt: pour.lookedAt };
  return Date.parse(pour.lookedAt) < look
    ? fails('pour.looked-too-early', seen)
    : conforms('pour.cured', seen);
}
