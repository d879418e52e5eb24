/** The days that were asked for last: each grade of an entry asks for the same. */
const DAYS = new Map<string, string>();
/** Chosen: what many entries of a round have in common. */
const MOST_DAYS = 1000;

/** The calendar day (YYYY-MM-DD) of a time in a time zone. */
export function dayIn(iso: string, timeZone: string): string {
  const asked = `${iso} ${timeZone}`;
  let day = DAYS.get(asked);
  if (day === undefined) {
    if (DAYS.size >= MOST_DAYS) DAYS.clear();
    DAYS.set(asked, (day = workOut(iso, timeZone)));
  }
  return day;
}

function workOut(iso: string, timeZone: string): string {
  const format = formatIn(timeZone);
  const day = format.format(new Date(iso));
  if (ISO_DAY.test(day)) return day;
  // An engine without that language writes the day its own way; its parts are the same.
  const parts = format
    .formatToParts(new Date(iso))
    .reduce<Record<string, string>>((all, { type, value }) => ({ ...all, [type]: value }), {});
  return `${parts.year}-${parts.month}-${parts.day}`;
}

/** A day as ISO 8601 writes it. */
const ISO_DAY = /^\d{4}-\d\d-\d\d$/;

/** Formatters cost more to make than to use: one per time zone. */
const FORMATS = new Map<string, Intl.DateTimeFormat>();

function formatIn(timeZone: string): Intl.DateTimeFormat {
  let format = FORMATS.get(timeZone);
  if (!format) {
    // Swedish writes a day as ISO 8601 does.
    format = new Intl.DateTimeFormat('sv-SE', {
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      timeZone,
    });
    FORMATS.set(timeZone, format);
  }
  return format;
}

/** A calendar day some days later. */
export function addDays(day: string, days: number): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}

/** A calendar day some months later, at most the last of its month: 31 January and one month is 28 or 29 February. */
export function addMonths(day: string, months: number): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const first = new Date(Date.UTC(year, month - 1 + months, 1));
  const last = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 0)).getUTCDate();
  first.setUTCDate(Math.min(date, last));
  return first.toISOString().slice(0, 10);
}
