import Database from 'better-sqlite3';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { storePhoto } from '../../src/server/files/photos';
import { backUp } from '../../src/server/keep/backup';
import { restore } from '../../src/server/keep/restore';
import { verifyFolder } from '../../src/server/keep/verify';
import { openForReading } from '../../src/store/open';
import { demoApp, storeOf, type FakeServer } from './fake-server';

const AT = '2026-03-04T10:00:00.000Z';
const temporary = () => mkdtempSync(join(tmpdir(), 'yendral-keep-'));
let whole: string;
let server: FakeServer;
let used: string;
beforeAll(async () => {
  used = temporary();
  server = demoApp(used);
  for (let i = 0; i < 5; i++) server.other('cable.edit', { id: 'k', set: { from: `MCC ${i}` } });
  const picture = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#123' } }).png().toBuffer(); // prettier-ignore
  await storePhoto({ store: storeOf(server), writer: server.app.writer }, 'ph-1', picture);
  // A line that says what all records are; what comes after is followed from there.
  storeOf(server).transaction(() => storeOf(server).checkpoint(AT));
  server.other('cable.edit', { id: 'k', set: { to: 'Pump 4' } });
  whole = temporary();
  await backUp(used, whole, AT);
});
afterAll(() => server.close());

/** A copy of the backup with a damage done to it. */
function damaged(hurt: (db: Database.Database, folder: string) => void): string {
  const folder = temporary();
  cpSync(join(whole, '2026-03-04T10-00-00Z'), folder, { recursive: true });
  const db = new Database(join(folder, 'sites', 's', 'site.db'));
  db.pragma('foreign_keys = OFF');
  hurt(db, folder);
  db.close();
  return folder;
}
const said = (folder: string) =>
  verifyFolder(folder)
    .damages.map(({ where, what }) => `${where.slice(folder.length + 1)} ${what}`)
    .join('\n');

describe('verifying', () => {
  it('finds everything in order where it is', () => {
    const { damages, sites } = verifyFolder(join(whole, '2026-03-04T10-00-00Z'));
    expect(damages).toEqual([]);
    expect(sites).toMatchObject([{ id: 's', photos: 1, seq: storeOf(server).journal.head().seq }]);
  });

  it.each<[string, (db: Database.Database, folder: string) => void, RegExp]>([
    ['a person renamed', (db) => db.exec("UPDATE journal SET person = 'Mallory' WHERE seq = 3"), /line 3 of the journal was changed/],
    ['a line taken out', (db) => db.exec('DELETE FROM journal WHERE seq = 4'), /line 4 of the journal is missing/],
    ['a line hashed anew', (db) => db.exec("UPDATE journal SET hash = 'ff' || substr(hash, 3) WHERE seq = 4"), /line 4 .* was changed/],
    ['the tail cut', (db) => db.exec('DELETE FROM journal WHERE seq = (SELECT max(seq) FROM journal)'), /cable k is not what|do not go back/],
    ['a record changed beside the journal', (db) => db.exec(`UPDATE cable SET body = json_set(body, '$.outerMm', 19.9)`), /cable k is not what the journal adds up to/],
    ['a record changed that stood still since the checkpoint', (db) => db.exec(`UPDATE enclosure SET body = json_set(body, '$.wallMm', 2)`), /do not go back to what line/],
    ['a record taken out', (db) => db.exec('DELETE FROM round'), /points at nothing|do not go back/],
    ['a photo gone', (_, folder) => rmSync(join(folder, 'sites/s/photos/ph-1.png')), /ph-1.png is missing/],
    ['a photo exchanged', (_, folder) => writeFileSync(join(folder, 'sites/s/photos/ph-1.png'), 'other'), /ph-1.png is not the photo/],
    ['a site gone', (_, folder) => rmSync(join(folder, 'sites/s'), { recursive: true }), /sites\/s is not there/],
  ])('names %s', (_what, hurt, words) => expect(said(damaged(hurt))).toMatch(words)); // prettier-ignore

  it('names flipped bytes, wherever they are', () => {
    const size = readFileSync(join(whole, '2026-03-04T10-00-00Z', 'sites', 's', 'site.db')).length;
    for (let i = 1; i < 12; i++) {
      const folder = damaged(() => undefined);
      const file = join(folder, 'sites', 's', 'site.db');
      const bytes = readFileSync(file);
      const at = Math.floor((size * i) / 12);
      for (let n = 0; n < 64; n++) bytes[at + n]! ^= 0xff;
      writeFileSync(file, bytes);
      const same = readFileSync(join(whole, '2026-03-04T10-00-00Z', 'sites', 's', 'site.db'));
      // Bytes that no page uses hold nothing that could be wrong.
      const free = same.subarray(at, at + 64).every((byte) => byte === 0);
      if (!free) expect(said(folder), `at byte ${at}`).not.toBe('');
    }
  });
});

