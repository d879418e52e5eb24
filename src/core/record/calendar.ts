/** The calendar day (YYYY-MM-DD) of a time in a time zone. */
export function dayIn(iso: string, timeZone: string): string {
  const parts = formatIn(timeZone)
    .formatToParts(new Date(iso))
    .reduce<Record<string, string>>((all, { type, value }) => ({ ...all, [type]: value }), {});
  return `${parts.year}-${parts.month}-${parts.day}`;
}

/** Formatters cost more to make than to use: one per time zone. */
const FORMATS = new Map<string, Intl.DateTimeFormat>();

function formatIn(timeZone: string): Intl.DateTimeFormat {
  let format = FORMATS.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', {
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
