import Database from 'better-sqlite3';
import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { hashByRule1 } from '../../src/core/commands/seal-by-rule-1';
import { backUp } from '../../src/server/keep/backup';
import { verifyFolder } from '../../src/server/keep/verify';
import type { Change, Cable } from '../../src/core/record/types';
import { demoApp, storeOf, type FakeServer } from './fake-server';

const AT = '2026-03-04T10:00:00.000Z';
const temporary = () => mkdtempSync(join(tmpdir(), 'yendral-seals-'));
let server: FakeServer;
let whole: string;
beforeAll(async () => {
  server = demoApp(temporary());
  server.other('asleft.seal', { id: 'al', entry: 'e', round: 'r', why: 'opening', outerSeal: 'kept', innerSeal: 'kept', note: '' }); // prettier-ignore
  server.other('inspection.seal', { id: 'i', entry: 'e', round: 'r' });
  server.other('cable.edit', { id: 'k', set: { from: 'MCC 4' } });
  whole = temporary();
  await backUp(server.app.folder, whole, AT);
});
afterAll(() => server.close());

function damaged(hurt: (db: Database.Database) => void): string {
  const folder = temporary();
  cpSync(join(whole, '2026-03-04T10-00-00Z'), folder, { recursive: true });
  const db = new Database(join(folder, 'sites', 's', 'site.db'));
  db.pragma('foreign_keys = OFF');
  hurt(db);
  db.close();
  return folder;
}

const FROZEN_CABLE = `(SELECT json_extract(body, '$.frozen.cable') FROM inspection)`;

describe('verifying seals', () => {
  it('finds them whole after the live records went on', () => {
    const { damages, notes } = verifyFolder(join(whole, '2026-03-04T10-00-00Z'));
    expect([damages, notes]).toEqual([[], []]);
  });

  it.each<[string, string, RegExp]>([
    ['an inspection changed', `UPDATE inspection SET body = json_set(body, '$.state', 'sound')`, /inspection i, sealed by M\. Okonjo on .* does not match its seal/],
    ['an as-left record changed', `UPDATE asleft SET body = json_set(body, '$.note', 'x')`, /as-left record al, .* does not match its seal/],
    ['what it was judged on changed', `UPDATE frozen SET body = json_set(body, '$.body.outerMm', 19) WHERE id = ${FROZEN_CABLE}`, /inspection i, .* which was changed/],
    ['what it was judged on gone', `DELETE FROM frozen WHERE id = ${FROZEN_CABLE}`, /inspection i, .* which is gone/],
    ['a seal taken out', 'DELETE FROM asleft', /seal [0-9a-f]{64} is named by the one after it, and is gone/],
    ['the newest seal taken out', 'DELETE FROM inspection', /seal [0-9a-f]{64} is named/],
  ])('names %s', (_what, sql, words) => {
    const { damages } = verifyFolder(damaged((db) => db.exec(sql)));
    expect(damages.map(({ what }) => what).join('\n')).toMatch(words);
  }); // prettier-ignore

  it('an older seal is checked by its own rule, and what that did not cover is said', () => {
    const store = storeOf(server);
    const { rule: _r, frozen: _f, ...first } = store.records.get('inspection', 'i')!;
    // The records as they were when it was sealed: only the cable has changed since.
    const change = JSON.parse(store.records.recentChanges('s', 1)[0]!) as Change;
    expect(change.records[0]).toMatchObject({ table: 'cable', id: 'k' });
    const before = change.records[0]!.before as Cable;
    const slice = { get: (table: string, id: string) => (table === 'cable' ? before : store.records.get(table as 'cable', id)), by: store.records.by.bind(store.records), all: store.records.all.bind(store.records) } as unknown as typeof store.records; // prettier-ignore
    const old = { ...first, hash: hashByRule1(slice, first)! };
    const write = (body: object) => (db: Database.Database) => {
      db.prepare('UPDATE inspection SET body = ?').run(JSON.stringify(body));
      db.prepare(`UPDATE site SET body = json_set(body, '$.lastSeal', ?)`).run(old.hash);
    };
    const notes = (body: object) => verifyFolder(damaged(write(body))).notes.join();
    expect(notes(old)).toMatch(
      /1 inspections were sealed by rule 1, .* packing, insulation and continuity\. All of them match/,
    );
    expect(notes({ ...old, state: 'sound' })).toMatch(/0 match the records as they were; of i that cannot be shown/); // prettier-ignore
  });
});
