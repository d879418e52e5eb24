import { ended, fetchAs, serveDemo, type Served } from '../browser/harness';

/** A request to a served application as a signed-in person. */
export interface Client {
  call: (
    method: string,
    path: string,
    body?: string | Buffer | object,
    headers?: Record<string, string>,
  ) => Promise<Answer>;
  cookie: () => string;
}

/** An answer with its body read. */
interface Answer {
  status: number;
  headers: Headers;
  bytes: Buffer;
  text: string;
  json: Record<string, never> & { error?: { code: string; field: string | null; message: string } };
}

/** Signs in and gives a client that keeps the session. */
export async function clientOf(served: Served, name = 'A. Vell'): Promise<Client> {
  let cookie = '';
  const call: Client['call'] = async (method, path, body, headers = {}) => {
    const plain = typeof body === 'string' || Buffer.isBuffer(body) || body === undefined;
    const response = await fetch(served.address + path, {
      method,
      headers: { cookie, ...headers },
      body: plain ? (body as string | undefined) : JSON.stringify(body),
    });
    const bytes = Buffer.from(await response.arrayBuffer());
    const text = bytes.toString();
    cookie = response.headers.get('set-cookie')?.split(';')[0] ?? cookie;
    return { status: response.status, headers: response.headers, bytes, text, json: parsed(text) };
  };
  await call('POST', '/api/session/', { name });
  return { call, cookie: () => cookie };
}

function parsed(text: string): Answer['json'] {
  try {
    return JSON.parse(text) as Answer['json'];
  } catch {
    return {} as Answer['json'];
  }
}

export { ended, fetchAs, serveDemo, type Served };
