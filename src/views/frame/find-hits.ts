import type { Slice } from '../../core/record/slice';
import type { Found } from '../../core/programme/lists';
import type { Id } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { surfaceOf } from '../hand/surface';

/** Something that was found, and where it is opened. */
export interface Hit {
  title: string;
  what: string;
  address: string;
}

const MOST_HITS = 12;

/** Where something that the server has found is opened. */
export function hitOf(site: Id, { table, id, title, words, kind }: Found): Hit {
  if (kind !== null) return { title, what: words, address: surfaceOf({ id, site, kind }) };
  if (table === 'defect') return { title, what: words, address: `/defects/?site=${site}&defect=${id}` };
  return { title, what: words, address: `/dossier/?site=${site}&table=${table}&record=${id}` };
}

/**
 * Entries, certificates and defects of a site that hold every word of a text, the best first.
 *
 * @param text words in any order; empty finds the first of everything
 */
export function findHits(slice: Slice, site: string, text: string): Hit[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const hits: (Hit & { score: number })[] = [];
  const add = (title: string, what: string, address: string) => {
    const all = `${title} ${what}`.toLowerCase();
    if (!words.every((word) => all.includes(word))) return;
    // A word that stands whole in the title weighs more than one inside another.
    const whole = title.toLowerCase().split(/[\s,]+/);
    hits.push({ title, what, address, score: words.filter((word) => whole.includes(word)).length });
  };
  for (const entry of slice.by('entry', 'site', site)) {
    const tag = slice.get('enclosure', entry.enclosure)?.tag ?? '';
    const cable = entry.cable ? (slice.get('cable', entry.cable)?.tag ?? '') : '';
    add(
      `${tag}, entry ${entry.label}`,
      `${kindTitle(entry.kind)}, ${entry.size ?? 'no size'}, cable ${cable}`,
      surfaceOf(entry),
    );
  }
  for (const { id, number, title } of slice.by('certificate', 'site', site))
    add(number, `certificate, ${title}`, `/dossier/?site=${site}&table=certificate&record=${id}`);
  for (const { id, check, statement } of slice.by('defect', 'site', site))
    add(`Defect ${check ?? ''}`, statement, `/defects/?site=${site}&defect=${id}`);
  return hits.sort((a, b) => b.score - a.score).slice(0, MOST_HITS);
}
