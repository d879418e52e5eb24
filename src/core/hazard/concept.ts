/** What the enclosure's protection allows of a gland, adaptor or plug (IEC 60079-14:2013, 9.3, 10.2 to 10.6). */
export type ConceptAnswer =
  | { suits: true; concept: string }
  | { suits: false; allowed: readonly string[] }
  | { suits: 'enclosure-certificate' }
  | { suits: 'none-asked' };

/** Kinds of protection as they are marked; what stands in square brackets is for circuits outside. */
export const CONCEPTS = [
  'd', 'da', 'db', 'dc', 'e', 'eb', 'ec', 'i', 'ia', 'ib', 'ic', 'm', 'ma', 'mb', 'mc', 'n', 'nA', 'nC', 'nL', 'nR',
  'o', 'ob', 'p', 'px', 'py', 'pz', 'pD', 'q', 'qb', 's', 't', 'ta', 'tb', 'tc', 'tD', 'tD A20', 'tD A21', 'tD A22',
  '[ia]', '[ib]', '[ic]',
] as const; // prettier-ignore

/** Whether a mark counts for the box itself. */
export const isOwnConcept = (concept: string): boolean => concept[0] !== '[';

/** Whether a mark speaks about dust (t, and p, i or m where they are used for it) or about gas. */
export const speaksOf = (concept: string, dust: boolean): boolean => {
  const letter = concept[0]!;
  if (letter === 't' || concept === 'pD') return dust;
  return !dust || letter === 'p' || letter === 'i' || letter === 'm';
};

/** Folds a marked suffix onto its letter: db → d, eb and ec → e, nA → n, ta → t; nR stays itself. */
export function foldConcept(concept: string): string {
  if (concept === 'nR') return 'nR';
  const letter = concept[0]!;
  return letter;
}

const ALLOWED: Record<string, readonly string[]> = {
  d: ['d'],
  e: ['d', 'e'],
  n: ['d', 'e', 'n'],
  nR: ['d', 'e', 'nR'],
  p: ['d', 'e', 'n'],
  t: ['t'],
};

/**
 * Whether a device of the given concepts suits an enclosure of one concept.
 *
 * @param enclosure concept marked on the enclosure, e.g. `db`
 * @param device concepts on the device's certificate
 * @param dust whether the area is one of dust
 * @param sealing whether an `n` gland is a sealing gland, which an `nR` enclosure accepts
 */
export function conceptSuits(
  enclosure: string,
  device: readonly string[],
  dust: boolean,
  sealing: boolean,
): ConceptAnswer {
  const letter = foldConcept(enclosure);
  if (letter === 'i' && !dust) return { suits: 'none-asked' };
  if (letter === 'm' || letter === 'o' || letter === 'q' || letter === 's') {
    return { suits: 'enclosure-certificate' };
  }
  const key = dust && (letter === 'p' || letter === 'i' || letter === 't') ? 't' : letter;
  const allowed = ALLOWED[key];
  if (!allowed) return { suits: 'enclosure-certificate' };
  for (const concept of device) {
    const folded = foldConcept(concept);
    if (allowed.includes(folded)) return { suits: true, concept };
    if (key === 'nR' && folded === 'n' && sealing) return { suits: true, concept };
  }
  return { suits: false, allowed };
}

/** Marks as people read them off a plate, without the letters that no concept has. */
const PLATE = /^(ex|eex)$/i;

/**
 * Kinds of protection out of what people type: "Ex d", "d/e", "db eb", "Ex db eb IIC" names the group too, which is
 * no concept and is named as what was not understood.
 *
 * @returns the marks in the order in which they were typed, each once, or the first word that is none
 */
export function readConcepts(text: string): { concepts: string[] } | { unknown: string } {
  // "tD A21" is one mark of two words.
  const joined = text.replace(/\b(tD)[\s,;/+-]*(A2[012])\b/gi, (_, __, a: string) => `tD_${a.toUpperCase()}`);
  const concepts: string[] = [];
  for (const word of joined.split(/[\s,;/+&]+/)) {
    // "Exd" and "EExd" are written in one on old plates.
    const bare = word.replace('_', ' ').replace(/^E?Ex(?=[\w[])/i, '');
    if (bare === '' || PLATE.test(bare)) continue;
    const found = conceptOf(bare);
    if (found === null) return { unknown: word.replace('_', ' ') };
    for (const one of found) if (!concepts.includes(one)) concepts.push(one);
  }
  return { concepts };
}

const KNOWN: ReadonlyMap<string, string> = new Map(
  CONCEPTS.map((concept) => [concept.toLowerCase(), concept]),
);

/** One mark, or several letters in one as old plates have them: "de" is d and e. */
function conceptOf(word: string): string[] | null {
  if ((CONCEPTS as readonly string[]).includes(word)) return [word];
  const folded = KNOWN.get(word.toLowerCase());
  if (folded !== undefined) return [folded];
  return /^[deq]{2,3}$/.test(word) ? [...word] : null;
}
