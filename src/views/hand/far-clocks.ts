import type { Clocks } from '../../core/makeoff/clocks';
import type { RunningClocks } from '../../core/programme/lists';
import type { Id } from '../../core/record/types';
import { lists } from '../../client/lists';
import { device } from './hand';

/** The clocks of a large site are asked for so often at most, ms. */
const ASK_MS = 5000;
/** The server has judged what a change has touched so long after it, ms. Chosen: twice as long as it lets changes gather. */
const SETTLED_MS = 2500;
/** How long a question may take, ms. */
const WAIT_MS = 10_000;

interface Known {
  site: Id;
  /** State of things that was asked for, and the one that was seen since when. */
  asked: number;
  seen: { version: number; at: number };
  askedAt: number;
  found: RunningClocks | null;
}
let known: Known | null = null;
let asking = false;

/** Grows when others have come. */
let times = 0;
export const farTimes = (): number => times;

/** How many clocks the site has that are not told, since only those that are due first are. */
export const untold = (): number => (known?.found ? known.found.of - known.found.clocks.length : 0);

/**
 * Clocks of a large site that belong to nothing on this device, as the server knew them last; what has changed since is
 * asked for. Without the server those of before stay.
 *
 * @param version grows with what changes on the site
 */
export function farClocks(site: Id, version: number): Clocks {
  const now = performance.now();
  if (known?.site !== site) known = { site, asked: -1, seen: { version, at: -Infinity }, askedAt: -Infinity, found: null };
  if (known.seen.version !== version) known.seen = { version, at: now };
  const changed = known.asked !== version && now - known.seen.at > SETTLED_MS;
  if (changed && !asking && now - known.askedAt > ASK_MS) void ask(known, version);
  const { slice } = device.state();
  const isFar = ({ entry, cable }: { entry: Id | null; cable: Id | null }) =>
    entry === null ? !slice.get('cable', cable!) : !device.along.isHere(entry);
  const { clocks, late } = known.found ?? { clocks: [], late: [] };
  return { clocks: clocks.filter(isFar), late: late.filter(({ entry }) => !device.along.isHere(entry)) };
} // prettier-ignore

async function ask(of: Known, version: number): Promise<void> {
  asking = true;
  of.askedAt = performance.now();
  try {
    of.found = await lists.clocks(of.site, AbortSignal.timeout(WAIT_MS));
    of.asked = version;
    times++;
  } catch {
    // Away, or busy: asked again by and by.
  } finally {
    asking = false;
  }
}
