import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { currentInstruments } from '../../src/core/record/instruments';
import { acceptCommands } from '../../src/server/commands/accept';
import { closeApp, openApp, type App } from '../../src/server/app/app';
import { clockFrom } from '../../src/server/base/clock';
import { bringUpRegister, keepInstrument, lendInstrument } from '../../src/server/instruments/register';
import { verifyFolder } from '../../src/server/keep/verify';
import { demoApp, type FakeServer } from './fake-server';

const WHO = { id: 'p', name: 'A. Vell' };
const temporary = () => mkdtempSync(join(tmpdir(), 'yendral-register-'));
let server: FakeServer;
let app: App;
beforeAll(() => {
  server = demoApp(temporary());
  ({ app } = server);
  const { lastSeal: _l, rev: _r, site: _s, stamps: _t, ...site } = app.sites.get('s')!.site! as never as Record<string, unknown>; // prettier-ignore
  const [answer] = acceptCommands(app, [{ id: ulid(), kind: 'site.add', site: 't', at: new Date().toISOString(), payload: { ...site, id: 't', name: 'Other' } }], WHO); // prettier-ignore
  expect(answer).toMatchObject({ status: 'applied' });
});
afterAll(() => server.close());

const at = (site: string, from = app) => {
  const { records } = from.sites.get(site)!;
  return currentInstruments(records, site);
};
const registered = (id: string) => app.installation.register.get(id)!;

describe('the register of instruments', () => {
  it('holds what a site’s people have added', () => {
    expect(registered('c')).toMatchObject({ instrument: { id: 'c', tag: 'Caliper 07' }, sites: ['s'] });
  });

  it('lends to another site; the journal of each holds its version', () => {
    expect(lendInstrument(app, 'c', 't', WHO)).toMatchObject([{ status: 'applied' }]);
    expect(at('t')).toMatchObject([{ of: 'c', tag: 'Caliper 07' }]);
    expect(registered('c').sites).toEqual(['s', 't']);
    // Lent once more it is the same: nothing is written.
    expect(lendInstrument(app, 'c', 't', WHO)).toEqual([]);
    expect(() => lendInstrument(app, 'none', 't', WHO)).toThrow('register.none');
  });

  it('a recalibration reaches every site as a new version, and the old one stays', () => {
    const { instrument } = registered('c');
    const answers = keepInstrument(app, { ...instrument, calibratedUntil: '2031-01-01', calibration: 'CAL 9' }, WHO); // prettier-ignore
    expect(answers.map(({ status }) => status)).toEqual(['applied', 'applied']);
    for (const site of ['s', 't'])
      expect(at(site)).toMatchObject([{ of: 'c', calibratedUntil: '2031-01-01', calibration: 'CAL 9' }]);
    expect(app.sites.get('s')!.records.get('instrument', 'c')!.calibration).not.toBe('CAL 9');
    // The calibration that it follows on is in the history of both.
    expect(at('t')[0]!.calibrations).toHaveLength(2);
    expect(() => keepInstrument(app, { ...instrument, resolution: 0 }, WHO)).toThrow('resolution');
  });

  it('what a device of before changes at its site is changed in the register, and reaches the others', () => {
    const [version] = at('s');
    acceptCommands(app, [{ id: ulid(), kind: 'instrument.edit', site: 's', at: new Date().toISOString(), payload: { id: version!.id, set: { resolution: 0.02 } } }], WHO); // prettier-ignore
    expect(registered('c').instrument.resolution).toBe(0.02);
    expect(at('t')[0]!.resolution).toBe(0.02);
    // An older version that is put right says nothing of how it is now.
    acceptCommands(app, [{ id: ulid(), kind: 'instrument.edit', site: 's', at: new Date().toISOString(), payload: { id: 'c', set: { resolution: 0.05 } } }], WHO); // prettier-ignore
    expect(registered('c').instrument.resolution).toBe(0.02);
  });

  it('each site’s file proves itself alone', () => {
    expect(verifyFolder(app.folder).damages).toEqual([]);
  });

  it('is brought up after a stop at any step, and from a folder that had none', () => {
    const folder = temporary();
    app.installation.db.pragma('wal_checkpoint(TRUNCATE)');
    for (const id of ['s', 't']) app.sites.get(id)!.db.pragma('wal_checkpoint(TRUNCATE)');
    cpSync(app.folder, folder, { recursive: true, filter: (from) => !/lock\.db|in-use|-wal$|-shm$/.test(from) }); // prettier-ignore
    const other = openApp(folder, 'src/store/migrations', clockFrom(undefined));
    const { register, db } = other.installation;
    // The register was written, and the sites had not heard of it.
    register.put({ ...register.get('c')!.instrument, calibration: 'CAL 10' }, 'A. Vell');
    bringUpRegister(other);
    for (const site of ['s', 't']) expect(at(site, other)[0]!.calibration).toBe('CAL 10');
    const heads = () => ['s', 't'].map((id) => other.sites.get(id)!.journal.head().seq);
    const before = heads();
    bringUpRegister(other);
    expect(heads()).toEqual(before);
    // A site was written, and the register had not heard of it.
    db.exec('DELETE FROM loan; DELETE FROM instrument;');
    bringUpRegister(other);
    expect(register.get('c')).toMatchObject({ instrument: { calibration: 'CAL 10' }, sites: ['s', 't'] });
    closeApp(other);
  });
});
