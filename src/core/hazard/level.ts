/** Equipment protection levels, the strictest of each family first. */
export const LEVELS = ['Ga', 'Gb', 'Gc', 'Da', 'Db', 'Dc'] as const;
export type Level = (typeof LEVELS)[number];

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
  n: 'Gc', nA: 'Gc', nR: 'Gc', nC: 'Gc', ec: 'Gc', ic: 'Gc', pz: 'Gc', dc: 'Gc',
  ta: 'Da', tb: 'Db', tc: 'Dc',
}; // prettier-ignore
