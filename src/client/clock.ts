let offsetMs = 0;

/** Time on this device, ISO 8601. */
export const now = (): string => new Date(Date.now() + offsetMs).toISOString();

/** Follows a server whose clock was set by hand. */
export function followClock(serverNow: string): void {
  offsetMs = Date.parse(serverNow) - Date.now();
}
