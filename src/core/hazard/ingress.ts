/** An ingress rating: first numeral (solids), second numeral (water); null where it is an X. */
export interface Ingress {
  solids: number | null;
  water: number | null;
}

const RATING = /^IP([0-6X])([0-9X])$/;
const BETWEEN = /\s*[/,]\s*|\s+/;

// A plant has a handful of ratings, and every judgement reads several.
const known = new Map<string, readonly Ingress[] | null>();

/** Reads `IP66`, `IP6X`, or several as `IP66/IP68`; null when a part is no rating (IEC 60529). */
export function parseIngress(text: string): readonly Ingress[] | null {
  let ratings = known.get(text);
  if (ratings === undefined) known.set(text, (ratings = readRatings(text)));
  return ratings;
}

function readRatings(text: string): readonly Ingress[] | null {
  const read = text.trim().split(BETWEEN).map(readRating);
  return read.every((one) => one !== null) ? read : null;
}

function readRating(text: string): Ingress | null {
  const match = RATING.exec(text);
  if (!match) return null;
  const digit = (c: string) => (c === 'X' ? null : Number(c));
  return { solids: digit(match[1]!), water: digit(match[2]!) };
}

/** Jets up to which a second numeral includes the lower ones, and up to where immersion and hot jets do (IEC 60529, 6). */
const MOST_JETS = 6;
const MOST_SPLASH = 4;

/** Whether the second numeral of a rating proves what another asks; immersion is no proof of jets. */
function waterEnough(has: number, asked: number): boolean {
  if (has <= MOST_JETS) return asked <= has;
  if (asked <= MOST_SPLASH) return true;
  // 8 covers 7; 9 (hot jets) covers neither jets nor immersion.
  return has === asked || (has === 8 && asked === 7);
}

function covers(has: Ingress, asked: Ingress): boolean {
  const solids = asked.solids === null || (has.solids !== null && has.solids >= asked.solids);
  const water = asked.water === null || (has.water !== null && waterEnough(has.water, asked.water));
  return solids && water;
}

/**
 * Whether marked ratings meet every rating that is asked for: each by one of the marked ones. An X asks for
 * nothing and proves nothing.
 */
export const ingressAtLeast = (has: readonly Ingress[], asked: readonly Ingress[]): boolean =>
  asked.every((need) => has.some((one) => covers(one, need)));

/** Ingress that a concept asks for by itself, in a dust group where that matters; null where it asks for none. */
export function ingressOfConcept(concept: string, dustGroup: string | null): string | null {
  const letter = concept[0];
  if (letter === 'e' || letter === 'n') return 'IP54';
  if (letter === 'p') return 'IP4X';
  if (letter !== 't') return null;
  if (concept === 'ta' || concept === 'tD A20') return 'IP6X';
  if (concept === 'tc' || concept === 'tD A22')
    return dustGroup === null || dustGroup === 'IIIC' ? 'IP6X' : 'IP5X';
  return dustGroup === 'IIIA' ? 'IP5X' : 'IP6X';
}
