import { describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { addDays, dayIn } from '../record/calendar';
import { usersOf } from '../record/references';
import { countedAll } from '../words/en/tables';
import type { RecordChange } from '../record/slice';
import { touchedEntries } from './touched';
import type { TableName } from '../record/types';

describe('a slice in memory', () => {
  it('looks up by a field, and follows what is written, changed and removed', () => {
    const slice = recordsWith();
    const before = slice.by('reading', 'entry', 'e').length;
    const first = slice.by('reading', 'entry', 'e')[0]!;
    slice.write([{ table: 'reading', id: 'new', after: { ...first, id: 'new' } }]);
    expect(slice.by('reading', 'entry', 'e').length).toBe(before + 1);
    slice.write([{ table: 'reading', id: 'new', after: { ...first, id: 'new', entry: 'other' } }]);
    expect(slice.by('reading', 'entry', 'e').length).toBe(before);
    expect(slice.by('reading', 'entry', 'other').map(({ id }) => id)).toEqual(['new']);
    slice.write([{ table: 'reading', id: 'new', after: null }]);
    expect(slice.by('reading', 'entry', 'other')).toEqual([]);
    expect(slice.get('reading', 'new')).toBeNull();
  });
  it('gives a copy that can be written without touching the first', () => {
    const slice = recordsWith();
    const copy = slice.copy();
    copy.write([{ table: 'cable', id: 'k', after: null }]);
    expect(copy.get('cable', 'k')).toBeNull();
    expect(slice.get('cable', 'k')).not.toBeNull();
    expect(slice.by('cable', 'site', 's').length).toBe(1);
  });
  it('gives records in the order of their ids', () => {
    const ids = recordsWith()
      .all('reading')
      .map(({ id }) => id);
    expect(ids).toEqual([...ids].sort());
  });
});

describe('what refers to a record', () => {
  const users = (table: TableName, id: string) => countedAll(usersOf(recordsWith(), table, id, new Set()));
  it.each([
    ['area', 'a', '1 enclosure'],
    ['enclosure', 'b', '1 entry'],
    ['cable', 'k', '1 entry'],
    ['certificate', 'q', '1 entry'],
    ['instrument', 'o', '1 reading'],
  ] as const)('%s %s: %s', (table, id, wanted) => expect(users(table, id)).toBe(wanted));
  it('an entry is used by its readings, its looks and its round', () => {
    expect(users('entry', 'e')).toMatch(/^\d+ readings, \d+ looks, 1 round$/);
  });
});

describe('entries that a change touches', () => {
  const touched = (table: TableName, id: string) => {
    const slice = recordsWith();
    const changes = [{ table, id, before: null, after: slice.get(table, id) }];
    return [...touchedEntries(slice, changes)];
  };
  it.each([
    ['entry', 'e'],
    ['enclosure', 'b'],
    ['area', 'a'],
    ['cable', 'k'],
    ['certificate', 'q'],
    ['instrument', 'c'],
    ['round', 'r'],
    ['site', 's'],
  ] as const)('%s %s touches the entry', (table, id) => expect(touched(table, id)).toEqual(['e']));
  it('an entry that left a round is touched too', () => {
    const slice = recordsWith();
    const round = slice.get('round', 'r')!;
    const changes: RecordChange[] = [
      { table: 'round', id: 'r', before: round, after: { ...round, entries: [] } },
    ];
    expect([...touchedEntries(slice, changes)]).toEqual(['e']);
  });
  it('a defect or a seal touches no judgement', () => {
    expect([
      ...touchedEntries(recordsWith(), [{ table: 'defect', id: 'x', before: null, after: null }]),
    ]).toEqual([]);
  });
});

describe('the calendar', () => {
  it('counts days in the site’s time zone', () => {
    expect(dayIn('2026-03-04T23:30:00Z', 'Europe/Paris')).toBe('2026-03-05');
    expect(dayIn('2026-03-04T23:30:00Z', 'America/New_York')).toBe('2026-03-04');
  });
  it('adds days over months, leap years and clock changes', () => {
    expect(addDays('2028-02-27', 3)).toBe('2028-03-01');
    expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(addDays('2026-01-01', 365)).toBe('2027-01-01');
  });
});
