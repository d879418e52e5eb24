import type { Id } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';
import type { IndexRow } from '../../store/status';

/** Entries of one piece. Chosen: what is written in a few milliseconds, between two commands. */
const MANY = 50;

/** What was judged beside the thread that writes. */
export interface JudgedPiece {
  /** The number of the index at the moment whose records were judged. */
  generation: number;
  rows: (IndexRow | { entry: Id; gone: true })[];
}

/** Judges a part of what is marked in a site, piece by piece, each as JSON of a {@link JudgedPiece}. */
export function* judgedPieces(
  store: SiteStore,
  { at, part, parts }: { at: string; part: number; parts: number },
): Generator<{ text: string }> {
  const { generation } = store.statuses;
  const marked = store.statuses.marked(part, parts);
  for (let i = 0; i < marked.length; i += MANY) {
    const rows = marked.slice(i, i + MANY).map((id) => store.judged(id, at) ?? { entry: id, gone: true as const });
    yield { text: JSON.stringify({ generation, rows } satisfies JudgedPiece) };
  }
} // prettier-ignore
