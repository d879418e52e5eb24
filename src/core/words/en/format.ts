/** A length with its unit: two decimals, and as many more as it takes to show that it is not zero. */
export const mm = (value: number): string => `${figure(value)} mm`;

/** A number of millimetres without the unit. */
export function figure(value: number, decimals = 2): string {
  const size = Math.abs(value);
  if (size > 0 && size < 0.5 * 10 ** -decimals) return value.toPrecision(1);
  return value.toFixed(decimals).replace(/(\.\d+?)0+$/, '$1');
}

/** A number with its unit, or that nobody recorded it. */
export const known = (value: number | null, unit: string, decimals?: number): string =>
  value === null ? 'not recorded' : `${figure(value, decimals)} ${unit}`;

/** Two limits and their unit, e.g. "17.0 to 23.5 mm". */
export const limits = (low: number, high: number, unit = 'mm'): string =>
  `${figure(low)} to ${figure(high)} ${unit}`;

/** A value with its uncertainty, e.g. "23.92 ± 0.06 mm". */
export const plusMinus = (value: number, uncertainty: number, unit = 'mm'): string =>
  `${value.toFixed(2)} ± ${uncertainty.toFixed(2)} ${unit}`;

/** A resistance in mΩ below 1 Ω, in Ω above. */
export const ohm = (value: number): string =>
  Math.abs(value) < 1 ? `${figure(value * 1000, 1)} mΩ` : `${figure(value)} Ω`;

/** A date as it is said on site, e.g. "3 Mar 2026"; the time zone is the site's. */
export function day(iso: string, timeZone = 'UTC'): string {
  return dayFormat(timeZone).format(new Date(iso));
}

/** Formatters cost more to make than a page of lists to fill: one per time zone. */
const DAYS = new Map<string, Intl.DateTimeFormat>();

function dayFormat(timeZone: string): Intl.DateTimeFormat {
  let format = DAYS.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone });
    DAYS.set(timeZone, format);
  }
  return format;
}

/** A moment as it is said on site, in the device's own time: "3 Mar 2026, 14:05". */
export const moment = (iso: string): string => momentFormat().format(new Date(iso));

const momentFormat = once(
  () =>
    new Intl.DateTimeFormat('en-GB', {
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
    }),
);

/** A month of a year, in the device's own time: "Mar 2026". */
export const month = (ms: number): string => monthFormat().format(new Date(ms));

const monthFormat = once(() => new Intl.DateTimeFormat('en-GB', { month: 'short', year: 'numeric' }));

/** Made when it is first needed: the first formatter of a page takes as long as drawing a list. */
function once<Made extends object>(make: () => Made): () => Made {
  let made: Made | undefined;
  return () => (made ??= make());
}

/** "1 reading", "3 readings". */
export const count = (n: number, noun: string, many = `${noun}s`): string => `${n} ${n === 1 ? noun : many}`;
