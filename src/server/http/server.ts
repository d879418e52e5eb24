import compression from 'compression';
import {
  createServer,
  type IncomingMessage,
  type RequestListener,
  type Server,
  type ServerResponse,
} from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import sirv from 'sirv';
import { closeApp, type App } from '../app';
import { PHOTO_BYTES } from '../files/photos';
import type { Locals } from './endpoint';
import { personOf } from './session';

/** Largest body per path, in bytes; everything else may carry 64 kB. */
const BODY_LIMITS: [prefix: string, bytes: number][] = [
  ['/api/doors/', 1_000_000],
  ['/api/commands', 4_000_000],
  ['/api/photos/', PHOTO_BYTES],
  ['/api/sites/', 8_000_000],
];
const OTHER_BYTES = 64_000;

/** The Astro middleware, as the build makes it. */
export type PageHandler = (
  request: IncomingMessage,
  response: ServerResponse,
  next: (error?: unknown) => void,
  locals: Locals,
) => void | Promise<void>;

/** Certificate and key of a server that speaks TLS, PEM. */
export interface Tls {
  cert: Buffer;
  key: Buffer;
}

/** Builds the server: headers, compression, body limits, static files, then the pages. */
export function createHttpServer(
  app: App,
  handler: PageHandler,
  client: string,
  csp: string,
  tls: Tls | null = null,
): Server {
  const files = sirv(client, { etag: true, dev: false, setHeaders: cacheFor });
  const compress = compression({
    // An event stream must reach its reader line by line.
    filter: (request, response) =>
      !String(response.getHeader('content-type')).startsWith('text/event-stream') &&
      compression.filter(request, response),
  });
  const listener: RequestListener = (request, response) => {
    setHeaders(response, csp);
    if (tls) response.setHeader('strict-transport-security', 'max-age=31536000');
    const problem = originProblem(request);
    if (problem) return refuse(response, 403, 'origin', problem);
    compress(request as never, response as never, () => {
      void answer(app, handler, files, request, response);
    });
  };
  return tls ? createTlsServer(tls, listener) : createServer(listener);
}

async function answer(
  app: App,
  handler: PageHandler,
  files: ReturnType<typeof sirv>,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  const path = pathOf(request);
  if (path === null) return refuse(response, 400, 'bad-path', 'The address cannot be read.');
  if (!path.startsWith('/api/')) {
    files(request, response, () =>
      refuse(response, 404, 'not-found', 'There is nothing here. Go back to the start.'),
    );
    return;
  }
  const body = await readBody(request, limitOf(path));
  if (body === null) {
    const limit = limitOf(path) / 1e6;
    response.setHeader('connection', 'close');
    return refuse(response, 413, 'too-large', `The request is over ${limit} MB; send less.`);
  }
  // The router knows addresses with a slash at the end; people and programs leave it out.
  request.url = request.url!.replace(/^([^?]*[^/?])(\?|$)/, '$1/$2');
  const person = personOf(app, request.headers.cookie);
  // The body was read within its limit; this keeps Astro from reading the spent stream again.
  (request as IncomingMessage & { body?: string }).body = '-';
  await handler(
    request,
    response,
    (error) => {
      if (error) console.error(error);
      if (!response.headersSent) refuse(response, 404, 'not-found', 'There is no such address.');
    },
    { app, body, person },
  );
}

function pathOf(request: IncomingMessage): string | null {
  try {
    return decodeURI(new URL(request.url ?? '/', 'http://x').pathname);
  } catch {
    return null;
  }
}

const limitOf = (path: string): number =>
  BODY_LIMITS.find(([prefix]) => path.startsWith(prefix))?.[1] ?? OTHER_BYTES;

/** The body, or null when it is over the limit; what is over is not kept. */
/** No more than this is read of a request that is over its limit, bytes. */
const DRAINED_BYTES = 64e6;

async function readBody(request: IncomingMessage, limit: number): Promise<Buffer | null> {
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of request) {
    size += (chunk as Buffer).length;
    // What is too much is read and thrown away: the answer must reach who is still writing.
    if (size > DRAINED_BYTES) return null;
    if (size <= limit) chunks.push(chunk as Buffer);
  }
  return size > limit ? null : Buffer.concat(chunks);
}

/** A change of state must come from a page of this server, or from no page at all. */
function originProblem(request: IncomingMessage): string | null {
  const { method, headers } = request;
  if (method === 'GET' || method === 'HEAD' || pathOf(request)?.startsWith('/api/doors/')) return null;
  if (headers.origin === undefined) {
    const site = headers['sec-fetch-site'];
    return site === undefined || site === 'same-origin' ? null : 'This request came from another page.';
  }
  try {
    return new URL(headers.origin).host === headers.host ? null : 'This request came from another page.';
  } catch {
    return 'This request came from another page.';
  }
}

function setHeaders(response: ServerResponse, csp: string): void {
  response.setHeader('content-security-policy', csp);
  response.setHeader('x-content-type-options', 'nosniff');
  response.setHeader('referrer-policy', 'same-origin');
  response.setHeader('cross-origin-opener-policy', 'same-origin');
  response.setHeader('cross-origin-resource-policy', 'same-origin');
  response.setHeader('x-frame-options', 'DENY');
  response.setHeader('permissions-policy', 'geolocation=(), microphone=(), payment=(), usb=()');
}

function cacheFor(response: ServerResponse, path: string): void {
  const forever = path.startsWith('/_astro/');
  response.setHeader('cache-control', forever ? 'public, max-age=31536000, immutable' : 'no-cache');
}

function refuse(response: ServerResponse, status: number, code: string, message: string): void {
  response.statusCode = status;
  response.setHeader('content-type', 'application/json; charset=utf-8');
  response.end(JSON.stringify({ error: { code, field: null, message } }));
}

/** Listens; resolves with the port, rejects with a message that says what to do. */
export function listen(server: Server, port: number, host: string): Promise<number> {
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const said =
        error.code === 'EADDRINUSE'
          ? `Port ${port} is taken. Stop the other program, or choose another with PORT=${port + 1}.`
          : error.code === 'EACCES'
            ? `Port ${port} needs more rights. Choose one above 1023 with PORT=4321.`
            : error.message;
      reject(new Error(said));
    });
    server.listen(port, host, () => resolve((server.address() as { port: number }).port));
  });
}

/** Stops: no new requests, streams ended, database closed. */
export async function stop(server: Server, app: App): Promise<void> {
  app.events.end();
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  server.closeIdleConnections();
  const hurry = setTimeout(() => server.closeAllConnections(), 2000);
  await closed;
  clearTimeout(hurry);
  closeApp(app);
}
