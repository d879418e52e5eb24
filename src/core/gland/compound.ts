import { atMost, below, ceilSlack } from '../quantity/compare';
import { InputError } from '../quantity/error';

/** Cores of one diameter in a pot. */
export interface PotCores {
  count: number;
  diameterMm: number;
}

/** Least share of the pot that the compound fills, %, and along what length, mm (IEC 60079-1, Annex C). */
const LEAST_FREE_PCT = 20;
const LEAST_DEPTH_MM = 20;

export interface CompoundFill {
  volumeMl: number;
  /** With the waste. */
  neededMl: number;
  packs: number;
  freePct: number;
  conforms: boolean;
}

/**
 * Compound that a pot takes.
 *
 * @param boreMm bore of the pot, mm
 * @param depthMm depth that is filled, mm
 * @param wastePct added for what stays in the bag, %
 * @param packMl contents of a pack, ml
 * @throws InputError on `cores` when they leave no room
 */
export function compoundFill(
  boreMm: number,
  depthMm: number,
  cores: readonly PotCores[],
  wastePct: number,
  packMl: number,
): CompoundFill {
  const taken = cores.reduce((sum, { count, diameterMm }) => sum + count * diameterMm * diameterMm, 0);
  const free = boreMm * boreMm - taken;
  if (atMost(free, 0)) throw new InputError('cores', 'pot.full');
  const volumeMl = ((Math.PI / 4) * free * depthMm) / 1000;
  const neededMl = volumeMl * (1 + wastePct / 100);
  const freePct = (100 * free) / (boreMm * boreMm);
  return {
    volumeMl,
    neededMl,
    packs: ceilSlack(neededMl / packMl),
    freePct,
    conforms: atMost(LEAST_FREE_PCT, freePct) && atMost(LEAST_DEPTH_MM, depthMm),
  };
}

/** What the sheet of a compound says about time. */
export interface CompoundSheet {
  referenceC: number;
  /** Factor per 10 K. */
  q10: number;
  workingMinutes: number;
  cureHours: number;
  minimumC: number;
  /** The sheet itself gives other temperatures. */
  extrapolates: boolean;
}

export interface CompoundTimes {
  workingMinutes: number;
  cureHours: number;
  mayMix: boolean;
}

/**
 * Working life and cure at a temperature. Unless the sheet extrapolates, working life is never lengthened and
 * cure never shortened.
 *
 * @param temperatureC °C; for the cure the lowest since packing
 */
export function compoundTimes(sheet: CompoundSheet, temperatureC: number): CompoundTimes {
  const factor = sheet.q10 ** ((sheet.referenceC - temperatureC) / 10);
  const working = sheet.workingMinutes * factor;
  const cure = sheet.cureHours * factor;
  return {
    workingMinutes: sheet.extrapolates ? working : Math.min(sheet.workingMinutes, working),
    cureHours: sheet.extrapolates ? cure : Math.max(sheet.cureHours, cure),
    mayMix: !below(temperatureC, sheet.minimumC),
  };
}
