import 'fake-indexeddb/auto';
import { describe, expect, it, vi } from 'vitest';
import { acceptedBy } from '../../tests/server/fake-server';
import type { Payloads } from '../core/commands/commands';
import type { Base } from '../core/record/types';
import {
  copyOf,
  reading,
  settled,
  started,
  take,
  until,
  values,
  withServer,
} from '../../tests/server/devices';

const at = withServer();

describe('an answer that breaks off', () => {
  it.each([0, 1, 7, 40])('after %d characters is no success of nothing: it is asked again', async (cutAt) => {
    at.server.cutAt = cutAt;
    const device = await started();
    expect(device.state().ready).not.toBe('ready');
    expect(device.state().sites).toEqual([]);
    at.server.cutAt = null;
    await until(() => expect(device.state().ready).toBe('ready'));
    expect(device.state().person?.name).toBe('A. Vell');
    at.server.cutAt = cutAt;
    take(device, 20.11);
    await until(() => expect(acceptedBy(at.server)).toContain(20.11));
    expect(device.state().waiting).toBe(1);
    at.server.cutAt = null;
    await settled(device);
    expect(acceptedBy(at.server).filter((value) => value === 20.11)).toHaveLength(1);
  });

  it('of the list of sites is not kept: the next start without a signal shows what there was', async () => {
    await started();
    at.server.cutAt = 3;
    await started();
    at.server.away = true;
    const third = await started();
    expect(third.state().ready).toBe('ready');
    expect(third.state().sites).toHaveLength(1);
  });
});

describe('a command that the server cannot answer', () => {
  it('is set aside with a word, and the rest goes on', async () => {
    const device = await started();
    at.server.away = true;
    take(device, 20.1);
    device.give('cable.edit', { id: 'k', set: { from: 'MCC' } });
    take(device, 20.2);
    take(device, 20.3);
    at.server.breaksOn = 'cable.edit';
    at.server.away = false;
    void device.flush();
    await until(() => expect(device.state().refused).toHaveLength(1));
    await settled(device);
    expect(acceptedBy(at.server).slice(-3)).toEqual([20.1, 20.2, 20.3]);
    expect(device.state().refused[0]).toMatchObject({
      command: { kind: 'cable.edit' },
      refusal: { code: 'fault' },
    });
    at.server.breaksOn = null;
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
    at.server.away = true;
    device.give('undo', { command: removal });
    take(device, 20.4);
    at.server.other('area.remove', { id: 'a2' });
    at.server.away = false;
    void device.flush();
    await until(() => expect(acceptedBy(at.server)).toContain(20.4));
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
    at.server.away = true;
    const broken = full();
    take(device, 20.21);
    await until(() => expect(device.state().trouble).toBe('not-kept'));
    expect(values(device)).toContain(20.21);
    expect(device.state().waiting).toBe(1);
    at.server.away = false;
    await device.flush();
    await settled(device);
    expect(acceptedBy(at.server)).toContain(20.21);
    broken.mockRestore();
    take(device, 20.22);
    await settled(device);
    await until(() => expect(device.state().trouble).toBeNull());
  });

  it('a page that is left before the store has written loses nothing: the next one sends it', async () => {
    const device = await started();
    at.server.away = true;
    const broken = full();
    take(device, 20.24);
    broken.mockRestore();
    await device.close();
    const next = await started();
    expect(values(next)).toContain(20.24);
    expect(next.state().waiting).toBe(1);
    at.server.away = false;
    await next.flush();
    await settled(next);
    expect(acceptedBy(at.server).filter((value) => value === 20.24)).toHaveLength(1);
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
    expect(acceptedBy(at.server)).toContain(20.23);
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
    at.server.refusePhotos = true;
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
    const older = await copyOf(at.server);
    take(device, 20.32);
    take(device, 20.33);
    await settled(device);
    at.server.goBack(older);
    await device.refresh();
    expect(device.state().held.map(({ command }) => (command.payload as { value: number }).value)).toEqual([
      20.32, 20.33,
    ]);
    expect(acceptedBy(at.server)).not.toContain(20.32);
    expect(values(device)).toEqual(expect.arrayContaining([20.31, 20.32, 20.33]));
    await device.sendHeld();
    await settled(device);
    expect(device.state().held).toEqual([]);
    expect(acceptedBy(at.server).slice(-2)).toEqual([20.32, 20.33]);
  });

  it('and has grown again since is told by its hash, and what it lost can be left out', async () => {
    const device = await started();
    const older = await copyOf(at.server);
    take(device, 20.34);
    await settled(device);
    at.server.goBack(older);
    for (let i = 0; i < 4; i++) at.server.other('reading.take', { ...reading(device, 19 + i), id: `o${i}` });
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
    at.server.away = true;
    device.give('cable.edit', { id: 'k', set: { from: 'MCC 1' } });
    await new Promise((resolve) => setTimeout(resolve, 5));
    at.server.away = false;
    await settled(device);
    at.server.away = true;
    device.give('cable.edit', { id: 'k', set: { to: 'Pump 4' } });
    await new Promise((resolve) => setTimeout(resolve, 20));
    at.server.other('cable.edit', { id: 'k', set: { from: 'MCC 2' }, was: { from: '' } });
    at.server.away = false;
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
    at.server.away = true;
    take(device, 20.41);
    await new Promise((resolve) => setTimeout(resolve, 20));
    at.server.person = { id: 'p9', name: 'R. Tarn' };
    at.server.away = false;
    void device.flush();
    await until(() => expect(device.state().person?.name).toBe('R. Tarn'));
    expect(acceptedBy(at.server)).not.toContain(20.41);
    expect(device.state()).toMatchObject({ waiting: 0, ofOthers: 1, refused: [] });
    at.server.person = { id: 'p1', name: 'A. Vell' };
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
    at.server.away = true;
    take(first, 20.51);
    await until(() => expect(second.state().waiting).toBe(1));
    await first.close();
    at.server.away = false;
    await second.flush();
    await settled(second);
    expect(acceptedBy(at.server).filter((value) => value === 20.51)).toHaveLength(1);
  });
});
