import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { localStore } from '../../tests/server/local-store';
import type { AnyCommand } from '../core/commands/commands';
import type { Waiting } from './database';
import { Keeper } from './keeper';
import { Outbox } from './outbox';

beforeEach(() => void vi.stubGlobal('localStorage', localStore()));
afterEach(() => void vi.unstubAllGlobals());

const waiting = (id: string): Waiting => ({
  command: { id, kind: 'reading.strike', site: 's', at: '2026-03-04T10:00:00.000Z', payload: { id: 'r', reason: 'x' } } as AnyCommand, // prettier-ignore
  person: 'p',
  by: 'A. Vell',
  refusal: null,
});

/** A store whose reading ends when the test says so, with what was in it when it began. */
function slowKeeper(stored: Waiting[]) {
  let end: (list: Waiting[]) => void = () => undefined;
  const keeper = {
    read: () => new Promise<Waiting[]>((resolve) => (end = resolve)),
    write: () => Promise.resolve(true),
  };
  return { keeper: keeper as unknown as Keeper, end: () => end(stored) };
}
const ids = (outbox: Outbox) => outbox.all.map(({ command }) => command.id);

describe('the outbox, while it reads its store', () => {
  it('keeps a command that comes meanwhile, though the store had it not yet', async () => {
    const { keeper, end } = slowKeeper([]);
    const outbox = new Outbox(keeper);
    const loading = outbox.load();
    await outbox.add(waiting('01'));
    end();
    await loading;
    expect(ids(outbox)).toEqual(['01']);
  });

  it('does not take back a command that left meanwhile, though the store had it still', async () => {
    const { keeper, end } = slowKeeper([waiting('01')]);
    const outbox = new Outbox(keeper);
    await outbox.add(waiting('01'));
    const loading = outbox.load();
    await outbox.taken([{ id: '01', seq: 1 }], () => Promise.resolve());
    end();
    await loading;
    expect(ids(outbox)).toEqual([]);
  });

  it('lets go of what another tab has sent', async () => {
    const { keeper, end } = slowKeeper([]);
    const outbox = new Outbox(keeper);
    await outbox.add(waiting('01'));
    const loading = outbox.load();
    end();
    await loading;
    expect(ids(outbox)).toEqual([]);
  });
});

describe('a command that the server took, while the copy that shows it is not kept yet', () => {
  /** An outbox with one command taken, whose copy is kept when the test says so. */
  async function taken() {
    const keeper = new Keeper();
    await keeper.open();
    const outbox = new Outbox(keeper);
    await outbox.add(waiting('01'));
    let keep: () => void = () => undefined;
    const settled = outbox.taken([{ id: '01', seq: 1 }], () => new Promise((done) => (keep = done)));
    return { keeper, outbox, settled, keep: () => keep() };
  }
  const stored = async (keeper: Keeper) => {
    const again = new Outbox(keeper);
    await again.load();
    return again.all;
  };

  it('counts as sent, so that it is offered again when the server goes back just then', async () => {
    const { keeper, outbox, settled, keep } = await taken();
    expect((await outbox.sentOf('s')).map(({ id }) => id)).toEqual(['01']);
    expect(await outbox.sentOf('another')).toEqual([]);
    await outbox.hold(await outbox.sentOf('s'));
    expect(outbox.held.map(({ command }) => command.id)).toEqual(['01']);
    keep();
    await settled;
    expect(outbox.held).toHaveLength(1);
    expect((await stored(keeper)).map(({ held }) => held)).toEqual([true]);
    await outbox.drop(['01']);
  });

  it('is on the list of what was sent once it is kept, and nowhere else', async () => {
    const { keeper, outbox, settled, keep } = await taken();
    keep();
    await settled;
    expect(outbox.all).toEqual([]);
    expect(await stored(keeper)).toEqual([]);
    expect((await outbox.sentOf('s')).map(({ id, seq }) => [id, seq])).toEqual([['01', 1]]);
  });
});
