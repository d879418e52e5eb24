/** An ingress rating: first numeral (solids), second numeral (water); null where it is an X. */
export interface Ingress {
  solids: number | null;
  water: number | null;
}

const RATING = /^IP([0-6X])([0-9X])$/;

// A plant has a handful of ratings, and every judgement reads several.
const known = new Map<string, Ingress | null>();

/** Reads `IP66`, `IP6X`; null when the text is no rating (IEC 60529). */
export function parseIngress(text: string): Ingress | null {
  let rating = known.get(text);
  if (rating === undefined) known.set(text, (rating = readRating(text)));
  return rating;
}

function readRating(text: string): Ingress | null {
  const match = RATING.exec(text);
  if (!match) return null;
  const digit = (c: string) => (c === 'X' ? null : Number(c));
  return { solids: digit(match[1]!), water: digit(match[2]!) };
}

/** Whether one rating is at least as good as another in both numerals; an X asks for nothing and proves nothing. */
export function ingressAtLeast(has: Ingress, asked: Ingress): boolean {
  const enough = (h: number | null, a: number | null) => a === null || (h !== null && h >= a);
  return enough(has.solids, asked.solids) && enough(has.water, asked.water);
}

/** Ingress that a concept asks for by itself, in a dust group where that matters; null where it asks for none. */
export function ingressOfConcept(concept: string, dustGroup: string | null): string | null {
  if (concept === 'e' || concept === 'eb' || concept === 'ec' || concept === 'nA') return 'IP54';
  if (concept === 'ta') return 'IP6X';
  if (concept === 'tb' || concept === 't') return dustGroup === 'IIIA' ? 'IP5X' : 'IP6X';
  if (concept === 'tc') return dustGroup === 'IIIC' ? 'IP6X' : 'IP5X';
  return null;
}
