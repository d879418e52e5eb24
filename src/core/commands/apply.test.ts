import { beforeEach, describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { apply } from './apply';
import type { AnyCommand, CommandKind, Payloads } from './commands';
import { canonicalHash } from '../record/seal';
import type { MemorySlice } from '../record/slice';

let slice: MemorySlice;
let clock: number;
beforeEach(() => {
  slice = recordsWith();
  clock = 0;
});

function give<K extends CommandKind>(kind: K, payload: Payloads[K], at?: string, id?: string): string {
  clock++;
  const command = {
    id: id ?? `c${String(clock).padStart(4, '0')}`,
    kind,
    site: 's',
    at: at ?? new Date(Date.UTC(2026, 2, 4, 10, clock)).toISOString(),
    payload,
  } as unknown as AnyCommand;
  slice.write(apply(slice, command, 'A. Vell'));
  return command.id;
}
const refusal = (run: () => unknown) => {
  try {
    run();
    return 'taken';
  } catch (error) {
    const { name, code, field } = error as { name: string; code: string; field: string };
    return name === 'Refusal' ? `${code} ${field}` : String(error);
  }
};
const take = (id: string, value = 20.7, more: object = {}) =>
  give('reading.take', {
    id, entry: 'e', round: 'r', place: 'outer-sheath', value, typed: String(value), method: 'caliper',
    instrument: 'c', source: 'typed', ...more,
  }); // prettier-ignore
const raise = (id: string, check: string | null = 'E-29') =>
  give('defect.raise', {
    id,
    entry: 'e',
    round: 'r',
    check,
    grade: 'detailed',
    photos: [],
    action: '',
    observation: null,
  });
const cracked = () =>
  give('look.answer', {
    id: `look${clock}`,
    entry: 'e',
    round: 'r',
    look: 'damage',
    answer: 'cracked',
    photo: null,
  });

describe('readings', () => {
  it('are kept with who took them, marked where they cannot count, and struck out, never erased', () => {
    take('x1');
    take('x2', 151);
    give('reading.strike', { id: 'x1', reason: 'misreading' });
    expect(slice.get('reading', 'x1')).toMatchObject({
      by: 'A. Vell',
      fault: null,
      struck: { reason: 'misreading' },
    });
    expect(slice.get('reading', 'x2')).toMatchObject({ fault: 'outside-span' });
    expect(refusal(() => give('reading.strike', { id: 'x1', reason: 'again' }))).toBe('invalid id');
  });
  it('count to the end of the calibration date, and not after it', () => {
    const on = (id: string, at: string) => {
      give(
        'reading.take',
        {
          id,
          entry: 'e',
          round: 'r',
          place: 'outer-sheath',
          value: 20,
          typed: '20',
          method: 'caliper',
          instrument: 'c',
          source: 'typed',
        },
        at,
      );
      return slice.get('reading', id)!.fault;
    };
    expect(on('y1', '2027-01-01T23:59:00.000Z')).toBeNull();
    expect(on('y2', '2027-01-02T00:01:00.000Z')).toBe('past-calibration');
  });
  it('are refused where they do not belong', () => {
    expect(refusal(() => take('z', 1, { place: 'moon' }))).toBe('invalid place');
    expect(refusal(() => take('z', 1, { entry: 'none' }))).toBe('unknown-id entry');
    expect(refusal(() => take('z', 1, { instrument: 'o' }))).toBe('invalid instrument');
    take('z');
    expect(refusal(() => take('z'))).toBe('exists id');
  });
});

describe('undo', () => {
  it('restores what was before, and can itself be undone', () => {
    const before = slice.get('cable', 'k');
    const edit = give('cable.edit', { id: 'k', set: { outerMm: 22 } });
    const undo = give('undo', { command: edit });
    expect(slice.get('cable', 'k')).toEqual(before);
    give('undo', { command: undo });
    expect(slice.get('cable', 'k')).toMatchObject({ outerMm: 22 });
  });
  it('is refused when something later depends on it, twice, and once sealed', () => {
    const first = give('cable.edit', { id: 'k', set: { outerMm: 22 } });
    const second = give('cable.edit', { id: 'k', set: { tag: 'P-9' } });
    expect(refusal(() => give('undo', { command: first }))).toBe('depends command');
    give('undo', { command: second });
    expect(refusal(() => give('undo', { command: second }))).toBe('invalid command');
    give('undo', { command: first });
    const reading = take('x1');
    const seal = give('inspection.seal', { id: 'i1', entry: 'e', round: 'r' });
    expect(refusal(() => give('undo', { command: reading }))).toBe('sealed command');
    expect(refusal(() => give('undo', { command: seal }))).toBe('sealed command');
  });
  it('takes back an addition that nothing uses, and a removal', () => {
    const { site: _s, ...area } = slice.get('area', 'a')!;
    const add = give('area.add', { ...area, id: 'a2', name: 'Yard' });
    give('undo', { command: add });
    expect(slice.get('area', 'a2')).toBeNull();
    expect(refusal(() => give('area.remove', { id: 'a' }))).toBe('in-use id');
    give('area.add', { ...area, id: 'a3', name: 'Shed' });
    const removal = give('area.remove', { id: 'a3' });
    give('undo', { command: removal });
    expect(slice.get('area', 'a3')).toMatchObject({ name: 'Shed' });
  });

  it('is refused where what it restores points at something that is gone, or has a name that is taken', () => {
    const { site: _s, ...area } = slice.get('area', 'a')!;
    const { site: _t, ...box } = slice.get('enclosure', 'b')!;
    give('area.add', { ...area, id: 'a2', name: 'Yard' });
    give('enclosure.add', { ...box, id: 'b2', area: 'a2', tag: 'JB-9' });
    const removal = give('enclosure.remove', { id: 'b2' });
    give('area.remove', { id: 'a2' });
    expect(refusal(() => give('undo', { command: removal }))).toBe('depends command');
    give('area.add', { ...area, id: 'a4', name: 'Dock' });
    const gone = give('area.remove', { id: 'a4' });
    give('area.add', { ...area, id: 'a5', name: 'Dock' });
    expect(refusal(() => give('undo', { command: gone }))).toBe('depends command');
  });
});

describe('names', () => {
  it('stand once only: areas and enclosures on a site, entries on an enclosure', () => {
    const { site: _s, ...area } = slice.get('area', 'a')!;
    const { site: _t, ...box } = slice.get('enclosure', 'b')!;
    const { site: _u, cableSince: _c, ...entry } = slice.get('entry', 'e')!;
    expect(refusal(() => give('area.add', { ...area, id: 'a2' }))).toBe('exists name');
    expect(refusal(() => give('enclosure.add', { ...box, id: 'b2' }))).toBe('exists tag');
    expect(refusal(() => give('entry.add', { ...entry, id: 'e2' }))).toBe('exists label');
    give('enclosure.add', { ...box, id: 'b2', tag: 'JB-9' });
    give('entry.add', { ...entry, id: 'e2', enclosure: 'b2' });
    expect(refusal(() => give('entry.edit', { id: 'e2', set: { enclosure: 'b' } }))).toBe('exists set.label');
    expect(refusal(() => give('enclosure.edit', { id: 'b2', set: { tag: box.tag } }))).toBe('exists set.tag');
    expect(() => give('enclosure.edit', { id: 'b2', set: { what: 'junction box' } })).not.toThrow();
  });

  it('are refused with the one that has them, in an import too', () => {
    const { site: _t, ...box } = slice.get('enclosure', 'b')!;
    const item = (id: string) => ({ table: 'enclosure' as const, record: { ...box, id, tag: 'JB-10' } });
    expect(() => give('enclosure.add', { ...box, id: 'b2' })).toThrow('name.enclosure');
    expect(refusal(() => give('dossier.import', { source: 'x.csv', items: [item('n1'), item('n2')] }))).toBe(
      'exists items.1.record.tag',
    );
  });
});

describe('fields', () => {
  it('keep the later value, whatever the order of arrival; the other goes to the history', () => {
    give('cable.edit', { id: 'k', set: { tag: 'late' } }, '2026-03-04T12:00:00.000Z');
    const early = give(
      'cable.edit',
      { id: 'k', set: { tag: 'early', from: 'MCC' } },
      '2026-03-04T11:00:00.000Z',
    );
    expect(slice.get('cable', 'k')).toMatchObject({ tag: 'late', from: 'MCC' });
    expect(slice.get('change', early)!.lost).toEqual([
      {
        table: 'cable',
        id: 'k',
        field: 'tag',
        value: 'early',
        by: 'A. Vell',
        stands: 'late',
        standsBy: 'A. Vell',
      },
    ]);
  });
  it('may only point at what is there', () => {
    expect(refusal(() => give('entry.edit', { id: 'e', set: { cable: 'none' } }))).toBe(
      'unknown-id set.cable',
    );
    expect(refusal(() => give('round.edit', { id: 'r', set: { entries: ['e', 'x'] } }))).toBe(
      'unknown-id set.entries.1',
    );
  });
});

describe('an import', () => {
  it('is taken whole or not at all, and undone in one go', () => {
    const { site: _s, ...cable } = slice.get('cable', 'k')!;
    const bad = {
      source: 'f',
      items: [
        { table: 'cable' as const, record: { ...cable, id: 'n1' } },
        { table: 'enclosure' as const, record: { ...slice.get('enclosure', 'b')!, id: 'n2', area: 'none' } },
      ],
    };
    expect(refusal(() => give('dossier.import', bad))).toBe('unknown-id items.1.record.area');
    expect(slice.get('cable', 'n1')).toBeNull();
    const good = give('dossier.import', {
      source: 'f',
      items: [
        { table: 'cable', record: { ...cable, id: 'n1' } },
        { table: 'cable', record: { ...cable, outerMm: 21 } },
      ],
    });
    expect(slice.get('cable', 'k')).toMatchObject({ outerMm: 21 });
    give('undo', { command: good });
    expect(slice.get('cable', 'n1')).toBeNull();
    expect(slice.get('cable', 'k')).toMatchObject({ outerMm: 20.7 });
  });
});

describe('defects', () => {
  it('come from a failed check only, with its statement, level and due day', () => {
    expect(refusal(() => raise('d0'))).toBe('invalid check');
    cracked();
    raise('d1');
    expect(slice.get('defect', 'd1')).toMatchObject({
      severity: 4,
      due: '2026-03-04',
      state: 'open',
      hazard: 'explosion',
    });
    expect(slice.get('defect', 'd1')).toMatchObject({
      finding: { check: 'E-29', outcome: 'fails' },
      statement: '',
    });
    expect(refusal(() => raise('d2'))).toBe('exists check');
  });
  it('change level only with a reason, and their due day with it', () => {
    cracked();
    raise('d1');
    expect(refusal(() => give('defect.edit', { id: 'd1', set: { severity: 3 } }))).toBe(
      'invalid set.severityReason',
    );
    give('defect.edit', { id: 'd1', set: { severity: 3, severityReason: 'isolated' } });
    expect(slice.get('defect', 'd1')).toMatchObject({ severity: 3, computed: 4, due: '2026-03-11' });
  });
  it('go from state to state, are proven by a later round only, and come back as a repeat', () => {
    cracked();
    raise('d1');
    expect(refusal(() => give('defect.edit', { id: 'd1', set: { state: 'assigned' } }))).toBe(
      'invalid set.owner',
    );
    expect(refusal(() => give('defect.edit', { id: 'd1', set: { state: 'proven' } }))).toBe(
      'invalid set.state',
    );
    give('defect.edit', { id: 'd1', set: { state: 'assigned', owner: 'R. Tarn' } });
    give('defect.edit', { id: 'd1', set: { state: 'done' } });
    expect(refusal(() => give('defect.edit', { id: 'd1', set: { state: 'proven' } }))).toBe(
      'invalid set.state',
    );
    give('round.add', {
      id: 'r2',
      name: 'Round 2',
      grade: 'visual',
      entries: ['e'],
      started: '2026-06-01',
      closed: null,
    });
    expect(refusal(() => give('defect.edit', { id: 'd1', set: { state: 'proven' } }))).toBe(
      'invalid set.state',
    );
    give('look.answer', { id: 'ok', entry: 'e', round: 'r2', look: 'damage', answer: 'yes', photo: null });
    give('defect.edit', { id: 'd1', set: { state: 'proven' } });
    give('look.answer', {
      id: 'bad',
      entry: 'e',
      round: 'r2',
      look: 'damage',
      answer: 'corroded',
      photo: null,
    });
    give('defect.raise', {
      id: 'd9',
      entry: 'e',
      round: 'r2',
      check: 'E-29',
      grade: 'visual',
      photos: [],
      action: '',
      observation: null,
    });
    expect(slice.get('defect', 'd9')).toBeNull();
    expect(slice.get('defect', 'd1')).toMatchObject({ state: 'open', repeats: 1, round: 'r2' });
  });
  it('an observation beside the rule book carries its own words', () => {
    give('defect.raise', {
      id: 'd1',
      entry: 'e',
      round: 'r',
      check: null,
      grade: 'visual',
      photos: [],
      action: '',
      observation: { statement: 'Live parts can be touched.', consequence: 4, hazard: 'shock' },
    });
    expect(slice.get('defect', 'd1')).toMatchObject({ severity: 4, statement: 'Live parts can be touched.' });
  });
});

describe('a seal', () => {
  it('closes the inspection, hashes what it rests on, and links to the one before', () => {
    give('inspection.seal', { id: 'i1', entry: 'e', round: 'r' });
    const first = slice.get('inspection', 'i1')!;
    expect(first).toMatchObject({ state: 'sound', previous: null, grade: 'detailed' });
    expect(first.hash).toMatch(/^[0-9a-f]{64}$/);
    expect(slice.get('site', 's')!.lastSeal).toBe(first.hash);
    expect(refusal(() => take('x9'))).toBe('sealed entry');
    expect(refusal(() => give('inspection.seal', { id: 'i2', entry: 'e', round: 'r' }))).toBe('sealed entry');
  });
  it('is the same for the same records whatever the order of their keys, and another for others', () => {
    expect(canonicalHash({ a: 1, b: [2] })).toBe(canonicalHash({ b: [2], a: 1 }));
    expect(canonicalHash({ a: 1 })).not.toBe(canonicalHash({ a: 2 }));
  });
});
