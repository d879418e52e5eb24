import { describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { apply } from './apply';
import type { AnyCommand } from './commands';
import type { MemorySlice } from '../record/slice';
import type { Tables } from '../record/types';

let made = 0;
const give = (slice: MemorySlice, kind: string, payload: object, at = '2026-03-04T12:00:00.000Z'): string => {
  const command = { id: `u${++made}`, kind, site: 's', at, payload };
  slice.write(apply(slice, command as unknown as AnyCommand, 'A. Vell'));
  return command.id;
};
const START = { id: 'w', entry: 'e', round: 'r', why: 'make-off', habit: 'body-first' };
const SEAL = {
  id: 'al',
  entry: 'e',
  round: 'r',
  why: 'make-off',
  outerSeal: 'replaced',
  innerSeal: 'replaced',
  note: '',
};
const ticks = (slice: MemorySlice) =>
  slice.get('makeoff', 'w')!.ticks.map(({ step, skipped }) => [step, skipped]);

describe('work on an entry', () => {
  it('a tick said again replaces the one before; each can be undone', () => {
    const slice = recordsWith();
    give(slice, 'makeoff.start', START);
    give(slice, 'makeoff.tick', { id: 'w', step: 'body', initials: 'AV', skipped: 'no driver' });
    const again = give(slice, 'makeoff.tick', { id: 'w', step: 'body', initials: 'AV', skipped: null });
    expect(ticks(slice)).toEqual([['body', null]]);
    give(slice, 'undo', { command: again });
    expect(ticks(slice)).toEqual([['body', 'no driver']]);
  });
  it('its start can be undone until something builds on it', () => {
    const slice = recordsWith();
    const start = give(slice, 'makeoff.start', START);
    const tick = give(slice, 'makeoff.tick', { id: 'w', step: 'body', initials: 'AV', skipped: null });
    expect(() => give(slice, 'undo', { command: start })).toThrow('undo.later');
    give(slice, 'undo', { command: tick });
    give(slice, 'undo', { command: start });
    expect(slice.get('makeoff', 'w')).toBeNull();
  });
  it('belongs to a round that is open, and to an entry of it', () => {
    const slice = recordsWith();
    expect(() => give(slice, 'makeoff.start', { ...START, round: 'none' })).toThrow('record.none');
    expect(() => give(slice, 'makeoff.start', { ...START, entry: 'none' })).toThrow('record.none');
    give(slice, 'inspection.seal', { id: 'i', entry: 'e', round: 'r' });
    expect(() => give(slice, 'makeoff.start', START)).toThrow('sealed');
  });
  it('a new one can begin once the one before is sealed as left', () => {
    const slice = recordsWith();
    give(slice, 'makeoff.start', START);
    give(slice, 'asleft.seal', SEAL);
    give(slice, 'makeoff.start', { ...START, id: 'w2', why: 'opening' });
    expect(slice.by('makeoff', 'entry', 'e').map(({ finished }) => finished !== null)).toEqual([true, false]);
  });
});

describe('compound that is mixed and not packed', () => {
  const POUR = {
    id: 'p2', entry: 'e', round: 'r', batch: 'B', expires: '2027-01-01', ratioKept: true, mixedAt: '2026-03-04T11:00:00.000Z',
    packedAt: null, temperatureC: 20, lowestC: null, lookedAt: null,
  }; // prettier-ignore
  const poured = (change: object) => {
    const slice = recordsWith({ kind: 'gland-barrier', pour: null });
    give(slice, 'pour.record', { ...POUR, ...change });
    return slice;
  };
  it('is packed, then looked at, in this order', () => {
    const slice = poured({});
    expect(() =>
      give(slice, 'pour.edit', { id: 'p2', set: { lookedAt: '2026-03-04T18:00:00.000Z' } }),
    ).toThrow('pour.looked-before');
    expect(() =>
      give(slice, 'pour.edit', { id: 'p2', set: { packedAt: '2026-03-04T10:00:00.000Z' } }),
    ).toThrow('pour.packed-before');
    give(slice, 'pour.edit', { id: 'p2', set: { packedAt: '2026-03-04T11:20:00.000Z', lowestC: 19 } });
    expect(() =>
      give(slice, 'pour.edit', { id: 'p2', set: { lookedAt: '2026-03-04T11:10:00.000Z' } }),
    ).toThrow('pour.looked-before');
    give(slice, 'pour.edit', { id: 'p2', set: { lookedAt: '2026-03-04T18:00:00.000Z' } });
    expect(slice.get('pour', 'p2')).toMatchObject({
      packedAt: '2026-03-04T11:20:00.000Z',
      lowestC: 19,
      lookedAt: '2026-03-04T18:00:00.000Z',
    });
  });
  it.each([
    [{ packedAt: '2026-03-04T10:59:00.000Z' }, 'pour.packed-before'],
    [{ lookedAt: '2026-03-04T18:00:00.000Z' }, 'pour.looked-before'],
  ])('%j is refused at once', (change, words) => expect(() => poured(change)).toThrow(words));
  it('a kind without a pot takes none', () => {
    expect(() => give(recordsWith(), 'pour.record', POUR)).toThrow('entry.no-pot');
  });
});

describe('insulation tests', () => {
  const mineral = {
    conductors: ['L', 'N'],
    screened: false,
    jacketed: false,
    testVoltage: 500,
    newMegohm: 100,
    serviceMegohm: 20,
    windowMin: 15,
    fallFactor: 2,
    sheathMm2: null,
    sheathC: null,
    earthLimitOhm: null,
    link: null,
  };
  const START_TEST = {
    id: 't',
    cable: 'k',
    entry: null,
    stage: 'in-service',
    drying: false,
    instrument: 'm',
    temperatureC: 20,
    farEndSealed: true,
  };
  const records = () => {
    const slice = recordsWith({ cable: { mineral } });
    const tester = {
      ...slice.get('instrument', 'c')!,
      id: 'm',
      kind: 'insulation-tester',
      unit: 'megohm',
    } as Tables['instrument'];
    slice.write([{ table: 'instrument', id: 'm', after: tester }]);
    return slice;
  };
  it('keep cable and tester from being removed, and can be undone reading by reading', () => {
    const slice = records();
    const start = give(slice, 'insulation.start', START_TEST);
    const read = give(slice, 'insulation.read', { id: 't', pair: 'L-N', megohm: 5, saturated: false });
    expect(() => give(slice, 'instrument.remove', { id: 'm' })).toThrow('record.used');
    give(slice, 'undo', { command: read });
    expect(slice.get('insulation', 't')!.readings).toEqual([]);
    give(slice, 'undo', { command: start });
    give(slice, 'instrument.remove', { id: 'm' });
    expect(slice.get('instrument', 'm')).toBeNull();
  });
  it('of an end belong to the entry that holds the cable', () => {
    const slice = records();
    expect(() => give(slice, 'insulation.start', { ...START_TEST, entry: 'gone' })).toThrow();
    give(slice, 'insulation.start', { ...START_TEST, entry: 'e' });
    expect(slice.get('insulation', 't')!.entry).toBe('e');
    slice.write([{ table: 'entry', id: 'e', after: { ...slice.get('entry', 'e')!, cable: null } }]);
    expect(() => give(slice, 'insulation.start', { ...START_TEST, id: 't2', entry: 'e' })).toThrow(
      'entry.other-cable',
    );
  });
  it('tracing names every sleeve once at either end, and can be undone', () => {
    const slice = records();
    const trace = (found: { near: string; far: string | null }[]) => give(slice, 'continuity.record', { id: 'n', cable: 'k', found }); // prettier-ignore
    expect(() => trace([{ near: 'X', far: 'L' }])).toThrow('sleeve.none');
    expect(() => trace([{ near: 'L', far: 'Y' }])).toThrow('sleeve.none');
    expect(() => trace([{ near: 'L', far: 'N' }, { near: 'N', far: 'N' }])).toThrow('sleeve.twice'); // prettier-ignore
    const kept = trace([{ near: 'L', far: 'N' }, { near: 'N', far: null }]); // prettier-ignore
    expect(slice.get('continuity', 'n')!.found).toHaveLength(2);
    give(slice, 'undo', { command: kept });
    expect(slice.get('continuity', 'n')).toBeNull();
  });
  it('an id that is taken is refused', () => {
    const slice = records();
    give(slice, 'insulation.start', START_TEST);
    expect(() => give(slice, 'insulation.start', START_TEST)).toThrow('record.exists');
    expect(() =>
      give(slice, 'insulation.read', { id: 'other', pair: 'L-N', megohm: 5, saturated: false }),
    ).toThrow('record.none');
  });
});
