import { join } from 'node:path';
import type { Id } from '../../core/record/types';
import { SiteStore } from '../../store/site-store';
import { exportOf, type ExportName } from '../files/export';
import { previewImport, type ImportKind } from '../files/import';
import { quickCheck } from '../keep/quick-check';

/** Work that grows with its input; all of it can be sent to a worker. */
export type Job =
  | { do: 'export'; folder: string; site: Id; name: ExportName; at: string }
  | { do: 'import'; folder: string; site: Id; kind: ImportKind; text: string }
  | { do: 'quick-check'; folder: string };

/** Does a job on the files of a data folder, which are only read; gives its answer as text. */
export function perform(job: Job): string {
  if (job.do === 'quick-check') return JSON.stringify(quickCheck(job.folder));
  const store = SiteStore.read(job.site, join(job.folder, 'sites', job.site));
  // All of it as at one moment: the server writes meanwhile.
  const work = store.db.transaction(() =>
    job.do === 'export'
      ? exportOf(store, job.name, job.at).text
      : JSON.stringify(previewImport(store, job.kind, job.text)),
  );
  try {
    return work();
  } finally {
    store.close();
  }
}

/** Who does jobs: a worker of the server, or, for a program of one task, the caller itself. */
export type Jobs = (job: Job, gone?: AbortSignal) => Promise<string>;

export const doneHere: Jobs = (job) => Promise.resolve().then(() => perform(job));
