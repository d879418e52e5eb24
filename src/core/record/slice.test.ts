import { describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { reverse, squash } from './slice';
import { FILE_TABLES, lookupsOf, tableOf, TABLES } from './tables';
import type { Area } from './types';

const area = (name: string): Area => ({ ...recordsWith().get('area', 'a')!, name });

describe('writings one after the other', () => {
  it('leave each record as it was left last, once', () => {
    const one = { table: 'area' as const, id: 'a', after: area('North') };
    const two = { ...one, after: area('South') };
    const other = { table: 'area' as const, id: 'b', after: null };
    expect(squash([one, other, two])).toEqual([two, other]);
    expect(squash([])).toEqual([]);
  });
});

describe('what takes a change back', () => {
  it('is every record as it was before', () => {
    const before = area('North');
    const records = [
      { table: 'area' as const, id: 'a', before, rev: 'c' },
      { table: 'cable' as const, id: 'k', before: null, rev: 'c' },
    ];
    expect(reverse({ records })).toEqual([
      { table: 'area', id: 'a', after: before },
      { table: 'cable', id: 'k', after: null },
    ]);
  });
});

describe('the table of tables', () => {
  it('names every table after those that it refers to', () => {
    for (const [i, table] of TABLES.entries())
      for (const to of Object.values(tableOf(table).references))
        expect(TABLES.slice(0, i), `${table} refers to ${to}`).toContain(to);
  });
  it('looks records up by their site and by what they refer to', () => {
    expect(lookupsOf('reading')).toEqual(['site', 'entry', 'round', 'instrument']);
    expect(lookupsOf('enclosure')).toEqual(['site', 'area', 'tag']);
    expect([lookupsOf('site'), lookupsOf('frozen')]).toEqual([[], []]);
  });
  it('leaves the history out of the file of a site, and the site stands at its head', () => {
    expect(TABLES.filter((table) => !FILE_TABLES.includes(table))).toEqual(['site', 'change']);
  });
});
