import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, existsSync, mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import Database from 'better-sqlite3';
import { closeApp, openApp } from '../../src/server/app/app';
import { clockFrom } from '../../src/server/base/clock';
import { clientOf, serveDemo, type Client, type Served } from './served';

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
/** Waits until a process has said something; fails with what it said where it ends before. */
const said = (child: ChildProcess, words: string) =>
  new Promise<void>((resolve, reject) => {
    let all = '';
    child.stdout!.on('data', (chunk: Buffer) => {
      all += chunk.toString();
      if (all.includes(words)) resolve();
    });
    child.on('exit', () => reject(new Error(all)));
  });

let served: Served;
let client: Client;
beforeAll(async () => {
  served = await serveDemo({ seeded: inject('seeded') });
  client = await clientOf(served);
}, 180_000);
afterAll(() => served.stop());

describe('the process', () => {
  const start = (env: Record<string, string>, options: object = {}) =>
    new Promise<{ code: number | null; said: string }>((resolve) => {
      const { fresh, ...spawned } = options as { fresh?: boolean };
      const child = spawn(process.execPath, ['dist/cli/demo.mjs', ...(fresh ? ['--fresh'] : [])], {
        env: { ...process.env, ...env },
        ...spawned,
      });
      let said = '';
      child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
      child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
      child.on('exit', (code) => resolve({ code, said }));
    });

  it('says that a port is taken, and ends with 1', async () => {
    const data = mkdtempSync(join(tmpdir(), 'yendral-port-'));
    const { code, said } = await start({ PORT: String(served.port), YENDRAL_DATA: data });
    expect(code).toBe(1);
    expect(said).toContain(`Port ${served.port} is taken`);
  });

  it('says that the folder is in use, and --fresh deletes nothing then, nor what the demo has not made', async () => {
    const twice = await start({ PORT: '0', YENDRAL_DATA: served.data });
    expect(twice).toMatchObject({
      code: 1,
      said: expect.stringContaining('is in use by another Yendral') as string,
    });
    const fresh = await start({ PORT: '0', YENDRAL_DATA: served.data }, { fresh: true });
    expect(fresh).toMatchObject({
      code: 1,
      said: expect.stringContaining('--fresh deletes nothing') as string,
    });
    expect((await client.call('GET', '/api/sites/marrowick/')).status).toBe(200);
    const own = mkdtempSync(join(tmpdir(), 'yendral-own-'));
    closeApp(openApp(own, 'src/store/migrations', clockFrom(undefined)));
    const others = await start({ PORT: '0', YENDRAL_DATA: own }, { fresh: true });
    expect(others.said).toContain('was not filled by the demo');
    expect(readdirSync(own)).toContain('installation.db');
  });

  it('seeds anew where the last seeding was cut short', async () => {
    const data = mkdtempSync(join(tmpdir(), 'yendral-cut-'));
    const seeding = () =>
      spawn(process.execPath, ['dist/cli/demo.mjs'], {
        env: { ...process.env, PORT: '0', YENDRAL_DATA: data },
      });
    const first = seeding();
    await said(first, 'Seeding the demo data');
    // The installation and its first site are there; the rest is not.
    while (!existsSync(join(data, 'sites')) || readdirSync(join(data, 'sites')).length === 0) await pause(50);
    first.kill('SIGKILL');
    await once(first, 'exit');
    const second = seeding();
    await said(second, 'cut short');
    await said(second, 'http://');
    second.kill('SIGTERM');
    await once(second, 'exit');
    const app = openApp(data, 'src/store/migrations', clockFrom(undefined));
    expect(app.installation.sites().map(({ id }) => id)).toEqual(['marrowick', 'oxgate', 'proving-ground']);
    closeApp(app);
  });

  it('says that other machines are let in only when asked', async () => {
    const data = mkdtempSync(join(tmpdir(), 'yendral-open-'));
    const { code, said } = await start({ PORT: '0', HOST: '0.0.0.0', YENDRAL_DATA: data });
    expect(code).toBe(1);
    expect(said).toContain('names are no passwords');
  });

  it('refuses a database of a newer version, and names one that was tampered with', async () => {
    const data = mkdtempSync(join(tmpdir(), 'yendral-newer-'));
    closeApp(openApp(data, 'src/store/migrations', clockFrom(undefined)));
    const db = new Database(join(data, 'installation.db'));
    db.pragma('user_version = 99');
    db.close();
    expect((await start({ PORT: '0', YENDRAL_DATA: data })).said).toContain('written by a newer version');
  });

  it('says that a port is none', async () => {
    const data = mkdtempSync(join(tmpdir(), 'yendral-port-'));
    expect(await start({ PORT: 'abc', YENDRAL_DATA: data })).toMatchObject({ code: 1 });
  });

  it('says that a data folder cannot be written', async () => {
    const data = mkdtempSync(join(tmpdir(), 'yendral-readonly-'));
    chmodSync(data, 0o555);
    // Root may write anywhere, so the server runs as nobody here.
    const options = process.getuid?.() === 0 ? { uid: 65534, gid: 65534 } : {};
    const { code, said } = await start({ PORT: '0', YENDRAL_DATA: data }, options);
    expect(said).toContain('cannot be written');
    expect(said).toContain('YENDRAL_DATA');
    expect(code).toBe(1);
  });

  it('ends with 0 on SIGTERM in the middle of a stream', async () => {
    const other = await serveDemo({ seeded: inject('seeded') });
    const reads = await clientOf(other);
    const stream = await fetch(`${other.address}/api/events/?sites=marrowick`, {
      headers: { cookie: reads.cookie() },
    });
    const reader = stream.body!.getReader();
    await reader.read();
    await other.stop();
    expect(other.process.exitCode).toBe(0);
    await expect(
      reader.read().then(
        ({ done }) => done,
        () => true,
      ),
    ).resolves.toBe(true);
  });
});
