/** What the enclosure's protection allows of a gland, adaptor or plug (IEC 60079-14:2013, 9.3, 10.2 to 10.6). */
export type ConceptAnswer =
  | { suits: true; concept: string }
  | { suits: false; allowed: readonly string[] }
  | { suits: 'enclosure-certificate' }
  | { suits: 'none-asked' };

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
