import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { acceptedBy, demoApp, storeOf, type FakeServer } from '../../tests/server/fake-server';
import { localStore } from '../../tests/server/local-store';
import type { Payloads } from '../core/commands/commands';
import type { Base } from '../core/record/types';
import { Backoff } from './backoff';
import { openDeviceDb } from './database';
import { Device } from './device';

let server: FakeServer;
const devices: Device[] = [];
beforeEach(() => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  globalThis.indexedDB = new IDBFactory();
  vi.stubGlobal('localStorage', localStore());
  server = demoApp(mkdtempSync(join(tmpdir(), 'yendral-network-')));
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(async () => {
  for (const device of devices.splice(0)) await device.close();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
  server.close();
});

/** A folder that holds the server's site as it is now. */
async function copyOf(one: FakeServer): Promise<string> {
  const older = mkdtempSync(join(tmpdir(), 'yendral-older-'));
  mkdirSync(join(older, 'sites', 's'), { recursive: true });
  await storeOf(one).db.backup(join(older, 'sites', 's', 'site.db'));
  return older;
}

const until = <T>(check: () => T) => vi.waitFor(check, { timeout: 20_000, interval: 10 });
/** Short pauses, so that a test does not wait for them. */
const hurried = () => new Backoff(5, 20);

async function started(): Promise<Device> {
  const device = new Device(hurried());
  devices.push(device);
  await device.start('s', null);
  return device;
}
const reading = (device: Device, value: number): Payloads['reading.take'] => ({
  id: device.id(), entry: 'e', round: 'r', place: 'outer-sheath', value, typed: String(value), method: 'caliper',
  instrument: 'c', source: 'typed',
}); // prettier-ignore
const take = (device: Device, value: number) => device.give('reading.take', reading(device, value));
const values = (device: Device) =>
  device
    .state()
    .slice.by('reading', 'entry', 'e')
    .map(({ value }) => value);
const settled = (device: Device, waiting = 0) => until(() => expect(device.state().waiting).toBe(waiting));

describe('an answer that breaks off', () => {
  it.each([0, 1, 7, 40])('after %d characters is no success of nothing: it is asked again', async (cutAt) => {
    server.cutAt = cutAt;
    const device = await started();
    expect(device.state().ready).not.toBe('ready');
    expect(device.state().sites).toEqual([]);
    server.cutAt = null;
    await until(() => expect(device.state().ready).toBe('ready'));
    expect(device.state().person?.name).toBe('A. Vell');
    server.cutAt = cutAt;
    take(device, 20.11);
    await until(() => expect(acceptedBy(server)).toContain(20.11));
    expect(device.state().waiting).toBe(1);
    server.cutAt = null;
    await settled(device);
    expect(acceptedBy(server).filter((value) => value === 20.11)).toHaveLength(1);
  });

  it('of the list of sites is not kept: the next start without a signal shows what there was', async () => {
    await started();
    server.cutAt = 3;
    await started();
    server.away = true;
    const third = await started();
    expect(third.state().ready).toBe('ready');
    expect(third.state().sites).toHaveLength(1);
  });
});

describe('a command that the server cannot answer', () => {
  it('is set aside with a word, and the rest goes on', async () => {
    const device = await started();
    server.away = true;
    take(device, 20.1);
    device.give('cable.edit', { id: 'k', set: { from: 'MCC' } });
    take(device, 20.2);
    take(device, 20.3);
    server.breaksOn = 'cable.edit';
    server.away = false;
    void device.flush();
    await until(() => expect(device.state().refused).toHaveLength(1));
    await settled(device);
    expect(acceptedBy(server).slice(-3)).toEqual([20.1, 20.2, 20.3]);
    expect(device.state().refused[0]).toMatchObject({
      command: { kind: 'cable.edit' },
      refusal: { code: 'fault' },
    });
    server.breaksOn = null;
    await device.again(device.state().refused[0]!.command.id);
    await settled(device);
    expect(device.state().refused).toEqual([]);
    expect(device.state().slice.get('cable', 'k')!.from).toBe('MCC');
  });

  it('an undo that no longer applies is refused with the reason, and holds up nothing', async () => {
    const device = await started();
    const bare = ({ site: _s, rev: _r, stamps: _t, ...own }: Base) => own;
    const area = bare(device.state().slice.get('area', 'a')!) as Payloads['area.add'];
    const box = bare(device.state().slice.get('enclosure', 'b')!) as Payloads['enclosure.add'];
    device.give('area.add', { ...area, id: 'a2', name: 'Yard' });
    device.give('enclosure.add', { ...box, id: 'b2', tag: 'JB-9', area: 'a2' });
    const removal = device.give('enclosure.remove', { id: 'b2' });
    await settled(device);
    server.away = true;
    device.give('undo', { command: removal });
    take(device, 20.4);
    server.other('area.remove', { id: 'a2' });
    server.away = false;
    void device.flush();
    await until(() => expect(acceptedBy(server)).toContain(20.4));
    await until(() => expect(device.state().refused).toHaveLength(1));
    expect(device.state().refused[0]!.refusal!.message).toContain('cannot be undone any more');
  });
});

describe('a device that keeps nothing', () => {
  const full = () => vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('no room', 'QuotaExceededError');
  }); // prettier-ignore

  it('says so at once, shows the work, and sends it all the same', async () => {
    const device = await started();
    server.away = true;
    const broken = full();
    take(device, 20.21);
    await until(() => expect(device.state().trouble).toBe('not-kept'));
    expect(values(device)).toContain(20.21);
    expect(device.state().waiting).toBe(1);
    server.away = false;
    await device.flush();
    await settled(device);
    expect(acceptedBy(server)).toContain(20.21);
    broken.mockRestore();
    take(device, 20.22);
    await settled(device);
    await until(() => expect(device.state().trouble).toBeNull());
  });

  it('a page that is left before the store has written loses nothing: the next one sends it', async () => {
    const device = await started();
    server.away = true;
    const broken = full();
    take(device, 20.24);
    broken.mockRestore();
    await device.close();
    const next = await started();
    expect(values(next)).toContain(20.24);
    expect(next.state().waiting).toBe(1);
    server.away = false;
    await next.flush();
    await settled(next);
    expect(acceptedBy(server).filter((value) => value === 20.24)).toHaveLength(1);
    expect(localStorage.length).toBe(1);
  });

  it('without any store at all works with the server', async () => {
    vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('denied', 'SecurityError');
    });
    const device = await started();
    expect(device.state().trouble).toBe('no-store');
    expect(device.state().ready).toBe('ready');
    take(device, 20.23);
    await settled(device);
    expect(acceptedBy(server)).toContain(20.23);
  });

  it('refuses a photo that it has no room for', async () => {
    const device = await started();
    full();
    await expect(device.keepPhoto(new Blob(['x']))).rejects.toThrow('photo.room');
  });
});

