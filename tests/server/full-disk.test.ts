import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { acceptCommands } from '../../src/server/commands/accept';
import { verifyFolder } from '../../src/server/keep/verify';
import { demoApp, storeOf, type FakeServer } from './fake-server';

let server: FakeServer;
beforeAll(() => {
  server = demoApp(mkdtempSync(join(tmpdir(), 'yendral-full-')));
});
afterAll(() => server.close());

const edit = (from: string) => ({ id: ulid(), kind: 'cable.edit', site: 's', at: new Date().toISOString(), payload: { id: 'k', set: { from } } }); // prettier-ignore
const give = (command: object) => acceptCommands(server.app, [command], { id: 'p', name: 'A. Vell' })[0]!;

/** The database may not grow any more, as on a full disk. */
function fill(): void {
  const { db } = storeOf(server);
  db.pragma(`max_page_count = ${String(db.pragma('page_count', { simple: true }))}`);
}
const makeRoom = () => storeOf(server).db.pragma('max_page_count = 1073741823');

describe('a full disk', () => {
  it('takes nothing half, loses nothing that was acknowledged, and goes on once there is room', () => {
    fill();
    const acknowledged: string[] = [];
    let failed: ReturnType<typeof edit> | null = null;
    for (let i = 0; failed === null && i < 2000; i++) {
      const command = edit(`MCC ${'x'.repeat(60)} ${i}`);
      try {
        expect(give(command).status).toBe('applied');
        acknowledged.push(command.id);
      } catch (error) {
        expect((error as { code: string }).code).toBe('SQLITE_FULL');
        failed = command;
      }
    }
    expect(failed).not.toBeNull();
    const { journal, records } = storeOf(server);
    for (const id of acknowledged) expect(journal.find(id)).not.toBeNull();
    expect(journal.find(failed!.id)).toBeNull();
    expect(records.get('cable', 'k')!.from).not.toBe(failed!.payload.set.from);
    makeRoom();
    expect(give(failed!).status).toBe('applied');
    expect(records.get('cable', 'k')!.from).toBe(failed!.payload.set.from);
    expect(verifyFolder(server.app.folder).damages).toEqual([]);
  });

  it('leaves what is to be judged marked, and stops nobody', async () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const settle = vi.spyOn(storeOf(server), 'settle').mockImplementationOnce(() => {
      throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    });
    expect(give(edit('MCC 1')).status).toBe('applied');
    while (settle.mock.calls.length === 0) await new Promise((resolve) => setTimeout(resolve, 20));
    expect(said).toHaveBeenCalledWith('Judging again waits: database or disk is full');
    expect(storeOf(server).statuses.countStale()).toBeGreaterThan(0);
    server.app.refresher.finish();
    expect(storeOf(server).statuses.countStale()).toBe(0);
    said.mockRestore();
    settle.mockRestore();
  });
});
