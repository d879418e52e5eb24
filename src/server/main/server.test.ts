import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Snapshot } from '../../core/commands/news';
import type { Certificate } from '../../core/record/types';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import { closeApp, openApp, type App } from '../app/app';
import { clockFrom } from '../base/clock';
import { acceptCommands } from '../commands/accept';
import { EventHub } from '../base/events';
import { EXPORTS, exportPieces, exportText, typeOf } from '../files/export';
import { previewImport } from '../files/import';
import { judgeSite } from '../files/judge-site';
import { schemaFaults } from '../files/schema';
import { exportSite, readSiteFile } from '../files/site-file';
import { personOf, signIn } from '../http/session';
import { handleInstrument } from '../instruments/handle';
import { commandsAfter, snapshotOf } from '../app/sync';

let app: App;
const slice = recordsWith();
const store = () => app.sites.get('s')!;
const AT = '2026-03-04T10:00:00Z';
const give = (kind: string, payload: object) =>
  acceptCommands(app, [{ id: ulid(), kind, site: 's', at: '2026-03-04T10:00:00Z', payload }], {
    id: 'p',
    name: 'A. Vell',
  })[0]!;

beforeAll(() => {
  app = openApp(
    mkdtempSync(join(tmpdir(), 'yendral-server-')),
    'src/store/migrations',
    clockFrom('2026-03-04T10:00:00Z'),
  );
  const { lastSeal: _l, site: _s, ...own } = slice.get('site', 's')!;
  expect(give('site.add', own)).toMatchObject({ status: 'applied' });
  for (const [table, id] of [
    ['area', 'a'],
    ['certificate', 'q'],
    ['instrument', 'c'],
    ['instrument', 'o'],
    ['instrument', 'u'],
    ['cable', 'k'],
    ['enclosure', 'b'],
    ['entry', 'e'],
    ['round', 'r'],
  ] as const) {
    const { site: _site, ...whole } = slice.get(table, id)!;
    const { cableSince: _since, of: _o, lentAt: _l, ...record } = whole as typeof whole & { cableSince?: null; of?: null; lentAt?: null }; // prettier-ignore
    expect(give(`${table}.add`, record), table).toMatchObject({ status: 'applied' });
  }
});
afterAll(() => closeApp(app));

describe('the clock', () => {
  it('starts where it is told and runs on', () => {
    const clock = clockFrom('2026-03-04T10:00:00Z');
    expect(Math.abs(clock().getTime() - Date.parse('2026-03-04T10:00:00Z'))).toBeLessThan(1000);
    expect(() => clockFrom('soon')).toThrow('is no time');
  });
});

describe('sessions', () => {
  it('know a person by a signed cookie, and nobody by a forged one', () => {
    const { person, cookie } = signIn(app, '  A. Vell ');
    expect(person.name).toBe('A. Vell');
    const value = cookie.split(';')[0]!;
    expect(personOf(app, value)).toEqual(person);
    expect(personOf(app, `other=1; ${value}`)).toEqual(person);
    expect(personOf(app, `${value}0`)).toBeNull();
    expect(personOf(app, value.replace(/\.[0-9a-f]/, '.x'))).toBeNull();
    expect(personOf(app, undefined)).toBeNull();
    expect(signIn(app, 'a. vell').person.id).toBe(person.id);
    expect(cookie).toContain('HttpOnly; SameSite=Strict');
  });
  it.each([7, '', 'x', 'x'.repeat(61), null])('refuse %j as a name', (name) =>
    expect(() => signIn(app, name)).toThrow('Type a name'),
  );
});

describe('the event hub', () => {
  it('sends to every open stream, forgets the ones that are gone, and ends the rest', async () => {
    const hub = new EventHub();
    const [a, b] = [hub.open(['s']).getReader(), hub.open(['s', 't']).getReader()];
    const text = async (reader: typeof a) => new TextDecoder().decode((await reader.read()).value);
    expect(await text(a)).toBe('retry: 1000\n\n');
    await text(b);
    hub.send('instrument', { mm: 2 }, 't');
    hub.send('instrument', { mm: 1 }, 's');
    expect(await text(a)).toBe('event: instrument\ndata: {"mm":1}\n\n');
    await b.cancel();
    expect(hub.size).toBe(1);
    hub.end();
    expect((await a.read()).done).toBe(true);
    expect(hub.size).toBe(0);
  });
  it('tells news of a site together, with what they changed; what does not follow on is asked for', async () => {
    const hub = new EventHub();
    const reader = hub.open(['s']).getReader();
    await reader.read();
    const change = { table: 'cable' as const, id: 'k', after: null };
    const other = { ...change, id: 'k2' };
    hub.news({ site: 's', after: 0, seq: 1, head: 'a', changes: [change] });
    // A record that changed twice is told as it is now.
    hub.news({ site: 's', after: 1, seq: 2, head: 'b', changes: [other, change] });
    hub.news({ site: 't', after: 0, seq: 1, head: 'x', changes: [] });
    const told = async () => JSON.parse(new TextDecoder().decode((await reader.read()).value).split('data: ')[1]!) as object; // prettier-ignore
    expect(await told()).toEqual({ site: 's', after: 0, seq: 2, head: 'b', changes: [change, other] });
    hub.news({ site: 's', after: 2, seq: 3, head: 'c', changes: [change] });
    hub.news({ site: 's', after: 4, seq: 5, head: 'e', changes: [change] });
    expect(await told()).toMatchObject({ after: 2, seq: 5, changes: 'refetch' });
    hub.end();
  });
  it('a reader that does not keep up loses events, not memory', () => {
    const hub = new EventHub();
    hub.open(['s']);
    for (let i = 0; i < 5000; i++) hub.send('instrument', { i }, 's');
    expect(hub.size).toBe(1);
  });
});