describe('a photo that the server refuses', () => {
  it('stays on the device with its reason, beside the record that shows it', async () => {
    const device = await started();
    server.refusePhotos = true;
    const photo = await device.keepPhoto(new Blob(['nonsense']));
    device.give('look.answer', {
      id: device.id(),
      entry: 'e',
      round: 'r',
      look: 'damage',
      answer: 'yes',
      photo,
    });
    await until(() => expect(device.state().refused).toHaveLength(1));
    expect(device.state().refused[0]!.refusal).toMatchObject({ code: 'photo', message: 'No picture.' });
    expect(await device.photo(photo)).not.toBeNull();
    expect((await device.refusedPhoto(photo))!.refusal).toBe('No picture.');
  });
});

describe('a server that goes back', () => {
  it('is noticed: the device offers what it has, and shows nothing as sent that is not there', async () => {
    const device = await started();
    take(device, 20.31);
    await settled(device);
    const older = await copyOf(server);
    take(device, 20.32);
    take(device, 20.33);
    await settled(device);
    server.goBack(older);
    await device.refresh();
    expect(device.state().held.map(({ command }) => (command.payload as { value: number }).value)).toEqual([
      20.32, 20.33,
    ]);
    expect(acceptedBy(server)).not.toContain(20.32);
    expect(values(device)).toEqual(expect.arrayContaining([20.31, 20.32, 20.33]));
    await device.sendHeld();
    await settled(device);
    expect(device.state().held).toEqual([]);
    expect(acceptedBy(server).slice(-2)).toEqual([20.32, 20.33]);
  });

  it('and has grown again since is told by its hash, and what it lost can be left out', async () => {
    const device = await started();
    const older = await copyOf(server);
    take(device, 20.34);
    await settled(device);
    server.goBack(older);
    for (let i = 0; i < 4; i++) server.other('reading.take', { ...reading(device, 19 + i), id: `o${i}` });
    await device.refresh();
    expect(device.state().held).toHaveLength(1);
    await device.dropHeld();
    expect(values(device)).not.toContain(20.34);
    expect(values(device)).toContain(22);
    expect(device.state()).toMatchObject({ held: [], waiting: 0 });
  });
});

