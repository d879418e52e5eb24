import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { PROVING_GROUND } from '../../demo/proving';
import { scriptOf } from '../../demo/seed';
import { closeApp, openApp } from '../../src/server/app/app';
import { clockFrom } from '../../src/server/base/clock';
import { acceptCommands } from '../../src/server/commands/accept';
import { exportSite, readSiteFile } from '../../src/server/files/site-file';
import { firstDeparture } from '../../src/server/keep/replay';
import { fuzzCommands } from '../fuzz/commands';

describe('wrong commands', () => {
  it('of every kind, field by field, are answered: none is a fault, and the site stays whole', () => {
    const app = openApp(mkdtempSync(join(tmpdir(), 'yendral-fuzz-')), 'src/store/migrations', clockFrom('2026-03-04T10:00:00Z')); // prettier-ignore
    const commands = scriptOf(PROVING_GROUND, app.clock()).commands.map(({ command }) => command);
    for (let i = 0; i < commands.length; i += 200) acceptCommands(app, commands.slice(i, i + 200), { id: 'p', name: 'P' }); // prettier-ignore
    const found = fuzzCommands(app, 'proving-ground', Number(process.env.YENDRAL_FUZZ_EVERY ?? 17));
    expect(found.faults).toEqual([]);
    expect(found.given).toBeGreaterThan(1500);
    if (process.env.YENDRAL_FUZZ_EVERY) console.log(found);
    expect(found.kinds).toBeGreaterThan(30);
    const store = app.sites.get('proving-ground')!;
    expect(store.journal.firstBroken()).toBeNull();
    expect(firstDeparture(store)).toBeNull();
    // What was taken can be written out, read and judged.
    const file = JSON.stringify(exportSite(store, '2026-03-04T10:00:00Z'));
    const read = readSiteFile(file);
    expect('faults' in read ? read.faults : []).toEqual([]);
    closeApp(app);
  });
});
