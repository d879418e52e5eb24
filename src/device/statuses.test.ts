import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { apply } from '../core/commands/apply';
import type { AnyCommand, CommandKind, Payloads } from '../core/commands/commands';
import { plant } from '../core/commands/plant.test.data';
import type { MemorySlice } from '../core/record/slice';
import { standingOf } from '../core/programme/standing';
import { now } from '../client/clock';
import { openRules } from './rules';
import { Statuses } from './statuses';
import { Touched } from './touched';

let slice: MemorySlice;
let touched: Touched;
let statuses: Statuses;
let clock = 0;
const ENTRIES = ['e', 'f', 'g', 'h', 't'];

beforeEach(() => {
  vi.useFakeTimers();
  slice = plant();
  touched = new Touched();
  statuses = new Statuses(touched, () => ({ slice, site: 's', isHere: () => true }));
});
afterEach(() => vi.useRealTimers());

function give<K extends CommandKind>(kind: K, payload: Payloads[K]): void {
  const command = { id: `c${++clock}`, kind, site: 's', at: '2026-03-05T10:00:00.000Z', payload };
  const changes = apply(slice, command as AnyCommand, 'A. Vell');
  slice.write(changes);
  touched.note(slice, changes);
}
const settle = () => vi.runAllTimersAsync();
const all = () => ENTRIES.map((id) => statuses.of(id));

beforeAll(() => openRules());

describe('where entries stand, for lists', () => {
  it('is asked for again at the moment that time alone may alter it, and not before', async () => {
    const told = vi.fn();
    statuses.subscribe(told);
    const inAnHour = new Date(Date.parse(now()) + 3_600_000).toISOString();
    const status = standingOf(slice, 'e', 's', now())!;
    statuses.take([{ day: '', status: { ...status, changes_at: inAnHour } }]);
    await vi.advanceTimersByTimeAsync(3_590_000);
    statuses.of('e');
    await vi.advanceTimersByTimeAsync(1000);
    expect([told.mock.calls.length, statuses.judged]).toEqual([1, 0]);
    await vi.advanceTimersByTimeAsync(20_000);
    expect(told).toHaveBeenCalledTimes(2);
    statuses.of('e');
    await settle();
    expect(statuses.judged).toBe(1);
  });

  it('is nothing at first, and what the rule book says soon after', async () => {
    expect(all()).toEqual(ENTRIES.map(() => null));
    await settle();
    for (const id of ENTRIES) expect(statuses.of(id)).toEqual(standingOf(slice, id, 's', now())!);
  });

  it('is judged again for what a change touches and for nothing else', async () => {
    all();
    await settle();
    const before = statuses.judged;
    give('look.answer', { id: 'n1', entry: 'e', round: 'r', look: 'damage', answer: 'cracked', photo: null });
    all();
    await settle();
    expect(statuses.judged - before).toBe(1);
    expect(statuses.of('e')!.state).toBe('failed');
    for (const id of ENTRIES) expect(statuses.of(id)).toEqual(standingOf(slice, id, 's', now())!);
  });

  it('is not judged again for what is only acknowledged', async () => {
    all();
    await settle();
    const before = statuses.judged;
    const record = slice.get('reading', slice.all('reading')[0]!.id)!;
    const kept = { ...record, rev: 'c1' };
    touched.note(slice, [{ table: 'reading', id: record.id, before: kept, after: { ...kept } }]);
    all();
    await settle();
    expect(statuses.judged).toBe(before);
  });

  it('is judged again as a whole where another copy lies below', async () => {
    all();
    await settle();
    touched.everything();
    all();
    await settle();
    expect(statuses.judged).toBe(2 * ENTRIES.length);
  });

  it('is what was known with the copy, without judging, until something touches the entry or time has passed it', async () => {
    const status = { ...standingOf(slice, 'e', 's', now())!, state: 'doubtful' as const };
    const kept: unknown[] = [];
    statuses = new Statuses(
      touched,
      () => ({ slice, site: 's', isHere: () => true }),
      (judged) => kept.push(...judged),
    );
    statuses.take([
      { day: '2020-01-01', status: { ...status, changes_at: null } },
      { day: '2020-01-01', status: { ...status, entry: 'f', changes_at: '2020-01-02T00:00:00.000Z' } },
    ]);
    expect(statuses.of('e')!.state).toBe('doubtful');
    expect(statuses.of('f')!.state).toBe('doubtful');
    await settle();
    expect(statuses.of('e')!.state).toBe('doubtful');
    expect(statuses.of('f')).toEqual(standingOf(slice, 'f', 's', now())!);
    give('look.answer', { id: 'n1', entry: 'e', round: 'r', look: 'damage', answer: 'cracked', photo: null });
    statuses.of('e');
    await settle();
    expect(statuses.of('e')!.state).toBe('failed');
    expect(kept.map((one) => (one as { status: { entry: string } }).status.entry)).toEqual(['f', 'e']);
  });
});