describe('two people at once', () => {
  it('whose value was replaced is told, with the other value', async () => {
    const device = await started();
    server.away = true;
    device.give('cable.edit', { id: 'k', set: { from: 'MCC 1' } });
    await new Promise((resolve) => setTimeout(resolve, 5));
    server.away = false;
    await settled(device);
    server.away = true;
    device.give('cable.edit', { id: 'k', set: { to: 'Pump 4' } });
    await new Promise((resolve) => setTimeout(resolve, 20));
    server.other('cable.edit', { id: 'k', set: { from: 'MCC 2' }, was: { from: '' } });
    server.away = false;
    await device.refresh();
    await settled(device);
    expect(device.state().slice.get('cable', 'k')).toMatchObject({ from: 'MCC 2', to: 'Pump 4' });
    await until(() => expect(device.state().notices).toHaveLength(1));
    expect(device.state().notices[0]!.text).toMatch(
      /M\. Okonjo changed the same.*“MCC 2” now; yours was “MCC 1”/,
    );
    const again = await started();
    expect(again.state().notices).toHaveLength(1);
    again.dismiss(again.state().notices[0]!.id);
    await until(() => expect(again.state().notices).toEqual([]));
  });

  it('a command is taken in nobody else’s name: it waits for its own person', async () => {
    const device = await started();
    server.away = true;
    take(device, 20.41);
    await new Promise((resolve) => setTimeout(resolve, 20));
    server.person = { id: 'p9', name: 'R. Tarn' };
    server.away = false;
    void device.flush();
    await until(() => expect(device.state().person?.name).toBe('R. Tarn'));
    expect(acceptedBy(server)).not.toContain(20.41);
    expect(device.state()).toMatchObject({ waiting: 0, ofOthers: 1, refused: [] });
    server.person = { id: 'p1', name: 'A. Vell' };
    await device.signIn('A. Vell').catch(() => undefined);
  });

  it('signing in as another tells the other tabs of this browser', async () => {
    const [first, second] = [await started(), await started()];
    const told: string[] = [];
    first.onOtherPerson = ({ name }) => told.push(name);
    await second.signIn('R. Tarn');
    await until(() => expect(told).toEqual(['R. Tarn']));
    expect(first.state().person?.name).toBe('R. Tarn');
  });

  it('what one tab could not send, the other sends', async () => {
    const [first, second] = [await started(), await started()];
    server.away = true;
    take(first, 20.51);
    await until(() => expect(second.state().waiting).toBe(1));
    await first.close();
    server.away = false;
    await second.flush();
    await settled(second);
    expect(acceptedBy(server).filter((value) => value === 20.51)).toHaveLength(1);
  });
});

describe('what the version before has left', () => {
  it('its outbox and its copy are taken over without loss', async () => {
    const device = await started();
    take(device, 20.61);
    await settled(device);
    const { slice } = device.state();
    await device.close();
    const tables = ['site', 'area', 'enclosure', 'cable', 'certificate', 'instrument', 'entry', 'round', 'reading', 'look', 'defect', 'change'] as const; // prettier-ignore
    const records = Object.fromEntries(tables.map((table) => [table, slice.all(table)]));
    const { journal, seq } = JSON.parse(JSON.stringify({ journal: storeOf(server).journalName, seq: storeOf(server).journal.head().seq })) as { journal: string; seq: number }; // prettier-ignore
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
    server.away = true;
    const next = await started();
    expect(next.state()).toMatchObject({ ready: 'ready', waiting: 1 });
    expect(values(next)).toEqual(expect.arrayContaining([20.61, 20.62]));
    server.away = false;
    await next.flush();
    await settled(next);
    expect(acceptedBy(server)).toContain(20.62);
    expect(server.photos).toContain('ph-1');
    await until(() => expect(next.state().online).toBe(true));
  });

  it('a copy is kept record by record: an acknowledged reading writes no whole site', async () => {
    const device = await started();
    const db = await openDeviceDb();
    // The copy of the site as it came is written by then.
    await until(async () => expect((await db.getAll('records')).length).toBeGreaterThan(8));
    const put = vi.spyOn(IDBObjectStore.prototype, 'put');
    take(device, 20.71);
    await settled(device);
    await new Promise((resolve) => setTimeout(resolve, 400));
    const stores = put.mock.instances.map((store) => (store as unknown as IDBObjectStore).name);
    expect(stores.filter((name) => name === 'records').length).toBeLessThanOrEqual(3);
    expect((await db.getAll('records')).length).toBeGreaterThan(8);
    db.close();
  });

  it('an acknowledgement asks for no news: what is shown is promoted', async () => {
    const device = await started();
    const asked: string[] = [];
    vi.stubGlobal('fetch', (input: RequestInfo, init?: RequestInit) => {
      asked.push(String(input));
      return server.fetch(input, init);
    });
    take(device, 20.81);
    await settled(device);
    expect(asked.filter((path) => path.includes('/api/sites/'))).toEqual([]);
    server.other('reading.take', { ...reading(device, 19.5), id: 'between' });
    take(device, 20.82);
    await settled(device);
    await until(() => expect(values(device)).toEqual(expect.arrayContaining([19.5, 20.82])));
  });
});