describe('a page’s copy', () => {
  it('is a snapshot, then the commands after it', () => {
    const { seq, hash, journal, records } = JSON.parse(snapshotOf(store())) as Snapshot;
    expect(records.entry.map(({ id }) => id)).toEqual(['e']);
    expect(commandsAfter(store(), seq, hash)).toEqual({
      journal,
      seq,
      hash,
      back: false,
      commands: [],
      more: false,
    });
    expect(commandsAfter(store(), seq, 'f'.repeat(64))).toMatchObject({ back: true, commands: [] });
    expect(commandsAfter(store(), seq + 1)).toMatchObject({ back: true });
    give('cable.edit', { id: 'k', set: { from: 'MCC' } });
    const news = commandsAfter(store(), seq);
    expect(news.commands.map(({ command, person }) => [command.kind, person])).toEqual([
      ['cable.edit', 'A. Vell'],
    ]);
  });
});

describe('site files', () => {
  it('hold to the published schema, and come back as they were', () => {
    const file = exportSite(store(), AT);
    expect(schemaFaults('site', file)).toEqual([]);
    const read = readSiteFile(JSON.stringify(file));
    if ('faults' in read) throw new Error(JSON.stringify(read.faults));
    expect(read.slice.get('cable', 'k')).toEqual(file.cable[0]);
    expect(file.cable[0]).not.toHaveProperty('rev');
  });
  it('are written piece by piece, with how far it is, and are the same in the end', () => {
    expect(exportText(store(), 'site.json', AT)).toBe(
      `${JSON.stringify(exportSite(store(), AT), null, 2)}\n`,
    );
    const pieces = [...exportPieces(store(), 'findings.json', AT)];
    const { length } = store().records.all('entry');
    expect(pieces.filter((piece) => 'done' in piece).at(-1)).toEqual({ done: length, of: length });
    const text = exportText(store(), 'findings.json', AT);
    const whole = JSON.parse(text) as { rows: unknown[] };
    const judged = judgeSite(store().records, store().id, AT);
    expect(whole.rows).toHaveLength(judged.reduce((sum, { findings }) => sum + findings.length, 0));
    expect(text).toBe(`${JSON.stringify(whole, null, 2)}\n`);
    const defects = exportText(store(), 'defects.json', AT);
    expect(defects).toBe(`${JSON.stringify(JSON.parse(defects), null, 2)}\n`);
  });
  it.each(EXPORTS)('%s can be written for an empty ledger', (name) => {
    const [text, type] = [exportText(store(), name, AT), typeOf(name)];
    if (name.endsWith('csv'))
      expect(text.split('\n')[0]!.replace('\uFEFF', '')).toMatch(/^[a-z_]+(,[a-z_0-9]+)+\r?$/);
    else expect(JSON.parse(text)).toBeTypeOf('object');
    expect(type).toContain(name.endsWith('csv') ? 'text/csv' : 'application/json');
  });
});

describe('a certificate file', () => {
  const file = (change: object = {}) => {
    const { id: _id, site: _site, ...certificate } = slice.get('certificate', 'q')!;
    return JSON.stringify({ format: 'yendral-certificate-1', certificate: { ...certificate, ...change } });
  };
  const preview = (text: string) => previewImport(store(), 'certificate', text);
  it('is matched by its number', () => {
    expect(preview(file()).rows).toMatchObject([{ action: 'same' }]);
    expect(preview(file({ title: 'Other' })).rows).toMatchObject([{ action: 'change', fields: ['title'] }]);
    expect(preview(file({ number: 'FRN 26.9' })).rows).toMatchObject([{ action: 'add' }]);
  });
  it.each([
    ['{', '(file)'],
    ['[]', '(file)'],
    [file({ levels: ['Gx'] }), 'certificate.levels.0'],
    [file({ surplus: 1 }), 'certificate.surplus'],
    [file({ serviceC: [95, -40] }), 'certificate.serviceC'],
  ])('%# is refused by its field', (text, field) => {
    const { faults, items } = preview(text);
    expect(faults[0]!.field).toBe(field);
    expect(items).toEqual([]);
  });
});

