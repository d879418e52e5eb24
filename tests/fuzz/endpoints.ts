import { WRONG } from './commands';

/** Every endpoint, with a place for each part that a caller chooses. */
const PATHS = [
  '/api/session/', '/api/health/', '/api/events/?sites=#', '/api/commands/', '/api/instruments/', '/api/instruments/#/',
  '/api/doors/#/', '/api/sites/', '/api/sites/?entry=#', '/api/sites/#/', '/api/sites/#/commands/?after=#&hash=#',
  '/api/sites/#/history/?record=#', '/api/sites/#/known/', '/api/sites/#/lend/', '/api/sites/#/export/#/',
  '/api/sites/#/import/#/', '/api/sites/#/instruments/#/', '/api/sites/#/photos/#/',
] as const; // prettier-ignore

/** What is put there: things that are, that are not, and that nobody should send. */
const PARTS = [
  'marrowick', 'none', '', '-1', '0', '1e99', '999999999999999999999', 'site.json', 'findings.csv', 'cables', 'sheets', 'ends', 'fit', 'mb-caliper-07',
  '__proto__', 'constructor', '%00', '%2e%2e%2f%2e%2e%2fetc%2fpasswd', '%E0%80%80', '%D8%00', 'x'.repeat(3000), "'; DROP TABLE site; --", '[object Object]',
]; // prettier-ignore

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'PROPFIND'];

/** Bodies as they may come: JSON that is wrong, and what is none. */
const BODIES: readonly string[] = [
  '', '{', 'null', '"x"', '[]', '\u0000', '\uFEFF{}', 'a,b,c\n1,2,3', '"'.repeat(5000), '<xml/>',
  ...WRONG.flatMap((wrong) => {
    const of = (value: unknown) => JSON.stringify(value) ?? 'undefined';
    return [of(wrong), of({ commands: wrong }), of({ commands: [wrong] }), of({ name: wrong }), of({ ids: wrong }), of({ instrument: wrong }), of({ id: wrong })]; // prettier-ignore
  }),
]; // prettier-ignore

/** What became of the wrong requests. */
export interface FuzzedEndpoints {
  asked: number;
  /** Longest time to an answer, ms. */
  slowestMs: number;
  /** Requests on which the server failed, or that it did not answer; the first few. */
  faults: string[];
}

/** A sequence that is the same each time. */
function numbers(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return Math.floor((state / 2147483648) * below);
  };
}

/** Requests: every path with every method, part and body met several times. */
function requests(): { method: string; path: string; body: string | undefined }[] {
  const next = numbers(7);
  const pick = <T>(from: readonly T[]): T => from[next(from.length)]!;
  return PATHS.flatMap((path) =>
    METHODS.flatMap((method) =>
      Array.from({ length: 40 }, () => ({
        method,
        // Half of the time the first part is a site that is there, so that what stands behind it is reached.
        path: path
          .replace('#', () => (next(2) === 0 ? 'marrowick' : pick(PARTS)))
          .replace(/#/g, () => pick(PARTS)),
        body: method === 'GET' || method === 'HEAD' ? undefined : pick(BODIES),
      })),
    ),
  );
}

/** Sends wrong requests, one in so many of all, as a signed-in person, and asks now and then whether the server lives. */
export async function fuzzEndpoints(address: string, every: number): Promise<FuzzedEndpoints> {
  const signedIn = await fetch(`${address}/api/session/`, { method: 'POST', body: JSON.stringify({ name: 'Fuzz' }) }); // prettier-ignore
  const cookie = signedIn.headers.get('set-cookie')!.split(';')[0]!;
  const found: FuzzedEndpoints = { asked: 0, slowestMs: 0, faults: [] };
  const all = requests().filter((_, i) => i % every === 0);
  const ask = async ({ method, path, body }: (typeof all)[number]) => {
    const gone = new AbortController();
    const from = performance.now();
    try {
      const response = await fetch(address + path, { method, body, headers: { cookie }, signal: gone.signal, redirect: 'manual' }); // prettier-ignore
      found.slowestMs = Math.max(found.slowestMs, performance.now() - from);
      if (response.status >= 500)
        found.faults.push(`${method} ${path} ${body?.slice(0, 80)} → ${response.status}`);
      // A stream has no end.
      if (response.headers.get('content-type')?.startsWith('text/event-stream')) gone.abort();
      else await response.arrayBuffer();
    } catch (error) {
      found.faults.push(
        `${method} ${path} ${body?.slice(0, 80)} → ${String(error)} ${String((error as Error).cause)}`,
      );
    }
    found.asked++;
  };
  for (let i = 0; i < all.length; i += 4) await Promise.all(all.slice(i, i + 4).map(ask));
  found.faults = found.faults.slice(0, 20);
  return found;
}
