import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { MemorySlice, type RecordChange } from '../core/record/slice';
import type { Cable, Standing, Id, Tables } from '../core/record/types';
import { recordsWith } from '../core/rulebook/sound-entry.test.data';
import { Installation } from './installation';
import { openDatabase, openForReading, type Db } from './open';
import { Records } from './records';
import { Statuses } from './status';

const folder = mkdtempSync(join(tmpdir(), 'yendral-records-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const sample = recordsWith();
let count = 0;
let file = '';
let db: Db;
let records: Records;
beforeEach(() => {
  file = join(folder, `${++count}.db`);
  db = openDatabase(file, 'src/store/migrations/site');
  records = new Records(db);
  records.write([{ table: 'site', id: 's', before: null, after: sample.get('site', 's')! }]);
});
afterEach(() => db.close());

const cable = (id: Id, tag: string): Cable => ({ ...sample.get('cable', 'k')!, id, tag });
const put = (after: Cable, before: Cable | null = null): RecordChange =>
  ({ table: 'cable', id: after.id, before, after }) as RecordChange;
const gone = (before: Cable): RecordChange =>
  ({ table: 'cable', id: before.id, before, after: null }) as RecordChange;

describe('records', () => {
  it('are read back as they were written, without what is undefined', () => {
    records.write([put({ ...cable('k1', 'P-1'), typed: undefined })]);
    expect(records.get('cable', 'k1')).toEqual(cable('k1', 'P-1'));
    expect(Object.keys(records.get('cable', 'k1')!)).not.toContain('typed');
    expect(new Records(openForReading(file)).get('cable', 'k1')).toEqual(cable('k1', 'P-1'));
  });

  it('that are not there are null, and are found once they are', () => {
    expect(records.get('cable', 'k1')).toBeNull();
    expect(records.by('cable', 'site', 's')).toEqual([]);
    records.write([put(cable('k1', 'P-1'))]);
    expect(records.get('cable', 'k1')?.tag).toBe('P-1');
    expect(records.by('cable', 'site', 's')).toHaveLength(1);
  });

  it('are looked up only by what has an index', () => {
    expect(() => records.by('cable', 'tag', 'P-1')).toThrow('cannot be looked up by tag');
  });

  it('of a list that is sorted or emptied by its reader stay as they are', () => {
    records.write([put(cable('k1', 'P-1')), put(cable('k2', 'P-2'))]);
    records.by('cable', 'site', 's').reverse().pop();
    expect(records.by('cable', 'site', 's').map(({ id }) => id)).toEqual(['k1', 'k2']);
  });

  it('are those of before once a transaction is taken back', () => {
    records.write([put(cable('k1', 'P-1'))]);
    expect(records.by('cable', 'site', 's')).toHaveLength(1);
    records.begin();
    db.exec('BEGIN');
    records.write([put(cable('k1', 'changed'), cable('k1', 'P-1')), put(cable('k2', 'P-2'))]);
    expect(records.by('cable', 'site', 's')).toHaveLength(2);
    db.exec('ROLLBACK');
    records.forget();
    expect(records.get('cable', 'k1')?.tag).toBe('P-1');
    expect(records.get('cable', 'k2')).toBeNull();
    expect(records.by('cable', 'site', 's').map(({ tag }) => tag)).toEqual(['P-1']);
  });

  it('that a reader has open beside the writer are the newest that were committed', () => {
    const reader = new Records(openForReading(file));
    expect(reader.by('cable', 'site', 's')).toEqual([]);
    records.write([put(cable('k1', 'P-1'))]);
    expect(reader.by('cable', 'site', 's')).toHaveLength(1);
    records.write([put(cable('k1', 'P-9'), cable('k1', 'P-1'))]);
    expect(reader.get('cable', 'k1')?.tag).toBe('P-9');
  });

  it('with what is kept of them answer like records without, after any writes', () => {
    const step = fc.record({
      id: fc.constantFrom('k1', 'k2', 'k3', 'k0'),
      tag: fc.string({ minLength: 1, maxLength: 3 }),
      what: fc.constantFrom('put', 'put', 'remove', 'list'),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        db.exec('DELETE FROM cable');
        const kept = new Records(db);
        const memory = new MemorySlice();
        for (const { id, tag, what } of steps) {
          const before = kept.get('cable', id);
          if (what === 'list') kept.by('cable', 'site', 's');
          else {
            const changes = what === 'put' ? [put(cable(id, tag), before)] : before ? [gone(before)] : [];
            kept.write(changes);
            memory.write(changes);
          }
          const ids = (list: readonly Tables['cable'][]) => list.map((one) => [one.id, one.tag]).sort();
          expect(ids(kept.by('cable', 'site', 's'))).toEqual(ids(memory.by('cable', 'site', 's')));
          expect(ids(kept.by('cable', 'site', 's'))).toEqual(ids(new Records(db).all('cable')));
          expect(kept.get('cable', id)?.tag).toBe(memory.get('cable', id)?.tag);
        }
      }),
      { numRuns: 100 },
    );
  });
});

describe('statuses', () => {
  const status = (entry: Id, state: string, changes_at: string | null = null) =>
    ({ entry, site: 's', state, sealed_state: null, sealed_at: null, running_round: null, due: null, at: null, open_defects: 0, worst: 0, changes_at }) as unknown as Standing; // prettier-ignore
  const place = {
    entry: sample.get('entry', 'e')!,
    area: { id: 'a', name: 'Pit 2' },
    listed: { title: 'JB-2, entry A', words: 'a gland' },
    clocks: { clocks: [], late: [] },
  };
  beforeEach(() =>
    records.write(
      ['area', 'enclosure', 'certificate', 'cable', 'entry'].flatMap((table) =>
        sample
          .all(table as 'entry')
          .map((after) => ({ table: table as 'entry', id: after.id, before: null, after })),
      ),
    ),
  );

  it('are one for each entry, the newest', () => {
    const statuses = new Statuses(db);
    statuses.put({ day: '2026-03-05', status: status('e', 'sound') }, place);
    statuses.put({ day: '2026-03-06', status: status('e', 'failed', '2026-03-07T10:00:00.000Z') }, place);
    expect(statuses.standing().map((one) => JSON.parse(one) as unknown)).toEqual([
      { day: '2026-03-06', status: status('e', 'failed', '2026-03-07T10:00:00.000Z') },
    ]);
    expect(statuses.markPassed('2026-03-07T09:59:59.000Z')).toBe(0);
    expect(statuses.markPassed('2026-03-07T10:00:00.000Z')).toBe(1);
    expect(statuses.standing()).toEqual([]);
    expect(statuses.countStale()).toBe(1);
    expect(statuses.all()).toMatchObject([{ entry: 'e', state: 'failed' }]);
    statuses.remove('e');
    expect(statuses.all()).toEqual([]);
  });

  it('are marked once, and judged anew until no mark is left', () => {
    const statuses = new Statuses(db);
    statuses.markStale(['e', 'e']);
    statuses.markUnjudged();
    expect(statuses.countStale()).toBe(1);
    expect(statuses.stale(10)).toEqual(['e']);
    statuses.unmark('e');
    expect(statuses.countStale()).toBe(0);
    statuses.put({ day: '', status: status('e', 'sound') }, place);
    statuses.markAllStale();
    statuses.markStale(['e']);
    expect(statuses.countStale()).toBe(1);
    statuses.unmark('e');
    expect([statuses.countStale(), statuses.stale(10)]).toEqual([1, ['e']]);
    statuses.put({ day: '', status: status('e', 'sound') }, place);
    expect(statuses.countStale()).toBe(0);
    statuses.markStale(['e']);
    expect(statuses.stale(10)).toEqual(['e']);
  });

  it('are marked again after marks were taken back with their transaction', () => {
    const statuses = new Statuses(db);
    db.exec('BEGIN');
    statuses.markStale(['e']);
    db.exec('ROLLBACK');
    statuses.forget();
    statuses.markStale(['e']);
    expect(statuses.countStale()).toBe(1);
  });
});

describe('the installation', () => {
  const open = () => Installation.open(join(folder, `i${count}.db`), 'src/store/migrations/installation');
  const { site: _site, of: _of, lentAt: _at, ...caliper } = sample.get('instrument', 'c')!;

  it('lists its sites by name, as they are now', () => {
    const one = open();
    one.list('b', 'works', { entries: 2 } as never);
    one.list('a', 'Yard', { entries: 1 } as never);
    one.list('b', 'Alder', { entries: 3 } as never);
    expect(one.sites().map(({ name, summary }) => [name, summary])).toEqual([
      ['Alder', { entries: 3 }],
      ['Yard', { entries: 1 }],
    ]);
    one.unlist('a');
    expect(one.sites().map(({ id }) => id)).toEqual(['b']);
    one.close();
  });

  it('knows where each of its instruments is, and since which version', () => {
    const one = open();
    one.list('s', 'Works', {} as never);
    one.list('t', 'Yard', {} as never);
    const { register } = one;
    expect(register.get('c')).toBeNull();
    register.put(caliper, 'A. Vell');
    register.lend('c', 's', 'v1');
    register.lend('c', 't', 'v2');
    register.lend('c', 's', 'v3');
    expect(register.get('c')).toMatchObject({ by: 'A. Vell', sites: ['s', 't'] });
    expect([register.seen('c', 's'), register.seen('c', 'nowhere')]).toEqual(['v3', null]);
    register.takeBack('c', 's');
    expect(register.all().map(({ sites }) => sites)).toEqual([['t']]);
    register.put({ ...caliper, tag: 'Caliper 08' }, 'B. Orr');
    expect(register.get('c')).toMatchObject({
      by: 'B. Orr',
      instrument: { tag: 'Caliper 08' },
      sites: ['t'],
    });
    one.close();
  });
});
