import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, ApiError, exportAddress, fetchExport, photoAddress } from './api';
import { followClock, now } from './clock';

/** What a server would answer, and what it was asked. */
const asked: { path: string; init: RequestInit }[] = [];
let answer: () => Response = () => new Response('{}');

beforeEach(() => {
  asked.length = 0;
  vi.stubGlobal('fetch', (path: string, init: RequestInit = {}) => {
    asked.push({ path, init });
    return Promise.resolve().then(() => answer());
  });
});
afterEach(() => vi.unstubAllGlobals());

const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status });

/** The error of a call that fails. */
async function failed(call: Promise<unknown>): Promise<ApiError> {
  try {
    await call;
  } catch (error) {
    expect(error).toBeInstanceOf(ApiError);
    return error as ApiError;
  }
  throw new Error('The call did not fail.');
}

const SNAPSHOT = { journal: 'j', seq: 3, hash: 'h', records: { site: [] } };
const NEWS = { journal: 'j', seq: 3, hash: 'h', taken: [], changes: [] };

describe('a request', () => {
  it('gives the body of an answer that has the shape it waits for', async () => {
    answer = () => json(SNAPSHOT);
    expect(await api.snapshot('s')).toEqual({ body: SNAPSHOT, text: JSON.stringify(SNAPSHOT) });
    expect(asked[0]!.path).toBe('/api/sites/s/');
    answer = () => json({ person: null, people: [], now: '2026-03-04T10:00:00Z' });
    expect((await api.session()).people).toEqual([]);
  });

  const whole = JSON.stringify(SNAPSHOT);
  it.each([0, 1, 10, whole.length - 1])(
    'that broke off after %i characters is not taken as one',
    async (at) => {
      answer = () => new Response(whole.slice(0, at));
      expect(await failed(api.snapshot('s'))).toMatchObject({ status: 0, code: 'cut' });
    },
  );

  it.each([
    ['a snapshot without records', () => api.snapshot('s'), { ...SNAPSHOT, records: null }],
    ['a snapshot without its site', () => api.snapshot('s'), { ...SNAPSHOT, records: {} }],
    ['news without changes', () => api.newsAfter('s', 1, 'h'), { ...NEWS, changes: undefined }],
    ['news without a hash', () => api.newsAfter('s', 1, 'h'), { ...NEWS, hash: null }],
    ['a list that is none', () => api.sites(), {}],
    ['answers that are none', () => api.send([]), { answers: [null] }],
    ['a photo that is another', () => api.sendPhoto('s', 'p', new Blob(['x'])), { id: 'q' }],
    ['a preview without faults', () => api.previewImport('s', 'entries', new Blob(['x']), 't'), { rows: [] }],
  ])('%s is asked again, not believed', async (_what, call, body) => {
    answer = () => json(body);
    expect(await failed(call())).toMatchObject({ status: 0, code: 'cut' });
  });

  it('that reaches nobody says that what is recorded is kept', async () => {
    answer = () => {
      throw new TypeError('network');
    };
    const error = await failed(api.sites());
    expect(error).toMatchObject({ status: 0, code: 'unreached' });
    expect(error.message).toContain('kept on this device');
  });

  it('that is refused carries the server’s own words and field', async () => {
    const refusal = { code: 'bad-name', message: 'A name has at most 80 characters.', field: 'name' };
    answer = () => json({ error: refusal }, 400);
    expect(await failed(api.signIn('x'))).toMatchObject({ status: 400, ...refusal });
  });

  it('that fails without words gets some that say what to do', async () => {
    answer = () => new Response('<html>', { status: 502 });
    const error = await failed(api.sites());
    expect(error).toMatchObject({ status: 502, code: 'fault' });
    expect(error.message).toBe('The server answered 502. Try again.');
  });

  it('of commands gives each one’s answer, refusals included', async () => {
    const answers = [{ id: 'c', status: 'refused', code: 'stale', field: 'id', message: 'It is gone.' }];
    answer = () => json({ answers }, 409);
    expect((await api.send([])).answers).toEqual(answers);
  });

  it('of a faulty file gives its faults', async () => {
    const body = { rows: [], faults: [{ row: 3, field: 'tag', message: 'is missing' }], items: [] };
    answer = () => json(body, 422);
    expect(await api.previewImport('s', 'entries', new Blob(['x']), 't')).toEqual(body);
  });

  it('puts ids into addresses so that they stay ids', async () => {
    answer = () => json([]);
    await api.siteOf('a/b?c');
    await api.history('s', 'r&x=1');
    expect(asked.map(({ path }) => path)).toEqual([
      '/api/sites/?entry=a%2Fb%3Fc',
      '/api/sites/s/history/?record=r%26x%3D1',
    ]);
  });

  it('of news names the hash only where one is known', async () => {
    answer = () => json(NEWS);
    await api.newsAfter('s', 7, 'abc');
    await api.newsAfter('s', 0, '');
    expect(asked.map(({ path }) => path)).toEqual([
      '/api/sites/s/news/?after=7&hash=abc',
      '/api/sites/s/news/?after=0',
    ]);
  });

  it('sends commands as JSON', async () => {
    answer = () => json({ answers: [] });
    await api.send([]);
    expect(asked[0]!.init).toMatchObject({ method: 'POST', body: '{"commands":[]}' });
    expect(new Headers(asked[0]!.init.headers).get('content-type')).toBe('application/json');
  });
});

describe('an export', () => {
  const { signal } = new AbortController();
  it('is a file, with the task under which its progress is told', async () => {
    answer = () => new Response('a,b\n');
    const file = await fetchExport('s', 'entries.csv', 't1', signal);
    expect(await file.text()).toBe('a,b\n');
    expect(asked[0]!.path).toBe('/api/sites/s/export/entries.csv/?task=t1');
  });
  it('that is refused says why', async () => {
    answer = () => json({ error: { code: 'no-site', message: 'There is no such site.' } }, 404);
    expect(await failed(fetchExport('s', 'x', 't', signal))).toMatchObject({
      status: 404, code: 'no-site', message: 'There is no such site.',
    }); // prettier-ignore
  });
  it('that fails without words, or breaks off, says to try again', async () => {
    answer = () => new Response('', { status: 500 });
    expect((await failed(fetchExport('s', 'x', 't', signal))).message).toContain('Try again.');
    answer = () => {
      throw new TypeError('aborted');
    };
    expect(await failed(fetchExport('s', 'x', 't', signal))).toMatchObject({ status: 0, code: 'unreached' });
  });
});

describe('addresses and the clock', () => {
  it('of photos and exports lie under their site', () => {
    expect(photoAddress('s', 'p')).toBe('/api/sites/s/photos/p/');
    expect(exportAddress('s', 'site.json')).toBe('/api/sites/s/export/site.json/');
  });
  it('follows a server whose clock was set', () => {
    followClock('2031-05-06T07:08:09.000Z');
    expect(now().slice(0, 16)).toBe('2031-05-06T07:08');
    followClock(new Date().toISOString());
    expect(Math.abs(Date.parse(now()) - Date.now())).toBeLessThan(1000);
  });
});
