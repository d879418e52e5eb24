/** A page starts with the clock that the one before it followed: what it shows first is judged by it. */
const KEPT = 'yendral.clock';
let offsetMs = Number(kept()?.getItem(KEPT) ?? 0);

function kept(): Storage | undefined {
  return typeof localStorage === 'undefined' ? undefined : localStorage;
}

/** Time on this device, ISO 8601. */
export const now = (): string => new Date(Date.now() + offsetMs).toISOString();

/** Follows a server whose clock was set by hand; null for this device's own. */
export function followClock(serverNow: string | null): void {
  offsetMs = serverNow === null ? 0 : Date.parse(serverNow) - Date.now();
  if (serverNow === null) kept()?.removeItem(KEPT);
  else kept()?.setItem(KEPT, String(offsetMs));
}
