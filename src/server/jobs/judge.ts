import type { SiteStore } from '../../store/site-store';
import type { JudgedRows } from '../../store/status';

/** Rows of one piece. Chosen: what is written in a few milliseconds, between two commands. */
const MANY = 50;
/** Entries of one piece that stand as they stood, which cost little to write. Chosen: as long as the rows. */
const MANY_SAME = 400;

/** Judges a part of what is marked in a site, piece by piece, each as JSON of {@link JudgedRows}. */
export function* judgedPieces(
  store: SiteStore,
  { at, part, parts }: { at: string; part: number; parts: number },
): Generator<{ text: string }> {
  const { generation } = store.statuses;
  const none = (): JudgedRows => ({ generation, day: at.slice(0, 10), rows: [], same: [], gone: [] });
  let piece = none();
  for (const id of store.statuses.marked(part, parts)) {
    const row = store.judged(id, at);
    if (!row) piece.gone.push(id);
    // Most stand as they stood: the thread that writes need not write them again.
    else if (store.statuses.says(row)) piece.same.push(id);
    else piece.rows.push(row);
    if (piece.rows.length + piece.gone.length < MANY && piece.same.length < MANY_SAME) continue;
    yield { text: JSON.stringify(piece) };
    piece = none();
  }
  yield { text: JSON.stringify(piece) };
}
