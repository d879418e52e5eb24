import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, vi } from 'vitest';
import type { Payloads } from '../../src/core/commands/commands';
import { Backoff } from '../../src/device/backoff';
import { Device } from '../../src/device/device';
import { demoApp, storeOf, type FakeServer } from './fake-server';
import { localStore } from './local-store';

const devices: Device[] = [];

/** A server of its own for each test, and a browser that has kept nothing; what is started is ended. */
export function withServer(): { readonly server: FakeServer } {
  let server: FakeServer;
  beforeEach(() => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    globalThis.indexedDB = new IDBFactory();
    vi.stubGlobal('localStorage', localStore());
    server = demoApp(mkdtempSync(join(tmpdir(), 'yendral-network-')));
    vi.stubGlobal('fetch', server.fetch);
  });
  afterEach(async () => {
    for (const device of devices.splice(0)) await device.close();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
    server.close();
  });
  return {
    get server() {
      return server;
    },
  };
}

/** A folder that holds the server's site as it is now. */
export async function copyOf(one: FakeServer): Promise<string> {
  const older = mkdtempSync(join(tmpdir(), 'yendral-older-'));
  mkdirSync(join(older, 'sites', 's'), { recursive: true });
  await storeOf(one).db.backup(join(older, 'sites', 's', 'site.db'));
  return older;
}

export const until = <T>(check: () => T) => vi.waitFor(check, { timeout: 20_000, interval: 10 });
/** Short pauses, so that a test does not wait for them. */
const hurried = () => new Backoff(5, 20);

export async function started(): Promise<Device> {
  const device = new Device(hurried());
  devices.push(device);
  await device.start('s', null);
  return device;
}
export const reading = (device: Device, value: number): Payloads['reading.take'] => ({
  id: device.id(), entry: 'e', round: 'r', place: 'outer-sheath', value, typed: String(value), method: 'caliper',
  instrument: 'c', source: 'typed',
}); // prettier-ignore
export const take = (device: Device, value: number) => device.give('reading.take', reading(device, value));
export const values = (device: Device) =>
  device
    .state()
    .slice.by('reading', 'entry', 'e')
    .map(({ value }) => value);
export const settled = (device: Device, waiting = 0) =>
  until(() => expect(device.state().waiting).toBe(waiting));
