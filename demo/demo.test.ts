import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { apply } from '../src/core/commands/apply';
import type { AnyCommand } from '../src/core/commands/commands';
import type { Snapshot } from '../src/core/commands/news';
import { MemorySlice, type Slice } from '../src/core/record/slice';
import { KIND_IDS } from '../src/core/record/kind-ids';
import { standingState } from '../src/core/record/standing';
import { RULES } from '../src/core/rulebook/rules';
import { closeApp, openApp, type App } from '../src/server/app/app';
import { snapshotOf } from '../src/server/app/sync';
import { clockFrom } from '../src/server/base/clock';
import { sliceOf } from '../src/device/snapshot';
import { judgeOne, judgeSite } from '../src/server/files/judge-site';
import { TABLES } from '../src/core/record/tables';
import { RecordingSlice } from '../tests/recording-slice';
import { entryId } from './spec';
import { seedDemo, SITES } from './seed';

const NOW = '2026-03-04T10:00:00Z';
/** Records that judging one entry may read: its own surroundings, however large the site is. */
const MOST_READ = 400;
let app: App;
beforeAll(() => {
  const folder = mkdtempSync(join(tmpdir(), 'yendral-demo-'));
  app = openApp(folder, 'src/store/migrations', clockFrom(NOW));
  seedDemo(app);
}, 180_000);
afterAll(() => closeApp(app));

const storeOf = (site: string) => app.sites.get(site)!;
const IDS = SITES.map(({ site }) => site.id);

describe('the demo', () => {
  it.each(SITES.map((spec) => [spec.site.name, spec] as const))(
    '%s: exactly the planted faults are found',
    (_name, spec) => {
      const planted = spec.entries.flatMap((e) =>
        (e.planted ?? []).map((check) => `${entryId(spec, e)} ${check}`),
      );
      const found = judgeSite(storeOf(spec.site.id).records, spec.site.id, NOW).flatMap(
        ({ entry, findings }) =>
          findings.filter(({ outcome }) => outcome === 'fails').map(({ check }) => `${entry.id} ${check}`),
      );
      expect(found.sort()).toEqual(planted.sort());
    },
  );

  it('its plant is looked after: about nine in ten entries stand as sound, and what is wrong is known', () => {
    const judged = judgeSite(storeOf('marrowick').records, 'marrowick', NOW);
    // What is being made off today has not been inspected yet.
    const inWork = new Set(
      storeOf('marrowick')
        .records.by('makeoff', 'site', 'marrowick')
        .filter(({ finished }) => finished === null)
        .map((work) => work.entry),
    );
    const standing = judged
      .filter(({ entry }) => !inWork.has(entry.id))
      .map(({ status }) => standingState(status));
    const share = standing.filter((state) => state === 'sound').length / standing.length;
    expect(share).toBeGreaterThan(0.87);
    expect(share).toBeLessThan(0.94);
    const rounds = storeOf('marrowick')
      .records.by('round', 'site', 'marrowick')
      .map(({ started }) => started)
      .sort();
    expect(Date.parse(NOW) - Date.parse(rounds[0]!)).toBeGreaterThan(1000 * 86_400_000);
  });

  it.each(KIND_IDS)('holds a sound %s and several faulty ones', (kind) => {
    const judged = judgeSite(storeOf('proving-ground').records, 'proving-ground', NOW);
    const states = judged.filter(({ entry }) => entry.kind === kind).map(({ status }) => status.state);
    expect(states.filter((state) => state === 'sound').length).toBeGreaterThanOrEqual(1);
    expect(states.filter((state) => state === 'failed').length).toBeGreaterThanOrEqual(3);
  });

  it('judges what a closed entry hides from the record of its make-off', () => {
    const judged = judgeSite(storeOf('marrowick').records, 'marrowick', NOW);
    const closed = judged.find(({ entry }) => entry.id === 'mb-dl-4-a')!;
    expect(closed.status.state).toBe('sound');
    expect(closed.findings.filter(({ record }) => record !== null).length).toBeGreaterThan(4);
  });

  it('plants several faults for every rule', () => {
    const planted = SITES.flatMap(({ entries }) => entries.flatMap((e) => e.planted ?? []));
    for (const { id } of RULES)
      expect(planted.filter((check) => check === id).length, id).toBeGreaterThanOrEqual(2);
  });

  it('holds close calls and unread entries', () => {
    const judged = judgeSite(storeOf('proving-ground').records, 'proving-ground', NOW);
    const states = new Set(judged.map(({ entry, status }) => `${entry.kind} ${status.state}`));
    expect([...states]).toEqual(
      expect.arrayContaining([
        'gland-double-seal incomplete',
        'gland-double-seal doubtful',
        'gland-reversible-ring doubtful',
      ]),
    );
    const closeCall = judged.find(({ entry }) => entry.id === 'pg-jb-204-c')!;
    expect(closeCall.status.counts).toMatchObject({ fails: 1, marginal: 1 });
  });

  it.each(IDS)('%s: state rebuilt from the journal is the state that is kept', (id) => {
    const { journal, records } = storeOf(id);
    const rebuilt = new MemorySlice();
    for (const { command, person } of journal.lines()) {
      rebuilt.write(apply(rebuilt, JSON.parse(command) as AnyCommand, person));
    }
    for (const table of TABLES) expect(records.all(table), table).toEqual(rebuilt.all(table));
  });

  it.each(IDS)('%s: statuses rebuilt are the statuses that are kept', (id) => {
    const store = storeOf(id);
    while (store.settle(NOW, 100) > 0);
    const before = store.statuses.all();
    expect(before).toHaveLength(store.records.all('entry').length);
    store.db.exec('DELETE FROM entry_status');
    store.refresh(
      store.records.all('entry').map(({ id }) => id),
      NOW,
    );
    expect(store.statuses.all()).toEqual(before);
  });

  it.each(IDS)('%s: a page that has the site’s copy judges every entry as the server does', (id) => {
    const store = storeOf(id);
    const sent = JSON.parse(snapshotOf(store)) as Snapshot;
    const told = (slice: Slice) =>
      judgeSite(slice, id, NOW).map(({ entry, findings, status }) => ({ entry: entry.id, findings, status }));
    expect(told(sliceOf(sent))).toEqual(told(store.records));
  });

  it.each(IDS)(
    '%s: an entry is judged alike from all of the site and from what its own judgement reads',
    (id) => {
      const { records } = storeOf(id);
      for (const entry of records.by('entry', 'site', id)) {
        const recording = new RecordingSlice(records);
        const whole = judgeOne(recording, entry, NOW)!;
        const alone = judgeOne(recording.taken(), entry, NOW)!;
        expect([alone.findings, alone.status], entry.id).toEqual([whole.findings, whole.status]);
        expect(recording.count, entry.id).toBeLessThan(MOST_READ);
      }
    },
  );

  it('the journal’s chain is whole, and shows a change of any line', () => {
    const { db, journal } = storeOf('marrowick');
    expect(journal.firstBroken()).toBeNull();
    db.exec('SAVEPOINT tamper');
    db.exec(`UPDATE journal SET command = replace(command, '"value":', '"value":1') WHERE seq =
      (SELECT min(seq) FROM journal WHERE command LIKE '%reading.take%')`);
    expect(journal.firstBroken()).not.toBeNull();
    db.exec('ROLLBACK TO tamper; RELEASE tamper');
  });
});
