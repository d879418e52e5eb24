// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../../tests/dom/page';
import { apply } from '../../core/commands/apply';
import type { AnyCommand, CommandKind, Payloads } from '../../core/commands/commands';
import { plant } from '../../core/commands/plant.test.data';
import { Subscribable } from '../../device/subscribable';
import { Touched } from '../../device/touched';
import { afterPaint, catchUp } from '../../ui/after-paint';

/** A device that only keeps records. */
class Records extends Subscribable {
  readonly slice = plant();
  readonly touched = new Touched();
  #state = { slice: this.slice, version: 0 };
  #clock = 0;
  readonly state = () => this.#state;
  give<K extends CommandKind>(kind: K, payload: Payloads[K]): void {
    const command = { id: `c${++this.#clock}`, kind, site: 's', at: '2026-03-05T10:00:00.000Z', payload };
    const changes = apply(this.slice, command as AnyCommand, 'A. Vell');
    this.slice.write(changes);
    this.touched.note(this.slice, changes);
    this.look();
  }
  /** Something else of the device changed: what waits, who is signed in, whether the server is there. */
  look(): void {
    this.#state = { slice: this.slice, version: this.#state.version + 1 };
    this.changed();
  }
}

const { strips } = vi.hoisted(() => ({ strips: vi.fn() }));
vi.mock('../../ui/heart/FitStrip', () => ({ FitStrip: (props: object) => (strips(props), null) }));
let records: Records;
vi.mock('../hand/hand', async () => {
  const { useSyncExternalStore } = await import('react');
  return {
    get device() {
      return records;
    },
    useDeviceLater: () =>
      useSyncExternalStore((listener) => records.subscribe(() => afterPaint(listener)), records.state),
    parameter: () => null,
    say: vi.fn(),
  };
});
vi.mock('../hand/give', () => ({ give: vi.fn() }));
const { judgements, useJudged } = await import('./use-judged');
const { Places } = await import('./Places');

beforeEach(() => {
  records = new Records();
  judgements.count = 0;
  strips.mockClear();
});

const reading = (id: string, entry: string) => ({
  id, entry, round: 'r', place: 'outer-sheath', value: 20.7, typed: '20.7', method: 'caliper', instrument: 'c', source: 'typed',
}) as const; // prettier-ignore
const settled = () => act(async () => Promise.resolve().then(catchUp));

describe('judging what lies on the bench', () => {
  it('happens once for a reading, however often the device changes for it', async () => {
    const { result } = renderHook(() => useJudged('e', null));
    expect(judgements.count).toBe(1);
    records.give('reading.take', reading('n1', 'e'));
    await settled();
    for (let i = 0; i < 4; i++) {
      // Kept, sent, acknowledged.
      records.look();
      await settled();
    }
    expect(judgements.count).toBe(2);
    const judged = result.current!;
    expect('views' in judged && judged.dossier.readings.some(({ id }) => id === 'n1')).toBe(true);
  });

  it('does not happen for a reading of another entry', async () => {
    renderHook(() => useJudged('e', null));
    records.give('reading.take', reading('n2', 'g'));
    await settled();
    expect(judgements.count).toBe(1);
  });

  it('happens for what the entry rests on: its certificate', async () => {
    const { result } = renderHook(() => useJudged('e', null));
    records.give('certificate.edit', { id: 'q', set: { state: 'withdrawn', withdrawn: 'safety' } });
    await settled();
    expect(judgements.count).toBe(2);
    const judged = result.current!;
    expect('findings' in judged && judged.findings.find(({ check }) => check === 'E-01')?.outcome).toBe(
      'fails',
    );
  });

  it('gives the dossier alone of an entry without a round, and nothing of none', () => {
    records.give('round.edit', { id: 'r', set: { entries: ['g'] } });
    expect(renderHook(() => useJudged('e', null)).result.current).not.toHaveProperty('views');
    expect(renderHook(() => useJudged('nowhere', null)).result.current).toBeNull();
  });

  it('draws the place anew that was read, and no other', async () => {
    function Bench() {
      const judged = useJudged('e', null);
      if (!judged || !('views' in judged)) return null;
      return (
        <Places
          views={judged.views}
          guarded
          selected={null}
          eye={null}
          sealed={false}
          onSelect={() => undefined}
        />
      );
    }
    show(<Bench />);
    const all = strips.mock.calls.length;
    expect(all).toBeGreaterThan(4);
    records.give('reading.take', reading('n3', 'e'));
    await settled();
    // The sheath, and what is worked out from it.
    expect(strips.mock.calls.length - all).toBeGreaterThan(0);
    expect(strips.mock.calls.length - all).toBeLessThanOrEqual(2);
  });
});
