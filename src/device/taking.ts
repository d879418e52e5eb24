import { api } from '../client/api';
import { joined, namedIn, NOTHING, without, type Scope } from '../core/record/closure';
import type { Id } from '../core/record/types';
import type { Copy } from './copy';
import type { Courier } from './courier';
import { sliceOf } from './snapshot';

// Opened by along.ts when something is taken along or left behind.

/** Entries that stay on a device because they were looked at. Chosen: a day's way through a plant. */
const MOST_VISITED = 60;
/** What is visited: of a scope, what comes along when it is opened. */
const VISITED = ['entries', 'enclosures', 'cables'] as const;
/** Times that something is asked for which came too late. */
const MOST_TRIES = 3;

/**
 * Takes more of a large site along.
 *
 * @throws ApiError
 */
export async function take(copy: Copy, courier: Courier, more: Partial<Scope>): Promise<void> {
  const { head } = copy;
  if (!head?.scope) return;
  const scope = { ...NOTHING, ...more };
  // What was looked at one by one, the longest ago first.
  const visited = VISITED.map((list) => head.scope![list].length + scope[list].length);
  const full = visited.some((many) => many > MOST_VISITED);
  const few = scope.rounds.length + scope.areas.length === 0;
  if (few && !full) return add(copy, courier, head.site, scope);
  // Much comes as one text with what is here already, which is kept sooner than record by record. What was looked at
  // long ago goes, so that a device does not fill up by itself.
  const kept = { ...head.scope };
  if (full) for (const list of VISITED) kept[list] = kept[list].slice(-MOST_VISITED / 2);
  await retake(copy, courier, head.site, joined(kept, scope));
}

async function add(copy: Copy, courier: Courier, site: Id, scope: Scope): Promise<void> {
  for (let i = 0; i < MOST_TRIES; i++) {
    const { body, text } = await api.part(site, scope);
    if (site !== courier.wanted || !copy.head?.scope) return;
    if (copy.add(body, scope, text.length)) break;
    // What came is older than what is here, or of another journal: the news say which.
    await courier.refresh();
  }
  await courier.refresh();
  // It is taken once it is kept.
  await copy.settle();
}

/** Takes another part of a site along, in place of what is here. */
async function retake(copy: Copy, courier: Courier, site: Id, scope: Scope): Promise<void> {
  const { body, text } = await (namedIn(scope) > 0 ? api.part(site, scope) : api.snapshot(site));
  if (site !== courier.wanted) return;
  await copy.replace(site, body, sliceOf(body), text);
  await courier.refresh();
}

/**
 * Leaves something behind that was taken along.
 *
 * @throws ApiError
 */
export async function leave(copy: Copy, courier: Courier, less: Partial<Scope>): Promise<void> {
  const { head } = copy;
  if (!head?.scope) return;
  await retake(copy, courier, head.site, without(head.scope, less));
}
