import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { serveDemo } from './browser/harness';

declare module 'vitest' {
  interface ProvidedContext {
    /** Folder with the demo's database as it was seeded. */
    seeded: string;
  }
}

/** Seeds the demo once for all the tests of a project; each server takes a copy of it. */
export default async function seeded(project: TestProject): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'yendral-seeded-'));
  const served = await serveDemo({ data: folder });
  await served.stop();
  project.provide('seeded', folder);
  return () => rmSync(folder, { recursive: true, force: true });
}
