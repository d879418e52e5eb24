import { join } from 'node:path';
import type { Scope } from '../../core/record/closure';
import type { KindId } from '../../core/record/kind-ids';
import type { Id } from '../../core/record/types';
import { SiteStore } from '../../store/site-store';
import { exportPieces, type ExportName, type Piece } from '../files/export';
import { previewEnds, previewSheets, type SheetsFile } from '../files/import-sheets';
import { previewImport, type ImportKind } from '../files/import';
import { openDoorText } from '../doors/door';
import { judgedPieces } from './judge';
import { slicePieces } from '../files/slice';
import { quickCheck } from '../keep/quick-check';

export type { Piece };

/** Work that grows with its input; all of it can be sent to a worker. */
export type Job =
  | { do: 'export'; folder: string; site: Id; name: ExportName; at: string }
  | { do: 'import'; folder: string; site: Id; kind: ImportKind; text: string }
  | { do: 'sheets'; folder: string; site: Id; file: SheetsFile }
  | { do: 'ends'; folder: string; site: Id; kind: KindId }
  | { do: 'judge'; folder: string; site: Id; at: string; part: number; parts: number }
  | { do: 'slice'; folder: string; site: Id; scope: Scope }
  | { do: 'quick-check'; folder: string }
  | { do: 'door'; name: string; text: string };

/** Does a job on the files of a data folder, which are only read; says its answer piece by piece. */
export async function perform(job: Job, say: (piece: Piece) => void): Promise<void> {
  if (job.do === 'quick-check') return say({ text: JSON.stringify(quickCheck(job.folder)) });
  if (job.do === 'door') return say({ text: JSON.stringify(openDoorText(job.name, job.text)) });
  // All of it as at one moment: the server writes meanwhile.
  const store = SiteStore.read(job.site, join(job.folder, 'sites', job.site), true);
  try {
    if (job.do === 'judge') for (const piece of judgedPieces(store, job)) say(piece);
    else if (job.do === 'slice') for (const piece of slicePieces(store, job.scope)) say(piece);
    else if (job.do === 'ends') say({ text: JSON.stringify(previewEnds(store, job.kind)) });
    else if (job.do === 'export') for (const piece of exportPieces(store, job.name, job.at)) say(piece);
    else {
      const told = (done: number, of: number) => say({ done, of });
      if (job.do === 'sheets')
        return say({ text: JSON.stringify(await previewSheets(store, job.file, told)) });
      say({ text: JSON.stringify(previewImport(store, job.kind, job.text, told)) });
    }
  } finally {
    store.close();
  }
}

/** Who does jobs: a worker of the server, or, for a program of one task, the caller itself. */
export type Jobs = (job: Job, gone?: AbortSignal) => AsyncIterable<Piece>;

export const doneHere: Jobs = async function* (job) {
  const pieces: Piece[] = [];
  await perform(job, (piece) => pieces.push(piece));
  yield* pieces;
};

/** The whole answer of a job; whoever wants to know hears how far it has come. */
export async function wholeOf(
  pieces: AsyncIterable<Piece>,
  told: (done: number, of: number) => void = () => undefined,
): Promise<string> {
  let text = '';
  for await (const piece of pieces) {
    if ('text' in piece) text += piece.text;
    else told(piece.done, piece.of);
  }
  return text;
}
