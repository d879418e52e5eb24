/** Equipment protection levels, the strictest of each family first. */
export const LEVELS = ['Ga', 'Gb', 'Gc', 'Da', 'Db', 'Dc'] as const;
export type Level = (typeof LEVELS)[number];

/** Categories of the older marking, gas (G) and dust (D). */
export const CATEGORIES = ['1G', '2G', '3G', '1D', '2D', '3D'] as const;

/** Level that a category stands for; null for another text. */
export const levelOfCategory = (category: string): Level | null => LEVEL_OF_CATEGORY[category] ?? null;

const LEVEL_OF_CATEGORY: Record<string, Level> = {
  '1G': 'Ga', '2G': 'Gb', '3G': 'Gc', '1D': 'Da', '2D': 'Db', '3D': 'Dc',
}; // prettier-ignore

/** Zones of gas and of dust. */
export const ZONES = ['0', '1', '2', '20', '21', '22'] as const;
export type Zone = (typeof ZONES)[number];

const ACCEPTED: Record<Zone, readonly Level[]> = {
  '0': ['Ga'],
  '1': ['Ga', 'Gb'],
  '2': ['Ga', 'Gb', 'Gc'],
  '20': ['Da'],
  '21': ['Da', 'Db'],
  '22': ['Da', 'Db', 'Dc'],
};

/** Levels that suit a zone (IEC 60079-14:2013, 5.3). Gas marks prove nothing for dust, and the reverse. */
export const levelsForZone = (zone: Zone): readonly Level[] => ACCEPTED[zone];

/** The least level that a zone asks for. */
export function requiredLevel(zone: Zone): Level {
  const accepted = ACCEPTED[zone];
  return accepted[accepted.length - 1]!;
}

/** Whether a zone is about dust. */
export const isDust = (zone: Zone): boolean => zone.length === 2;

/** Level that a concept implies where none is marked; null for a concept that implies none. */
export function levelOfConcept(concept: string): Level | null {
  return LEVEL_OF_CONCEPT[concept] ?? null;
}

const LEVEL_OF_CONCEPT: Record<string, Level> = {
  ia: 'Ga', ma: 'Ga',
  d: 'Gb', db: 'Gb', e: 'Gb', eb: 'Gb', ib: 'Gb', mb: 'Gb', px: 'Gb', py: 'Gb', o: 'Gb', q: 'Gb',
  da: 'Ga', n: 'Gc', nA: 'Gc', nR: 'Gc', nC: 'Gc', nL: 'Gc', ec: 'Gc', ic: 'Gc', pz: 'Gc', dc: 'Gc', mc: 'Gc', ob: 'Gb',
  qb: 'Gb', ta: 'Da', tb: 'Db', tc: 'Dc', 'tD A20': 'Da', 'tD A21': 'Db', 'tD A22': 'Dc',
}; // prettier-ignore