describe('a photo of a site that the server has not', () => {
  it('is set aside with its reason, and holds nothing else up', async () => {
    const device = await started();
    server.away = true;
    const photo = await device.keepPhoto(new Blob(['bytes']));
    take(device, 20.95);
    server.away = false;
    vi.stubGlobal('fetch', (input: RequestInfo, init?: RequestInit) =>
      String(input).includes('/photos/')
        ? Promise.resolve(new Response('{"error":{"code":"unknown-id","message":"There is no site.","field":null}}', { status: 404 })) // prettier-ignore
        : server.fetch(input, init),
    );
    await device.flush();
    await settled(device);
    expect(acceptedBy(server)).toContain(20.95);
    expect((await device.refusedPhoto(photo))!.refusal).toBe('There is no site.');
  });
});

describe('what the server tells by itself', () => {
  const told = () => vi.spyOn(server.app.events, 'news');
  const asked: string[] = [];
  const counting = () => {
    asked.length = 0;
    vi.stubGlobal('fetch', (input: RequestInfo, init?: RequestInit) => {
      asked.push(String(input));
      return server.fetch(input, init);
    });
  };
  const from = (device: Device) => device.state().slice.get('cable', 'k')!.from;

  it('is taken as it is where it follows on, and asked for where it does not', async () => {
    const device = await started();
    const news = told();
    counting();
    server.other('cable.edit', { id: 'k', set: { from: 'MCC 1' } });
    device.hear(news.mock.calls[0]![0]);
    expect(from(device)).toBe('MCC 1');
    expect(asked).toEqual([]);
    device.hear(news.mock.calls[0]![0]);
    server.other('cable.edit', { id: 'k', set: { from: 'MCC 2' } });
    server.other('cable.edit', { id: 'k', set: { to: 'Pump 4' } });
    device.hear(news.mock.calls[2]![0]);
    await until(() => expect(from(device)).toBe('MCC 2'));
    expect(asked.filter((path) => path.includes('/commands/?after='))).toHaveLength(1);
  });

  it('frees a command whose answer was lost', async () => {
    const device = await started();
    const news = told();
    server.loseAnswers = true;
    take(device, 20.91);
    await until(() => expect(news).toHaveBeenCalled());
    expect(device.state().waiting).toBe(1);
    // It is asked for again meanwhile: what is told counts as soon as nothing is being asked.
    await until(() => {
      device.hear(news.mock.calls[0]![0]);
      expect(device.state().waiting).toBe(0);
    });
    expect(values(device)).toContain(20.91);
    server.loseAnswers = false;
  });

  it('tells whose value was replaced', async () => {
    const device = await started();
    const news = told();
    device.give('cable.edit', { id: 'k', set: { from: 'MCC 1' } });
    await settled(device);
    await new Promise((resolve) => setTimeout(resolve, 20));
    server.other('cable.edit', { id: 'k', set: { from: 'MCC 2' }, was: { from: '' } });
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
        if (kind) return server.fetch(input, init);
        // The request is lost, or comes later than the next one.
        if (random() < 0.2) throw new TypeError('Failed to fetch');
        if (random() < 0.3) await new Promise((resolve) => setTimeout(resolve, random() * 8));
        if (random() < 0.15) await server.fetch(input, init);
        const answer = await server.fetch(input, init);
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
        if (random() < 0.2) server.other('reading.take', { ...reading(a, 30 + i), id: `other-${i}` });
        if (random() < 0.3) void a.refresh();
        if (random() < 0.4) await new Promise((resolve) => setTimeout(resolve, random() * 10));
      }
      kind = true;
      await Promise.all([a.flush(), b.flush()]);
      await settled(a);
      await settled(b);
      const accepted = acceptedBy(server).filter((value) => value < 20);
      expect([...accepted].sort((x, y) => x - y)).toEqual(wanted);
      for (const device of [a, b]) {
        await device.refresh();
        await until(() => expect(values(device).filter((value) => value < 20)).toHaveLength(wanted.length));
        expect([...values(device)].sort()).toEqual([...acceptedBy(server)].sort());
        expect(device.state().refused).toEqual([]);
      }
      expect(storeOf(server).journal.firstBroken()).toBeNull();
    },
  );
});
