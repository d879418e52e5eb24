import type { Change, Id } from '../../record/types';
import { fieldWords, valueWords } from './lost';

/** One line of a record's history: who changed what, from what, to what. */
export interface HistoryLine {
  id: Id;
  at: string;
  by: string;
  undone: boolean;
  /** What happened, in words; one a changed field. */
  said: string[];
}

/** How a field and its value are called; null leaves it to the field's own name. */
export type FieldWords = (path: string, value: unknown) => { title?: string; value?: string } | null;

/** Most changed fields that one line names. Chosen: what fits two lines. */
const MOST_FIELDS = 12;
/** Kept by the reducer, and told by nobody. */
const KEPT = new Set(['rev', 'stamps', 'site', 'id', 'typed', 'lastSeal', 'cableSince']);

/**
 * What happened to a record, the newest first: each change with what stood before and after it.
 *
 * @param changes those that touched the record, in any order
 * @param current the record as it stands; null when it is gone
 */
export function historyOf(
  changes: readonly Change[],
  record: Id,
  current: object | null,
  words: FieldWords = () => null,
): HistoryLine[] {
  const sorted = [...changes].sort((a, b) => (a.id < b.id ? 1 : -1));
  let after: unknown = current;
  return sorted.map((change): HistoryLine => {
    const own = change.records.find(({ id }) => id === record);
    const before = own?.before ?? null;
    const said = saidOf(change, before, after, words);
    for (const { id, field, value, by, standsBy } of change.lost) {
      if (id !== record) continue;
      const whose = by ? ` of ${by}` : '';
      said.push(`${titleOf(field, value, words)}: ${sayValue(field, value, words)}${whose} did not stand${standsBy ? ` against ${standsBy}` : ''}`); // prettier-ignore
    }
    after = before;
    return { id: change.id, at: change.at, by: change.by, undone: change.undone !== null, said };
  });
}

function saidOf({ kind }: Change, before: unknown, after: unknown, words: FieldWords): string[] {
  const undo = kind === 'undo' ? 'undone: ' : '';
  if (before === null) return [`${undo}${kind === 'defect.raise' ? 'raised' : kind === 'dossier.import' ? 'imported' : 'added'}`]; // prettier-ignore
  if (after === null || typeof after !== 'object') return [`${undo}removed`];
  const changed = differences(before as object, after, '');
  if (changed.length === 0) return [`${undo}written again, nothing changed`];
  const said = changed.slice(0, MOST_FIELDS).map(({ path, was, is }) => `${undo}${titleOf(path, is, words)}: ${sayValue(path, was, words)} → ${sayValue(path, is, words)}`); // prettier-ignore
  return changed.length > MOST_FIELDS ? [...said, `and ${changed.length - MOST_FIELDS} more`] : said;
}

const titleOf = (path: string, value: unknown, words: FieldWords): string =>
  words(path, value)?.title ?? fieldWords(path);
const sayValue = (path: string, value: unknown, words: FieldWords): string =>
  words(path, value)?.value ?? valueWords(value);

/** Fields, at any depth, whose values differ. */
function differences(was: object, is: object, path: string): { path: string; was: unknown; is: unknown }[] {
  const [a, b] = [was as Record<string, unknown>, is as Record<string, unknown>];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) => {
    if (path === '' && KEPT.has(key)) return [];
    const [x, y] = [a[key] ?? null, b[key] ?? null];
    if (JSON.stringify(x) === JSON.stringify(y)) return [];
    const at = path ? `${path}.${key}` : key;
    const nested = isObject(x) && isObject(y) && Array.isArray(x) === Array.isArray(y);
    const plain = Array.isArray(x) && [...x, ...(y as unknown[])].every((one) => !isObject(one));
    return nested && !plain ? differences(x, y, at) : [{ path: at, was: x, is: y }];
  });
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;
