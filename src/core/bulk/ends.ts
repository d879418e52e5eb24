import type { ImportItem } from '../commands/commands';
import { sortKey } from '../record/natural';
import type { KindId } from '../record/kind-ids';
import type { Slice } from '../record/slice';
import type { Cable, Enclosure, Id } from '../record/types';
import { BLANK } from './blank';
import type { SheetsPreview } from './preview';
import type { BulkRow } from './sheets';

/** Rows of a preview that are told one by one. Chosen: nobody reads more before they press. */
export const MOST_TOLD = 500;

/**
 * An entry for each end of each cable that has none: in the enclosure whose tag stands in the schedule's from or to. It is
 * called by the next letter that is free there. Of the gland nothing is recorded but its kind.
 *
 * @param kind of the entries, as somebody says it
 * @param id makes an id
 */
export function entriesForEnds(slice: Slice, site: Id, kind: KindId, id: () => Id): SheetsPreview {
  const boxes = new Map(slice.by('enclosure', 'site', site).map((box) => [box.tag, box]));
  const labels = new Labels(slice);
  const rows: BulkRow[] = [];
  const items: ImportItem[] = [];
  const cables = slice.by('cable', 'site', site).sort((a, b) => (sortKey(a.tag) < sortKey(b.tag) ? -1 : 1));
  for (const cable of cables) {
    for (const [end, tag] of [['from', cable.from.trim()], ['to', cable.to.trim()]] as const) {
      const said: BulkRow = { sheet: '', row: rows.length + 1, what: `${cable.tag}, ${end} ${tag}`, action: 'add', fields: [], why: [], notes: [] };
      const box = boxes.get(tag);
      if (tag === '') continue;
      if (!box) rows.push({ ...said, action: 'refused', why: [`No enclosure is called ${tag}.`] });
      else if (labels.hasEnd(cable, box, end)) rows.push({ ...said, action: 'same' });
      else {
        const label = labels.next(box);
        items.push({ table: 'entry', record: { ...BLANK.entry, id: id(), enclosure: box.id, label, kind, cable: cable.id } as never });
        rows.push({ ...said, what: `${box.tag}, entry ${label}, cable ${cable.tag}` });
      }
    }
  }
  const counts = { add: 0, change: 0, same: 0, refused: 0 };
  for (const { action } of rows) counts[action]++;
  const told = rows.filter(({ action }) => action !== 'same').slice(0, MOST_TOLD);
  return { sheets: [], rows: told, counts, items, refused: [] };
} // prettier-ignore

/** Labels of the entries of each enclosure, and which cables end there. */
class Labels {
  readonly #taken = new Map<Id, Set<string>>();

  constructor(private readonly slice: Slice) {}

  /** Whether a cable has its entry at this end; both may be in one box. */
  hasEnd(cable: Cable, box: Enclosure, end: 'from' | 'to'): boolean {
    const there = this.slice.by('entry', 'cable', cable.id).filter(({ enclosure }) => enclosure === box.id);
    const isLoop = cable.from.trim() === cable.to.trim();
    return there.length > (isLoop && end === 'to' ? 1 : 0);
  }

  /** The next letter that is free: A to Z, then AA. */
  next({ id }: Enclosure): string {
    let taken = this.#taken.get(id);
    if (!taken) {
      taken = new Set(this.slice.by('entry', 'enclosure', id).map(({ label }) => label.toUpperCase()));
      this.#taken.set(id, taken);
    }
    let number = 0;
    while (taken.has(letters(number))) number++;
    taken.add(letters(number));
    return letters(number);
  }
}

/** 0 is A, 25 is Z, 26 is AA. */
function letters(number: number): string {
  const last = String.fromCharCode(65 + (number % 26));
  return number < 26 ? last : letters(Math.floor(number / 26) - 1) + last;
}
