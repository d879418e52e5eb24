import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { describe, expect, it, vi } from 'vitest';
import { acceptedBy, storeOf } from '../../tests/server/fake-server';
import { openDeviceDb } from './database';
import { Device } from './device';
import { reading, settled, started, take, until, values, withServer } from '../../tests/server/devices';

const at = withServer();

describe('what the version before has left', () => {
  it('its outbox and its copy are taken over without loss', async () => {
    const device = await started();
    take(device, 20.61);
    await settled(device);
    const { slice } = device.state();
    await device.close();
    const tables = ['site', 'area', 'enclosure', 'cable', 'certificate', 'instrument', 'entry', 'round', 'reading', 'look', 'defect', 'change'] as const; // prettier-ignore
    const records = Object.fromEntries(tables.map((table) => [table, slice.all(table)]));
    const { journal, seq } = JSON.parse(JSON.stringify({ journal: storeOf(at.server).journalName, seq: storeOf(at.server).journal.head().seq })) as { journal: string; seq: number }; // prettier-ignore
    const waiting = { command: { id: 'old-1', kind: 'reading.take', site: 's', at: new Date().toISOString(), payload: reading(device, 20.62) }, person: 'p1', by: 'A. Vell', refusal: null }; // prettier-ignore
    globalThis.indexedDB = new IDBFactory();
    await new Promise<void>((resolve, reject) => {
      const open = indexedDB.open('yendral', 1);
      open.onupgradeneeded = () => {
        open.result.createObjectStore('outbox', { keyPath: 'command.id' });
        open.result.createObjectStore('photos', { keyPath: 'id' });
        open.result.createObjectStore('sites', { keyPath: 'id' });
        open.result.createObjectStore('facts');
      };
      open.onerror = () => reject(open.error!);
      open.onsuccess = () => {
        const write = open.result.transaction(['outbox', 'sites', 'facts', 'photos'], 'readwrite');
        write.objectStore('outbox').put(waiting);
        write.objectStore('sites').put({ id: 's', journal, seq, records });
        write.objectStore('photos').put({ id: 'ph-1', bytes: new Blob(['b']), sent: false });
        write.objectStore('facts').put({ session: { person: { id: 'p1', name: 'A. Vell' }, people: [] }, sites: [{ id: 's', name: 'S' }] }, 'remembered'); // prettier-ignore
        write.oncomplete = () => {
          open.result.close();
          resolve();
        };
      };
    });
    at.server.away = true;
    const next = await started();
    expect(next.state()).toMatchObject({ ready: 'ready', waiting: 1 });
    expect(values(next)).toEqual(expect.arrayContaining([20.61, 20.62]));
    at.server.away = false;
    await next.flush();
    await settled(next);
    expect(acceptedBy(at.server)).toContain(20.62);
    expect(at.server.photos).toContain('ph-1');
    await until(() => expect(next.state().online).toBe(true));
  });

  it('a copy is kept record by record: an acknowledged reading writes no whole site', async () => {
    const device = await started();
    const db = await openDeviceDb();
    // The copy of the site as it came is written by then.
    await until(async () => expect(await db.getAllKeys('wholes')).toEqual(['s']));
    const put = vi.spyOn(IDBObjectStore.prototype, 'put');
    take(device, 20.71);
    await settled(device);
    const isKept = (record: unknown) => (record as { value?: number } | null)?.value === 20.71;
    await until(async () => expect((await db.getAll('records')).some(isKept)).toBe(true));
    const stores = put.mock.instances.map((store) => (store as unknown as IDBObjectStore).name);
    expect(stores.filter((name) => name === 'records').length).toBeLessThanOrEqual(3);
    expect(stores).not.toContain('wholes');
    expect((await db.getAll('records')).length).toBeLessThan(8);
    db.close();
  });

  it('an acknowledgement asks for no news: what is shown is promoted', async () => {
    const device = await started();
    const asked: string[] = [];
    vi.stubGlobal('fetch', (input: RequestInfo, init?: RequestInit) => {
      asked.push(String(input));
      return at.server.fetch(input, init);
    });
    take(device, 20.81);
    await settled(device);
    expect(asked.filter((path) => path.includes('/api/sites/'))).toEqual([]);
    at.server.other('reading.take', { ...reading(device, 19.5), id: 'between' });
    take(device, 20.82);
    await settled(device);
    await until(() => expect(values(device)).toEqual(expect.arrayContaining([19.5, 20.82])));
  });
});

describe('a photo of a site that the server has not', () => {
  it('is set aside with its reason, and holds nothing else up', async () => {
    const device = await started();
    at.server.away = true;
    const photo = await device.keepPhoto(new Blob(['bytes']));
    take(device, 20.95);
    at.server.away = false;
    vi.stubGlobal('fetch', (input: RequestInfo, init?: RequestInit) =>
      String(input).includes('/photos/')
        ? Promise.resolve(new Response('{"error":{"code":"unknown-id","message":"There is no site.","field":null}}', { status: 404 })) // prettier-ignore
        : at.server.fetch(input, init),
    );
    await device.flush();
    await settled(device);
    expect(acceptedBy(at.server)).toContain(20.95);
    expect((await device.refusedPhoto(photo))!.refusal).toBe('There is no site.');
  });
});

