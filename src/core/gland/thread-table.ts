import { MM_PER_INCH } from '../quantity/length';

export type ThreadSeries = 'metric' | 'npt' | 'r' | 'g' | 'pg' | 'et';

/** One thread of the public standards; lengths in mm. */
export interface Thread {
  designation: string;
  series: ThreadSeries;
  /** Nominal major diameter. */
  nominalMm: number;
  /** Major diameter at the small end of a taper thread; null for a parallel one. */
  smallEndMm: number | null;
  pitchMm: number;
}

const metric = (nominal: number, pitch: number): Thread => ({
  designation: `M${nominal}x${pitch}`,
  series: 'metric',
  nominalMm: nominal,
  smallEndMm: null,
  pitchMm: pitch,
});

const inch = (
  series: ThreadSeries,
  prefix: string,
  rows: readonly (readonly [string, number, number | null, number])[],
): Thread[] =>
  rows.map(([size, nominalMm, smallEndMm, tpi]) => ({
    designation: `${prefix} ${size}`,
    series,
    nominalMm,
    smallEndMm,
    pitchMm: MM_PER_INCH / tpi,
  }));

const NPT = inch('npt', 'NPT', [
  ['1/2', 21.34, 20.72, 14],
  ['3/4', 26.67, 26.03, 14],
  ['1', 33.4, 32.59, 11.5],
  ['1 1/4', 42.16, 41.32, 11.5],
  ['1 1/2', 48.26, 47.39, 11.5],
  ['2', 60.33, 59.4, 11.5],
  ['2 1/2', 73.03, 71.62, 8],
  ['3', 88.9, 87.39, 8],
]);

const PIPE: readonly (readonly [string, number, number, number])[] = [
  ['1/2', 20.955, 20.44, 14],
  ['3/4', 26.441, 25.85, 14],
  ['1', 33.249, 32.6, 11],
  ['1 1/4', 41.91, 41.12, 11],
  ['1 1/2', 47.803, 47.01, 11],
  ['2', 59.614, 58.62, 11],
];

const PG = inch('pg', 'Pg', [
  ['7', 12.5, null, 20],
  ['9', 15.2, null, 18],
  ['11', 18.6, null, 18],
  ['13.5', 20.4, null, 18],
  ['16', 22.5, null, 18],
  ['21', 28.3, null, 16],
  ['29', 37, null, 16],
  ['36', 47, null, 16],
  ['42', 54, null, 16],
  ['48', 59.3, null, 16],
]);

const ET = inch('et', 'ET', [
  ['5/8', 15.875, null, 18],
  ['3/4', 19.05, null, 16],
  ['1', 25.4, null, 16],
  ['1 1/4', 31.75, null, 16],
  ['1 1/2', 38.1, null, 14],
  ['2', 50.8, null, 14],
]);

/** Every thread an entry device may carry, in the order in which ties are settled. */
export const THREADS: readonly Thread[] = [
  ...[12, 16, 20, 25, 32, 40, 50, 63, 75].map((nominal) => metric(nominal, 1.5)),
  metric(90, 2),
  ...NPT,
  ...inch('r', 'R', PIPE),
  ...inch(
    'g',
    'G',
    PIPE.map(([size, nominal, , tpi]) => [size, nominal, null, tpi] as const),
  ),
  ...PG,
  ...ET,
];

const BY_DESIGNATION = new Map(THREADS.map((thread) => [thread.designation, thread]));

/** The thread of a designation such as `M25x1.5` or `NPT 3/4`; null when the table has none. */
export const threadOf = (designation: string): Thread | null => BY_DESIGNATION.get(designation) ?? null;
