import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Device } from './device';
import { acceptedBy, demoApp, type FakeServer } from '../../tests/server/fake-server';
import { localStore } from '../../tests/server/local-store';

let server: FakeServer;
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  vi.stubGlobal('localStorage', localStore());
  server = demoApp(mkdtempSync(join(tmpdir(), 'yendral-device-')));
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(() => {
  vi.unstubAllGlobals();
  server.close();
});

/** Waits as long as a busy machine may need. */
const until = <T>(check: () => T) => vi.waitFor(check, { timeout: 20_000 });

async function started(): Promise<Device> {
  const device = new Device();
  await device.start('s', null);
  return device;
}
const reading = (device: Device, value: number) => ({
  id: device.id(),
  entry: 'e',
  round: 'r',
  place: 'outer-sheath',
  value,
  typed: String(value),
  method: 'caliper' as const,
  instrument: 'c',
  source: 'typed' as const,
});
const values = (device: Device) =>
  device
    .state()
    .slice.by('reading', 'entry', 'e')
    .map(({ value }) => value);
const settled = (device: Device, waiting = 0) => until(() => expect(device.state().waiting).toBe(waiting));

describe('the device', () => {
  it('shows a change at once and sends it', async () => {
    const device = await started();
    expect(device.state().ready).toBe('ready');
    device.give('reading.take', reading(device, 20.71));
    expect(values(device)).toContain(20.71);
    expect(device.state().waiting).toBe(1);
    await settled(device);
    expect(acceptedBy(server)).toContain(20.71);
    expect(values(device).filter((value) => value === 20.71)).toHaveLength(1);
  });

  it('keeps what it cannot send, over a new start, and sends it in order when the server is back', async () => {
    const first = await started();
    server.away = true;
    for (const value of [20.61, 20.62, 20.63]) first.give('reading.take', reading(first, value));
    await until(() => expect(first.state().online).toBe(false));

    const second = await started();
    expect(second.state().ready).toBe('ready');
    expect(second.state().waiting).toBe(3);
    expect(values(second)).toEqual(expect.arrayContaining([20.61, 20.62, 20.63]));

    server.away = false;
    await second.flush();
    await settled(second);
    expect(acceptedBy(server).slice(-3)).toEqual([20.61, 20.62, 20.63]);
  });

  it('keeps where entries stand over a new start, but for what something has touched since', async () => {
    const first = await started();
    await until(() => expect(first.statuses.of('e')?.state).toBe('incomplete'));
    const { judged } = first.statuses;
    first.give('look.answer', { id: first.id(), entry: 'e', round: 'r', look: 'damage', answer: 'cracked', photo: null }); // prettier-ignore
    await settled(first);
    await first.close();
    const second = await started();
    await until(() => expect(second.statuses.of('e')?.state).toBe('failed'));
    await until(() => expect(second.statuses.judged).toBe(1));
    expect(judged).toBeLessThanOrEqual(1);
    await second.close();
    const third = await started();
    expect(third.statuses.of('e')?.state).toBe('failed');
    expect(third.statuses.judged).toBe(0);
  });

  it('shows over a new start what the server has just taken, when the server is away by then', async () => {
    const first = await started();
    first.give('reading.take', reading(first, 20.64));
    await settled(first);
    server.away = true;
    const second = await started();
    expect(values(second).filter((value) => value === 20.64)).toHaveLength(1);
  });

  it('does not double what was taken when the answer was lost', async () => {
    const device = await started();
    server.loseAnswers = true;
    device.give('reading.take', reading(device, 20.55));
    await until(() => expect(acceptedBy(server)).toContain(20.55));
    expect(device.state().waiting).toBe(1);
    server.loseAnswers = false;
    await device.flush();
    await settled(device);
    expect(acceptedBy(server).filter((value) => value === 20.55)).toHaveLength(1);
    expect(values(device).filter((value) => value === 20.55)).toHaveLength(1);
  });

  it('keeps a refused record with its reason until it is dropped, and takes it out of the view', async () => {
    const device = await started();
    device.give('reading.take', reading(device, 20.5));
    await settled(device);
    device.give('reading.take', { ...reading(device, 20.5), typed: '' });
    await until(() => expect(device.state().refused).toHaveLength(1));
    expect(device.state().refused[0]!.refusal).toMatchObject({ field: 'payload.typed' });
    await device.drop(device.state().refused[0]!.command.id);
    expect(device.state().refused).toHaveLength(0);
    expect(values(device).filter((value) => value === 20.5)).toHaveLength(1);
  });

  it('a command that the records do not allow is refused before it is kept', async () => {
    const device = await started();
    expect(() => device.give('reading.strike', { id: 'none', reason: 'x' })).toThrow('record.none');
    expect(device.state().waiting).toBe(0);
  });

  it('takes in what others did, on top of which its own still stands', async () => {
    const device = await started();
    server.other('reading.take', { ...reading(device, 19.99), id: 'theirs' });
    await device.refresh();
    expect(values(device)).toContain(19.99);
    expect(device.state().slice.get('reading', 'theirs')).toMatchObject({ by: 'M. Okonjo' });
  });

  it('takes a fresh copy when another database answers', async () => {
    const device = await started();
    device.give('reading.take', reading(device, 20.44));
    await settled(device);
    server.startAnew(mkdtempSync(join(tmpdir(), 'yendral-device-')));
    await device.refresh();
    expect(values(device)).not.toContain(20.44);
  });

  it('sends a photo before the command that shows it, and goes on when a photo is refused', async () => {
    const device = await started();
    const photo = await device.keepPhoto(new Blob(['bytes']));
    expect(await device.photo(photo)).not.toBeNull();
    device.give('look.answer', {
      id: device.id(),
      entry: 'e',
      round: 'r',
      look: 'damage',
      answer: 'cracked',
      photo,
    });
    await until(() => expect(server.photos).toContain(photo));
    await until(async () => expect(await device.photo(photo)).toBeNull());

    server.refusePhotos = true;
    const bad = await device.keepPhoto(new Blob(['nonsense']));
    device.give('look.answer', {
      id: device.id(),
      entry: 'e',
      round: 'r',
      look: 'damage',
      answer: 'yes',
      photo: bad,
    });
    device.give('reading.take', reading(device, 20.33));
    await until(() => expect(acceptedBy(server)).toContain(20.33));
    await until(() => expect(device.state().refused.length).toBeGreaterThan(0));
  });

  it('a site that is made here is there before it is sent', async () => {
    const device = await started();
    const { lastSeal: _l, site: _s, rev: _r, stamps: _t, ...own } = device.state().slice.get('site', 's')!;
    const id = device.id();
    device.give('site.add', { ...own, id, name: 'New works' }, id);
    await settled(device);
    await device.openSite(id);
    expect(device.state().slice.get('site', id)).toMatchObject({ name: 'New works' });
  });

  it('asks who one is before it records', async () => {
    server.person = null;
    const device = await started();
    expect(device.state().person).toBeNull();
    expect(() => device.give('reading.take', reading(device, 1))).toThrow('person.none');
    await device.signIn('R. Tarn');
    expect(device.state().person?.name).toBe('R. Tarn');
    device.give('reading.take', reading(device, 20.2));
    await settled(device);
    expect(acceptedBy(server)).toContain(20.2);
  });
});
