import { InputError } from '../quantity/error';

/** How a round thing was measured: across with a caliper, or round it with a tape. */
export type DiameterMethod = 'caliper' | 'tape';

/** What the calibration certificate and the instrument's record say, in mm on the instrument's own scale. */
export interface MeasuringMeans {
  expandedUncertaintyMm: number;
  coverageFactor: number;
  resolutionMm: number;
  /** Standard deviation of one reading on this kind of sheath; null when nobody has found it out. */
  repeatabilityMm: number | null;
}

/** A wrapped tape: its thickness, and what ovality it may hide (site setting). */
export interface TapeSetting {
  /** 0 for a tape graduated with the allowance. */
  thicknessMm: number;
  ovalityAllowancePct: number;
}

export interface Diameter {
  n: number;
  meanMm: number;
  minMm: number;
  maxMm: number;
  /** 100·(max − min)/mean; null for a tape, which hides it. */
  ovalityPct: number | null;
  standardUncertaintyMm: number;
  /** 2u. */
  expandedUncertaintyMm: number;
  /** At least three readings with an instrument of known repeatability. */
  decisive: boolean;
}

/** Readings needed before a diameter settles anything: two can lie symmetrically to the long axis. Chosen: three, 60° apart, meet any two-sided ovality. */
export const DECISIVE_READINGS = 3;

/**
 * Diameter of a round thing from readings at one place, with its uncertainty.
 *
 * @param readingsMm diameters (caliper) or circumferences (tape), mm, each > 0
 * @throws InputError when there is no reading, or the tape is thicker than a reading allows
 * @see JCGM 100:2008, 4.2, 4.3, 5.1
 */
export function diameter(
  method: DiameterMethod,
  readingsMm: readonly number[],
  means: MeasuringMeans,
  tape: TapeSetting | null,
): Diameter {
  if (readingsMm.length === 0) throw new InputError('readings_mm', 'readings.none');
  if (method === 'tape' && !tape) throw new InputError('tape', 'tape.needs');
  const scale = method === 'tape' ? Math.PI : 1;
  const thickness = method === 'tape' && tape ? tape.thicknessMm : 0;

  const n = readingsMm.length;
  let sum = 0;
  let least = Infinity;
  let greatest = -Infinity;
  for (let i = 0; i < n; i++) {
    const reading = readingsMm[i]!;
    const d = method === 'tape' ? reading / Math.PI - thickness : reading;
    if (!(d > 0) || !Number.isFinite(d)) {
      throw new InputError(`readings_mm.${i}`, 'reading.zero');
    }
    sum += d;
    least = Math.min(least, d);
    greatest = Math.max(greatest, d);
  }
  const mean = sum / n;

  const uCal = means.expandedUncertaintyMm / means.coverageFactor / scale;
  const uRes = means.resolutionMm / Math.sqrt(12) / scale;
  const spread = sampleDeviation(readingsMm) / scale / Math.sqrt(n);
  const uRep = means.repeatabilityMm === null ? spread : Math.max(spread, means.repeatabilityMm / scale);
  const u = Math.sqrt(uCal * uCal + uRes * uRes + uRep * uRep);
  if (!Number.isFinite(u)) throw new InputError('instrument', 'instrument.figures');

  const widening = method === 'tape' && tape ? tape.ovalityAllowancePct / 200 : 0;
  return {
    n,
    meanMm: mean,
    minMm: least * (1 - widening),
    maxMm: greatest * (1 + widening),
    ovalityPct: method === 'tape' ? null : (100 * (greatest - least)) / mean,
    standardUncertaintyMm: u,
    expandedUncertaintyMm: 2 * u,
    decisive: n >= DECISIVE_READINGS && means.repeatabilityMm !== null,
  };
}

/** Sample standard deviation; 0 for a single value. */
function sampleDeviation(values: readonly number[]): number {
  const n = values.length;
  if (n < 2) return 0;
  let sum = 0;
  for (const v of values) sum += v;
  const mean = sum / n;
  let squares = 0;
  for (const v of values) squares += (v - mean) * (v - mean);
  return Math.sqrt(squares / (n - 1));
}
