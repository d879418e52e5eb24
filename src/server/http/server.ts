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
import { closeApp, type App } from '../app/app';
import type { Locals } from './endpoint';
import { limitOf, needsSession, refusalOf, tooLargeFor, type Refused } from './guard';
import { personOf } from './session';

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

/** What the server is built from. */
export interface ServerParts {
  app: App;
  handler: PageHandler;
  /** Folder of the static files. */
  client: string;
  /** Content security policy. */
  csp: string;
  /** Names under which it may be asked. */
  hosts: ReadonlySet<string>;
  tls?: Tls | null;
}

type StaticFiles = ReturnType<typeof sirv>;

/** Builds the server: headers, what is refused unread, compression, static files, then the pages. */
export function createHttpServer({ app, handler, client, csp, hosts, tls = null }: ServerParts): Server {
  const files = sirv(client, { etag: true, dev: false, brotli: true, gzip: true, setHeaders: cacheFor });
  const compress = compression({
    // An event stream must reach its reader line by line.
    filter: (request, response) =>
      !String(response.getHeader('content-type')).startsWith('text/event-stream') &&
      compression.filter(request, response),
  });
  const listener: RequestListener = (request, response) => {
    setHeaders(response, csp);
    if (tls) response.setHeader('strict-transport-security', 'max-age=31536000');
    const path = pathOf(request);
    if (path === null)
      return refuse(request, response, {
        status: 400,
        code: 'bad-path',
        message: 'The address cannot be read.',
      });
    const refused = refusalOf(request, path, hosts);
    if (refused) return refuse(request, response, refused);
    compress(request as never, response as never, () => {
      answer(app, handler, files, { request, response, path }).catch((error: unknown) =>
        broken(error, request, response),
      );
    });
  };
  return tls ? createTlsServer(tls, listener) : createServer(listener);
}

/** A request whose reader or writer went away is over; anything else is a fault of ours. */
function broken(error: unknown, request: IncomingMessage, response: ServerResponse): void {
  if (request.destroyed || (error as { code?: string }).code === 'ECONNRESET') return void response.destroy();
  console.error(error);
  if (response.headersSent) return void response.destroy();
  const message = 'The server failed on this request. Nothing was changed; try again.';
  refuse(request, response, { status: 500, code: 'fault', message });
}

interface Exchange {
  request: IncomingMessage;
  response: ServerResponse;
  path: string;
}

async function answer(
  app: App,
  handler: PageHandler,
  files: StaticFiles,
  { request, response, path }: Exchange,
): Promise<void> {
  const notFound = (message: string) =>
    refuse(request, response, { status: 404, code: 'not-found', message });
  if (!path.startsWith('/api/')) {
    files(request, response, () => notFound('There is nothing here. Go back to the start.'));
    return;
  }
  const person = personOf(app, request.headers.cookie);
  if (!person && needsSession(path))
    return refuse(request, response, { status: 401, code: 'who', message: 'Say who you are first.' });
  const body = await readBody(request, limitOf(path));
  if (body === null) return refuse(request, response, tooLargeFor(path));
  // The router knows addresses with a slash at the end; people and programs leave it out.
  request.url = request.url!.replace(/^([^?]*[^/?])(\?|$)/, '$1/$2');
  // The body was read within its limit; this keeps Astro from reading the spent stream again.
  (request as IncomingMessage & { body?: string }).body = '-';
  await handler(
    request,
    response,
    (error) => {
      if (error) console.error(error);
      if (!response.headersSent) notFound('There is no such address.');
    },
    { app, body, person, gone: goneSignal(response) },
  );
}

function pathOf(request: IncomingMessage): string | null {
  try {
    return decodeURI(new URL(request.url ?? '/', 'http://x').pathname);
  } catch {
    return null;
  }
}

/** Told when whoever asked has gone away before the answer was complete. */
function goneSignal(response: ServerResponse): AbortSignal {
  const gone = new AbortController();
  response.on('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
}

/** The body; null as soon as it is over the limit. */
function readBody(request: IncomingMessage, limit: number): Promise<Buffer | null> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    let size = 0;
    request.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size <= limit) return void chunks.push(chunk);
      chunks.length = 0;
      resolve(null);
    });
    request.on('end', () => resolve(Buffer.concat(chunks)));
    request.on('error', reject);
  });
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

/** No more than this is read and thrown away of a request that is refused, bytes. */
const DRAINED_BYTES = 64e6;

/** Answers with a reason; what is still being written is thrown away, so that the answer reaches its writer. */
function refuse(
  request: IncomingMessage,
  response: ServerResponse,
  { status, code, message, headers = {} }: Refused,
): void {
  response.writeHead(status, { ...headers, 'content-type': 'application/json; charset=utf-8' });
  response.end(JSON.stringify({ error: { code, field: null, message } }));
  let drained = 0;
  request.on('error', () => undefined);
  request.on('data', (chunk: Buffer) => {
    drained += chunk.length;
    if (drained > DRAINED_BYTES) request.destroy();
  });
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
            : error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND'
              ? `HOST=${host} is no address of this machine (${error.code}). Choose one that it has, or 0.0.0.0 for all.`
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
  await app.writer.end();
  closeApp(app);
}
