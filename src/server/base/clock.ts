/** The one clock. */
export type Clock = () => Date;

/**
 * The machine's clock, or one that starts at `YENDRAL_NOW` and runs on from there.
 *
 * @throws Error when `YENDRAL_NOW` is no time
 */
export function clockFrom(start: string | undefined): Clock {
  if (!start) return () => new Date();
  const offset = Date.parse(start) - Date.now();
  if (Number.isNaN(offset))
    throw new Error(`YENDRAL_NOW="${start}" is no time; write it like 2026-03-04T10:00:00Z.`);
  return () => new Date(Date.now() + offset);
}
