import { createServer, request, type IncomingMessage, type ServerResponse } from 'node:http';

/** What the line does to requests of the API: lets them through, drops them, breaks answers off, or fails on some. */
type Line =
  | { is: 'open' }
  | { is: 'away' }
  /** Answers end after so many bytes. */
  | { is: 'cut'; after: number }
  /** The server is said to fail on requests that hold a text. */
  | { is: 'failing'; on: string };

export interface Proxy {
  address: string;
  line: Line;
  close: () => Promise<void>;
}

/** A line between page and server that can be made as bad as real ones are. */
export async function openProxy(port: number): Promise<Proxy> {
  const proxy: Proxy = { address: '', line: { is: 'open' }, close: () => Promise.resolve() };
  const server = createServer((incoming, outgoing) => void carry(proxy, port, incoming, outgoing));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  proxy.address = `http://127.0.0.1:${(server.address() as { port: number }).port}`;
  proxy.close = () =>
    new Promise((resolve) => {
      server.close(() => resolve());
      server.closeAllConnections();
    });
  return proxy;
}

async function carry(
  proxy: Proxy,
  port: number,
  incoming: IncomingMessage,
  outgoing: ServerResponse,
): Promise<void> {
  const body: Buffer[] = [];
  for await (const chunk of incoming) body.push(chunk as Buffer);
  const sent = Buffer.concat(body);
  const { line } = proxy;
  const api = incoming.url!.startsWith('/api/');
  if (line.is === 'away') return void incoming.socket.destroy();
  if (line.is === 'failing' && sent.includes(line.on)) {
    outgoing.writeHead(500, { 'content-type': 'application/json' });
    return void outgoing.end(
      '{"error":{"code":"fault","message":"The server failed on this request.","field":null}}',
    );
  }
  const headers = { ...incoming.headers, 'accept-encoding': 'identity' };
  const onward = request(
    { port, host: '127.0.0.1', path: incoming.url, method: incoming.method, headers },
    (answer) => {
      const cut =
        line.is === 'cut' && api && !String(answer.headers['content-type']).startsWith('text/event-stream');
      if (!cut) {
        outgoing.writeHead(answer.statusCode!, answer.headers);
        // A line that breaks on one side is broken on the other.
        answer.on('close', () => answer.complete || outgoing.destroy());
        return void answer.pipe(outgoing);
      }
      const { 'content-length': _length, ...kept } = answer.headers;
      outgoing.writeHead(answer.statusCode!, kept);
      const whole: Buffer[] = [];
      answer.on('data', (chunk: Buffer) => whole.push(chunk));
      answer.on('end', () => outgoing.end(Buffer.concat(whole).subarray(0, line.after)));
    },
  );
  onward.on('error', () => outgoing.destroy());
  onward.end(sent);
}
