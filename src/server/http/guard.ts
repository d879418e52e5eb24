import type { IncomingMessage } from 'node:http';
import { hostname, networkInterfaces } from 'node:os';
import { PHOTO_BYTES } from '../base/limits';

/** Why a request is answered before anything of it is read. */
export interface Refused {
  status: number;
  code: string;
  message: string;
  headers?: Record<string, string>;
}

/** Largest body per path, in bytes; everything else may carry 64 kB. */
const BODY_LIMITS: [path: RegExp, bytes: number][] = [
  [/^\/api\/doors\//, 1_000_000],
  [/^\/api\/commands/, 8_000_000],
  [/^\/api\/sites\/[^/]+\/photos\//, PHOTO_BYTES],
  [/^\/api\/sites\/[^/]+\/import\//, 8_000_000],
  [/^\/api\/sites\/[^/]+\/known/, 1_000_000],
];
const OTHER_BYTES = 64_000;

/** Bytes that a request to a path may carry. */
export const limitOf = (path: string): number =>
  BODY_LIMITS.find(([limited]) => limited.test(path))?.[1] ?? OTHER_BYTES;

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'OPTIONS'];
const LOOKING = ['GET', 'HEAD', 'OPTIONS'];

/** What can be asked without saying who one is: signing in, whether the server is well, and the calculation doors. */
const OPEN = /^\/api\/(session|health|doors)(\/|$)/;

/** Whether a path needs a session. */
export const needsSession = (path: string): boolean => path.startsWith('/api/') && !OPEN.test(path);

/**
 * Names under which this server may be asked. A page of elsewhere can point its own name at this machine; the name
 * gives it away.
 *
 * @param listensOn address that the server listens on
 * @param more names from `YENDRAL_HOSTS`, with commas between
 */
export function hostNames(listensOn: string, more: string | undefined): Set<string> {
  const names = ['localhost', '127.0.0.1', '[::1]', bracketed(listensOn)];
  if (listensOn === '0.0.0.0' || listensOn === '::') {
    names.push(hostname(), ...addresses().map(bracketed));
  }
  for (const name of (more ?? '').split(',')) if (name.trim()) names.push(name.trim());
  return new Set(names.map((name) => name.toLowerCase()));
}

const addresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => address));

const bracketed = (address: string): string => (address.includes(':') ? `[${address}]` : address);

/** Whether an address is this machine's alone. */
export const isOwnMachine = (address: string): boolean => /^(localhost|127\..*|::1)$/.test(address);

/** What is wrong with a request, from its method and headers alone; null when it may go on. */
export function refusalOf(
  request: IncomingMessage,
  path: string,
  hosts: ReadonlySet<string>,
): Refused | null {
  return (
    wrongMethod(request, path) ?? wrongHost(request, hosts) ?? wrongOrigin(request) ?? tooLarge(request, path)
  );
}

function wrongMethod({ method }: IncomingMessage, path: string): Refused | null {
  const allowed = path.startsWith('/api/') ? METHODS : LOOKING;
  if (allowed.includes(method ?? '')) return null;
  const message = `${method} is not understood here.`;
  return { status: 405, code: 'method', message, headers: { allow: allowed.join(', ') } };
}

function wrongHost({ headers: { host } }: IncomingMessage, hosts: ReadonlySet<string>): Refused | null {
  const name = host?.toLowerCase().replace(/:\d+$/, '');
  if (name !== undefined && hosts.has(name)) return null;
  return { status: 421, code: 'host', message: `This server is not called "${name ?? ''}". Ask it under its own address, or add the name to YENDRAL_HOSTS.` }; // prettier-ignore
}

/** A change of state, and a calculation, is asked by a page of this server, or by no page at all. */
function wrongOrigin({ method, headers }: IncomingMessage): Refused | null {
  if (LOOKING.includes(method ?? '')) return null;
  const refused = { status: 403, code: 'origin', message: 'This request came from another page.' };
  if (headers.origin === undefined) {
    const site = headers['sec-fetch-site'];
    return site === undefined || site === 'same-origin' ? null : refused;
  }
  try {
    return new URL(headers.origin).host === headers.host ? null : refused;
  } catch {
    return refused;
  }
}

/** What says that it is too large is not read; what does not say is counted while it comes. */
function tooLarge({ headers }: IncomingMessage, path: string): Refused | null {
  return Number(headers['content-length'] ?? 0) > limitOf(path) ? tooLargeFor(path) : null;
}

export const tooLargeFor = (path: string): Refused => ({
  status: 413,
  code: 'too-large',
  message: `The request is over ${limitOf(path) / 1e6} MB; send less.`,
});