describe('a backup', () => {
  it('of a folder in use is what it was at one moment, and the same is restored from it', async () => {
    const target = temporary();
    const { manifest } = await backUp(used, target, '2026-03-05T10:00:00.000Z');
    server.other('cable.edit', { id: 'k', set: { from: 'after' } });
    await backUp(used, target, '2026-03-06T10:00:00.000Z');
    const empty = join(temporary(), 'data');
    const { verified } = restore(target, empty, { site: null, at: '2026-03-05T12:00:00Z' });
    expect(verified.sites).toEqual(manifest.sites);
    const db = openForReading(join(empty, 'sites', 's', 'site.db'));
    expect(db.prepare("SELECT json_extract(body, '$.from') FROM cable").pluck().get()).toBe('MCC 4');
    db.close();
    const newest = join(temporary(), 'data');
    expect(restore(target, newest, { site: null, at: null }).madeAt).toContain('2026-03-06');
    const again = demoAppOn(newest);
    expect(storeOf(again).records.get('cable', 'k')!.from).toBe('after');
    again.close();
  });

  it('three at once into the same place: one counts, the others say so', async () => {
    const target = temporary();
    const all = await Promise.allSettled(
      [1, 2, 3].map(() => backUp(used, target, '2026-03-07T10:00:00.000Z')),
    );
    expect(all.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    for (const one of all)
      if (one.status === 'rejected') expect(String(one.reason)).toContain('made by another backup meanwhile');
    expect(readdirSync(target)).toEqual(['2026-03-07T10-00-00Z']);
    expect(verifyFolder(join(target, '2026-03-07T10-00-00Z')).damages).toEqual([]);
  });

  it('is refused, and leaves nothing, where the folder is damaged', async () => {
    const folder = damaged((db) => db.exec("UPDATE journal SET person = 'Mallory' WHERE seq = 3"));
    const target = temporary();
    await expect(backUp(folder, target, AT)).rejects.toThrow('does not verify');
    expect(existsSync(join(target, '2026-03-04T10-00-00Z'))).toBe(false);
    await expect(backUp(temporary(), target, AT)).rejects.toThrow('holds no data');
  });

  it('restores one site into a folder that lacks it, and nothing over what is there', () => {
    const folder = temporary();
    expect(() => restore(whole, used, { site: null, at: null })).toThrow('is not empty');
    expect(() => restore(whole, used, { site: 's', at: null })).toThrow('holds site "s" already');
    expect(() => restore(whole, folder, { site: 'x', at: null })).toThrow('holds no site "x"');
    expect(() => restore(whole, join(folder, 'd'), { site: null, at: '2020-01-01T00:00:00Z' })).toThrow('holds no backup made by'); // prettier-ignore
    expect(() => restore(folder, join(folder, 'd'), { site: null, at: null })).toThrow('is no backup');
    mkdirSync(join(folder, 'sites'));
    restore(whole, folder, { site: 's', at: null });
    const again = demoAppOn(folder);
    expect(storeOf(again).records.get('cable', 'k')!.to).toBe('Pump 4');
    again.close();
  });

  it('that was damaged since is not restored', () => {
    const source = damaged((db) => db.exec('DELETE FROM journal WHERE seq = 4'));
    const folder = join(temporary(), 'data');
    expect(() => restore(source, folder, { site: null, at: null })).toThrow('line 4');
    expect(existsSync(folder)).toBe(false);
  });
});

/** A server on a folder that holds the site already. */
function demoAppOn(folder: string): FakeServer {
  const other = demoApp(temporary());
  other.goBack(folder);
  return other;
}
