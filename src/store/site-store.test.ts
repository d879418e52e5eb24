import canonicalize from 'canonicalize';
import { copyFileSync, mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { AnyCommand } from '../core/commands/commands';
import type { Change } from '../core/record/types';
import { recordsWith } from '../core/rulebook/sound-entry.test.data';
import { openDatabase } from './open';
import { TABLES } from '../core/record/tables';
import { Records } from './records';
import { SiteStore } from './site-store';

const MIGRATIONS = 'src/store/migrations/site';
const AT = '2026-03-04T10:00:00.000Z';
let folder: string;
let store: SiteStore;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yendral-store-'));
  store = SiteStore.open('s', folder, MIGRATIONS, AT);
  const slice = recordsWith();
  store.transaction(() =>
    store.records.write(
      TABLES.flatMap((table) =>
        slice.all(table).map((after) => ({ table, id: after.id, before: null, after })),
      ),
    ),
  );
});
afterEach(() => store.close());

const strike = (id: string, reading: string): AnyCommand => ({
  id,
  kind: 'reading.strike',
  site: 's',
  at: '2026-03-04T10:00:00.000Z',
  payload: { id: reading, reason: 'misreading' },
});
const commit = (command: AnyCommand) =>
  store.transaction(
    () =>
    store.commit({ command, canonical: canonicalize(command)!, person: 'A. Vell', receivedAt: command.at, sent: 'hash' }), // prettier-ignore
  );
const firstReading = () => store.records.by('reading', 'entry', 'e')[0]!;