describe('what the server tells by itself', () => {
  const told = () => vi.spyOn(at.server.app.events, 'news');
  const asked: string[] = [];
  const counting = () => {
    asked.length = 0;
    vi.stubGlobal('fetch', (input: RequestInfo, init?: RequestInit) => {
      asked.push(String(input));
      return at.server.fetch(input, init);
    });
  };
  const from = (device: Device) => device.state().slice.get('cable', 'k')!.from;

  it('is taken as it is where it follows on, and asked for where it does not', async () => {
    const device = await started();
    const news = told();
    counting();
    at.server.other('cable.edit', { id: 'k', set: { from: 'MCC 1' } });
    device.hear(news.mock.calls[0]![0]);
    expect(from(device)).toBe('MCC 1');
    expect(asked).toEqual([]);
    device.hear(news.mock.calls[0]![0]);
    at.server.other('cable.edit', { id: 'k', set: { from: 'MCC 2' } });
    at.server.other('cable.edit', { id: 'k', set: { to: 'Pump 4' } });
    device.hear(news.mock.calls[2]![0]);
    await until(() => expect(from(device)).toBe('MCC 2'));
    expect(asked.filter((path) => path.includes('/news/?after='))).toHaveLength(1);
  });

  it('frees a command whose answer was lost', async () => {
    const device = await started();
    const news = told();
    at.server.loseAnswers = true;
    take(device, 20.91);
    await until(() => expect(news).toHaveBeenCalled());
    expect(device.state().waiting).toBe(1);
    // It is asked for again meanwhile: what is told counts as soon as nothing is being asked.
    await until(() => {
      device.hear(news.mock.calls[0]![0]);
      expect(device.state().waiting).toBe(0);
    });
    expect(values(device)).toContain(20.91);
    at.server.loseAnswers = false;
  });

  it('tells whose value was replaced', async () => {
    const device = await started();
    const news = told();
    device.give('cable.edit', { id: 'k', set: { from: 'MCC 1' } });
    await settled(device);
    await new Promise((resolve) => setTimeout(resolve, 20));
    at.server.other('cable.edit', { id: 'k', set: { from: 'MCC 2' }, was: { from: '' } });
    device.hear(news.mock.calls.at(-1)![0]);
    await until(() => expect(device.state().notices.some(({ text }) => text.includes('MCC 1'))).toBe(true));
  });
});

describe('a hostile network', () => {
  /** Random numbers that come the same each time. */
  function dice(seed: number): () => number {
    let a = seed;
    return () => {
      a = (a + 0x6d2b79f5) | 0;
      let t = Math.imul(a ^ (a >>> 15), 1 | a);
      t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
      return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    };
  }

  it.each([1, 2, 3, 4, 5, 6])(
    'lost, doubled, reordered, cut: nothing lost, nothing doubled (%d)',
    async (seed) => {
      const random = dice(seed);
      let kind = true;
      const hostile: typeof fetch = async (input, init) => {
        if (kind) return at.server.fetch(input, init);
        // The request is lost, or comes later than the next one.
        if (random() < 0.2) throw new TypeError('Failed to fetch');
        if (random() < 0.3) await new Promise((resolve) => setTimeout(resolve, random() * 8));
        if (random() < 0.15) await at.server.fetch(input, init);
        const answer = await at.server.fetch(input, init);
        // The answer is lost, or breaks off.
        if (random() < 0.2) throw new TypeError('Failed to fetch');
        if (random() < 0.2) return new Response((await answer.text()).slice(0, Math.floor(random() * 200)), { status: answer.status }); // prettier-ignore
        return answer;
      };
      vi.stubGlobal('fetch', hostile);
      const [a, b] = [await started(), await started()];
      kind = false;
      const wanted: number[] = [];
      for (let i = 0; i < 40; i++) {
        const value = 10 + i / 100;
        wanted.push(value);
        take(random() < 0.5 ? a : b, value);
        if (random() < 0.2) at.server.other('reading.take', { ...reading(a, 30 + i), id: `other-${i}` });
        if (random() < 0.3) void a.refresh();
        if (random() < 0.4) await new Promise((resolve) => setTimeout(resolve, random() * 10));
      }
      kind = true;
      await Promise.all([a.flush(), b.flush()]);
      await settled(a);
      await settled(b);
      const accepted = acceptedBy(at.server).filter((value) => value < 20);
      expect([...accepted].sort((x, y) => x - y)).toEqual(wanted);
      for (const device of [a, b]) {
        await device.refresh();
        await until(() => expect(values(device).filter((value) => value < 20)).toHaveLength(wanted.length));
        expect([...values(device)].sort()).toEqual([...acceptedBy(at.server)].sort());
        expect(device.state().refused).toEqual([]);
      }
      expect(storeOf(at.server).journal.firstBroken()).toBeNull();
    },
  );
});