describe('a table of sizes', () => {
  const head = 'certificate,size,thread,outer_from,outer_to,inner_from,inner_to,wire_from,wire_to,proud';
  const preview = (...rows: string[]) => previewImport(store(), 'sizes', [head, ...rows].join('\n'));
  it('adds a size with what its row says and no more, changes a known one, and says when nothing changes', () => {
    const { rows, items, faults } = preview(
      'FRN 24.0117,S4,M32x1.5,22.6,31.5,17,25.4,"1,5",2.1,',
      'FRN 24.0117,S3,M25x1.5,16.9,15/16 in,11.2,18.3,1.15,1.65,6',
    );
    expect(faults).toEqual([]);
    expect(rows).toMatchObject([{ what: 'FRN 24.0117', action: 'change', fields: ['sheet'] }]);
    const { sheet } = items[0]!.record as Certificate;
    expect(
      sheet.sizes.map(({ size, outer, innerProudMm }) => [size, ...outer.rangeMm!, innerProudMm]),
    ).toEqual([
      ['S3', 16.9, 23.8125, 6],
      ['S4', 22.6, 31.5, null],
    ]);
    expect(sheet.sizes[1]).toMatchObject({ pot: null, backNut: null, acrossMm: null, clamp: [{ armour: 'wire', rangeMm: [1.5, 2.1] }] }); // prettier-ignore
    expect(preview('FRN 24.0117,S3,M25x1.5,16.9,24.1,,,,,').rows).toMatchObject([{ action: 'same' }]);
  });
  it.each([
    [['FRN 1,S3,M25x1.5,1,2,,,,,'], 'certificate'],
    [['FRN 24.0117,S3,M25x1.5,wide,24,,,,,'], 'outer_from'],
    [['FRN 24.0117,S3,M25x1.5,24,17,,,,,'], 'outer_to'],
    [['FRN 24.0117,,M25x1.5,17,24,,,,,'], 'size'],
    [[], '(file)'],
  ])('%# is refused by its field', (rows, field) => {
    const { faults, items } = preview(...rows);
    expect(faults[0]!.field).toBe(field);
    expect(items).toEqual([]);
  });
  it('comes back as it went out', () => {
    const text = exportText(store(), 'sizes.csv', AT);
    const { rows, faults } = previewImport(store(), 'sizes', text);
    expect([faults, rows.map(({ action }) => action)]).toEqual([[], ['same']]);
  });
});

describe('instruments', () => {
  it('move only when they are simulated, and only as they can', () => {
    expect(() => handleInstrument(app, store(), 'none', {})).toThrow('no instrument');
    expect(() => handleInstrument(app, store(), 'u', { jaws: 'close' })).toThrow('does not send by itself');
    expect(() => handleInstrument(app, store(), 'c', { jaws: 'bite' })).toThrow('must be one of');
    expect(() => handleInstrument(app, store(), 'c', { workpiece: { minorMm: 0, majorMm: 1 } })).toThrow(
      'above 0',
    );
    handleInstrument(app, store(), 'c', { jaws: 'close', workpiece: { minorMm: 20, majorMm: 20.1 } });
    expect(() => handleInstrument(app, store(), 'c', { target: 'warm' })).toThrow('target');
    handleInstrument(app, store(), 'c', { target: null });
  });
});

describe('findings', () => {
  it('carry round, date, inspector, instrument and certificate', () => {
    const [head, ...rows] = exportText(store(), 'findings.csv', AT).split('\r\n');
    expect(head).toContain('round,date,inspector,instrument,certificate');
    expect(rows.some((row) => row.includes('FRN 24.0117'))).toBe(true);
  });
});

describe('a site of which little is known', () => {
  it('take what nobody recorded, and come back with it', () => {
    const { hole } = store().records.get('entry', 'e')!;
    give('area.edit', { id: 'a', set: { ambientC: null, ingressNeed: null } });
    give('enclosure.edit', { id: 'b', set: { group: null, ingress: null, volumeCm3: null, wallMm: null } });
    give('cable.edit', { id: 'k', set: { cores: [], shape: null, coldFlow: null, innerMm: null, outerMm: null, lengthM: null, maxC: null, toleranceMm: null, sheathMm: null } }); // prettier-ignore
    give('entry.edit', { id: 'e', set: { hole: { ...hole, form: null, thread: null, chamfersMm: null }, washerMm: null } }); // prettier-ignore
    give('certificate.edit', { id: 'q', set: { issued: null, state: null, ingress: null, sealing: null, specialConditions: null, reducedRetention: null } }); // prettier-ignore
    expect(store().records.get('enclosure', 'b')!.wallMm).toBeNull();
    const file = exportSite(store(), AT);
    expect(schemaFaults('site', file)).toEqual([]);
    expect('faults' in readSiteFile(JSON.stringify(file))).toBe(false);
  });
});
