import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { acceptedBy, storeOf } from '../../tests/server/fake-server';
import { settled, started, take, until, values, withServer } from '../../tests/server/devices';
import type { Payloads } from '../core/commands/commands';
import { NOTHING } from '../core/record/closure';
import type { Base } from '../core/record/types';
import { Device } from './device';

const at = withServer();

/** A device of a site that is too large to be taken along whole. */
async function partly(): Promise<Device> {
  at.server.app.wholeMost = 0;
  return started();
}

const bare = ({ site: _s, rev: _r, stamps: _t, cableSince: _c, ...own }: Base & { cableSince?: unknown }) =>
  own;

/** Another box with an entry on a cable of its own, made by somebody else. */
function elsewhere(device: Device): void {
  const { slice } = device.state();
  const box = bare(slice.get('enclosure', 'b')!) as Payloads['enclosure.add'];
  const entry = bare(slice.get('entry', 'e')!) as Payloads['entry.add'];
  at.server.other('enclosure.add', { ...box, id: 'b9', tag: 'JB-9' });
  at.server.other('entry.add', { ...entry, id: 'e9', enclosure: 'b9', label: 'Z', cable: null });
}

describe('a site that is too large to be taken along whole', () => {
  it('begins with what belongs to no entry, and takes an entry along with all that it is inspected with', async () => {
    const device = await partly();
    expect(device.state()).toMatchObject({
      ready: 'ready',
      part: { scope: NOTHING },
    });
    expect(device.state().slice.all('entry')).toEqual([]);
    expect(device.state().slice.all('certificate').length).toBeGreaterThan(0);
    expect(device.along.isHere('e')).toBe(false);
    await device.along.take({ entries: ['e'] });
    expect(device.along.isHere('e')).toBe(true);
    expect(device.state().part!.scope.entries).toEqual(['e']);
    await until(() => expect(device.statuses.of('e')).toMatchObject({ entry: 'e', state: 'incomplete' }));
    take(device, 20.41);
    await settled(device);
    expect(acceptedBy(at.server)).toContain(20.41);
    expect(values(device)).toContain(20.41);
  });

  it('works on what it has without a signal, and after a reload', async () => {
    const device = await partly();
    await device.along.take({ rounds: ['r'] });
    await device.close();
    at.server.away = true;
    const next = await started();
    expect(next.state().part!.scope.rounds).toEqual(['r']);
    expect(next.along.isHere('e')).toBe(true);
    take(next, 20.42);
    expect(next.state().waiting).toBe(1);
    await expect(next.along.take({ entries: ['e9'] })).rejects.toMatchObject({ status: 0 });
    at.server.away = false;
    await next.flush();
    await settled(next);
    expect(acceptedBy(at.server)).toContain(20.42);
  });

  it('hears of what is in its part, and fetches it again where something has moved in', async () => {
    const device = await partly();
    await device.along.take({ entries: ['e'] });
    elsewhere(device);
    at.server.other('cable.edit', { id: 'k', set: { from: 'MCC 5' } });
    await device.refresh();
    expect(storeOf(at.server).records.get('entry', 'e9')).not.toBeNull();
    const { slice } = device.state();
    expect(slice.get('cable', 'k')!.from).toBe('MCC 5');
    expect(slice.get('enclosure', 'b9')).toBeNull();
    expect(slice.get('entry', 'e9')).toBeNull();
    at.server.other('entry.edit', { id: 'e9', set: { enclosure: 'b' } });
    await device.refresh();
    await until(() => expect(device.along.isHere('e9')).toBe(true));
    expect(device.state().slice.get('entry', 'e9')!.enclosure).toBe('b');
  });

  it('leaves behind what it is told to, and keeps what waits', async () => {
    const device = await partly();
    await device.along.take({ entries: ['e'] });
    await device.along.take({ rounds: ['r'] });
    await device.along.leave({ entries: ['e'] });
    expect(device.state().part!.scope).toEqual({ ...NOTHING, rounds: ['r'] });
    expect(device.along.isHere('e')).toBe(true);
    at.server.away = true;
    take(device, 20.43);
    await expect(device.along.leave({ rounds: ['r'] })).rejects.toMatchObject({ status: 0 });
    expect(device.along.isHere('e')).toBe(true);
    at.server.away = false;
    await device.along.leave({ rounds: ['r'] });
    expect(device.along.isHere('e')).toBe(false);
    expect(device.state().slice.all('reading')).toEqual([]);
    await device.flush();
    await settled(device);
    expect(acceptedBy(at.server)).toContain(20.43);
  });

  it('does not fill up by what is only looked at', async () => {
    const device = await partly();
    await device.along.take({ rounds: ['r'] });
    for (let i = 0; i < 61; i++) await device.along.take({ entries: [`none-${i}`] });
    const { entries, rounds } = device.state().part!.scope;
    expect(entries.length).toBeLessThanOrEqual(60);
    expect(entries.at(-1)).toBe('none-60');
    expect(rounds).toEqual(['r']);
  });

  it('a small one is here whole, and nothing has to be taken', async () => {
    const device = await started();
    expect(device.state().part).toBeNull();
    expect(device.along.isHere('e')).toBe(true);
    await device.along.take({ entries: ['e'] });
    expect(device.state().part).toBeNull();
  });
});