describe('the database', () => {
  it('keeps what is acknowledged: WAL, full sync, foreign keys', () => {
    expect(store.db.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(store.db.pragma('synchronous', { simple: true })).toBe(2);
    expect(store.db.pragma('foreign_keys', { simple: true })).toBe(1);
  });
  it('of an earlier version is read as it was left, and has its lists made when it is opened to be written', () => {
    const earlier = mkdtempSync(join(tmpdir(), 'yendral-earlier-'));
    for (const name of readdirSync(MIGRATIONS).filter((one) => one < '0004'))
      copyFileSync(join(MIGRATIONS, name), join(earlier, name));
    const old = openDatabase(join(earlier, 'site.db'), earlier);
    const slice = recordsWith();
    new Records(old).write(
      TABLES.flatMap((table) =>
        slice.all(table).map((after) => ({ table, id: after.id, before: null, after })),
      ),
    );
    old.close();
    const read = SiteStore.read('s', earlier);
    const judged = read.judged('e', AT);
    expect(JSON.parse(judged!.body)).toMatchObject({ round: 'r', state: 'sound' });
    read.close();
    const opened = SiteStore.open('s', earlier, MIGRATIONS, AT);
    expect(opened.statuses.countStale()).toBe(1);
    expect(opened.settle(AT, Infinity)).toBe(0);
    expect(opened.lists.search(slice.get('enclosure', 'b')!.tag, 5)).toMatchObject([
      { table: 'entry', id: 'e' },
      { table: 'enclosure', id: 'b' },
    ]);
    expect(opened.records.by('round', 'entries', 'e')).toHaveLength(1);
    opened.close();
  });

  it('refuses a record that points at nothing, and keeps nothing of its transaction', () => {
    const cable = store.records.get('cable', 'k')!;
    const entry = store.records.get('entry', 'e')!;
    expect(() =>
      store.transaction(() =>
        store.records.write([
          { table: 'cable', id: 'k2', before: null, after: { ...cable, id: 'k2' } },
          { table: 'entry', id: 'e2', before: null, after: { ...entry, id: 'e2', enclosure: 'nowhere' } },
        ]),
      ),
    ).toThrow(/FOREIGN KEY/);
    expect(store.records.get('cable', 'k2')).toBeNull();
  });
  it('runs each migration once, in order, and none twice', () => {
    const migrations = mkdtempSync(join(tmpdir(), 'yendral-migrations-'));
    writeFileSync(join(migrations, '0001-a.sql'), 'CREATE TABLE a (n INTEGER);');
    writeFileSync(join(migrations, 'notes.txt'), 'not a migration');
    const file = join(folder, 'other.db');
    openDatabase(file, migrations).close();
    writeFileSync(join(migrations, '0002-b.sql'), 'INSERT INTO a VALUES (1);');
    openDatabase(file, migrations).close();
    const db = openDatabase(file, migrations);
    expect(db.prepare('SELECT count(*) AS n FROM a').get()).toEqual({ n: 1 });
    expect(db.pragma('user_version', { simple: true })).toBe(2);
    db.close();
  });
  it('takes back a migration that fails half-way', () => {
    const migrations = mkdtempSync(join(tmpdir(), 'yendral-migrations-'));
    writeFileSync(join(migrations, '0001-a.sql'), 'CREATE TABLE a (n INTEGER); CREATE TABLE a (n INTEGER);');
    const file = join(folder, 'broken.db');
    expect(() => openDatabase(file, migrations)).toThrow();
    writeFileSync(join(migrations, '0001-a.sql'), 'CREATE TABLE a (n INTEGER);');
    const db = openDatabase(file, migrations);
    expect(db.pragma('user_version', { simple: true })).toBe(1);
    db.close();
  });
  it('backs itself up while it is in use', async () => {
    commit(strike('c1', firstReading().id));
    const other = mkdtempSync(join(tmpdir(), 'yendral-backup-'));
    await store.db.backup(join(other, 'site.db'));
    const copy = SiteStore.read('s', other);
    expect(copy.journal.head()).toEqual(store.journal.head());
    copy.close();
  });
});

describe('the journal', () => {
  it('links each line to the one before', () => {
    const [a, b] = store.records.by('reading', 'entry', 'e');
    const first = commit(strike('c1', a!.id));
    const second = commit(strike('c2', b!.id));
    expect([first.seq, second.seq]).toEqual([1, 2]);
    const lines = [...store.journal.lines()];
    expect(lines[0]!.prev).toBe('0'.repeat(64));
    expect(lines[1]!.prev).toBe(first.hash);
    expect(store.journal.head()).toEqual({ seq: 2, hash: second.hash });
    expect(store.journal.firstBroken()).toBeNull();
    expect(store.journal.after(1, 10).map(({ id }) => id)).toEqual(['c2']);
    expect(store.journal.after(0, 1).map(({ id }) => id)).toEqual(['c1']);
  });
  it('shows a line that was changed, taken out or put in another order', () => {
    const readings = store.records.by('reading', 'entry', 'e');
    readings.slice(0, 3).forEach(({ id }, i) => commit(strike(`c${i}`, id)));
    const broken = (sql: string) => {
      store.db.exec('SAVEPOINT tamper');
      store.db.exec(sql);
      const at = store.journal.firstBroken();
      store.db.exec('ROLLBACK TO tamper; RELEASE tamper');
      return at;
    };
    expect(broken("UPDATE journal SET person = 'Mallory' WHERE seq = 2")).toEqual({ seq: 2, what: 'hash' });
    expect(broken('DELETE FROM journal WHERE seq = 2')).toEqual({ seq: 2, what: 'missing' });
    expect(broken('UPDATE journal SET seq = 9 WHERE seq = 3')).toEqual({ seq: 3, what: 'missing' });
    expect(store.journal.firstBroken()).toBeNull();
  });
});

describe('a command', () => {
  it('changes records, statuses and journal together, or nothing', () => {
    const { id } = firstReading();
    commit(strike('c1', id));
    expect(store.records.get('reading', id)!.struck).toMatchObject({ by: 'A. Vell' });
    expect(store.statuses.stale(9)).toEqual(['e']);
    expect(store.settle('2026-03-04T10:00:01.000Z', 9)).toBe(0);
    expect(store.statuses.all()).toHaveLength(1);
    expect(() => commit(strike('c2', id))).toThrow('reading.struck');
    expect(store.journal.head().seq).toBe(1);
    expect(store.records.get('change', 'c2')).toBeNull();
    expect(store.statuses.countStale()).toBe(0);
  });
  it('marks what it touched to be judged again; taken back, it marks nothing', () => {
    const { id } = firstReading();
    const taken = () =>
      store.transaction(() => {
        store.commit({ command: strike('c1', id), canonical: '{}', person: 'A. Vell', receivedAt: '', sent: '' }); // prettier-ignore
        throw new Error('the disk is full');
      });
    expect(taken).toThrow('the disk is full');
    expect(store.statuses.countStale()).toBe(0);
    expect(firstReading().struck).toBeNull();
    commit(strike('c1', id));
    expect(store.statuses.countStale()).toBe(1);
  });
  it('leaves every look-up as a new reader finds it, whatever was written and taken back', () => {
    const field = (table: 'reading' | 'entry', name: string, value: string) => [table, name, value] as const;
    const looked = [field('reading', 'entry', 'e'), field('reading', 'round', 'r'), field('entry', 'cable', 'k'), field('entry', 'site', 's')]; // prettier-ignore
    const readings = store.records.by('reading', 'entry', 'e');
    const edit = (id: string, set: object) => ({ id, kind: 'entry.edit', site: 's', at: '2026-03-04T10:00:00.000Z', payload: { id: 'e', set } }) as unknown as AnyCommand; // prettier-ignore
    const steps = [
      () => commit(strike('s1', readings[0]!.id)),
      () => commit(edit('e1', { cable: null })),
      () => store.transaction(() => { store.records.write([{ table: 'reading', id: readings[1]!.id, before: readings[1]!, after: null }]); throw new Error('back'); }),
      () => commit(edit('e2', { cable: 'k' })),
      () => store.transaction(() => store.records.write([{ table: 'reading', id: 'aa', before: null, after: { ...readings[2]!, id: 'aa' } }])),
      () => store.transaction(() => store.records.write([{ table: 'reading', id: readings[2]!.id, before: readings[2]!, after: null }])),
    ]; // prettier-ignore
    for (const step of steps) {
      try {
        step();
      } catch (error) {
        expect(String(error)).toContain('back');
      }
      const fresh = new Records(store.db);
      for (const [table, name, value] of looked)
        expect(store.records.by(table, name, value), `${table} by ${name}`).toEqual(fresh.by(table, name, value)); // prettier-ignore
    }
  });
  it('is found again in the history of what it touched', () => {
    const { id } = firstReading();
    commit(strike('c1', id));
    expect(store.records.changesOf(id, 10).map((change) => change.id)).toEqual(['c1']);
    expect(store.records.recentChanges('s', 10).map((text) => (JSON.parse(text) as Change).id)).toEqual([
      'c1',
    ]);
  });
  it('a table is looked up by its own columns only', () => {
    expect(() => store.records.by('cable', 'tag', 'P-1')).toThrow('cannot be looked up');
  });
});
