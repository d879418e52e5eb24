/** Gas and dust groups as they are marked. */
export const GROUPS = ['IIA', 'IIB', 'IIB + H2', 'IIC', 'IIIA', 'IIIB', 'IIIC', 'II', 'I'] as const;
export type Group = (typeof GROUPS)[number];

/** What an area can ask for: a gas or dust group, or hydrogen alone among the gases of IIC. */
export const AREA_GROUPS = ['IIA', 'IIB', 'hydrogen', 'IIC', 'IIIA', 'IIIB', 'IIIC'] as const;
export type AreaGroup = (typeof AREA_GROUPS)[number];

/** Kinds of protection whose group needs its letter: flameproof, intrinsically safe, nC. */
export const needsLetter = (concepts: readonly string[]): boolean =>
  concepts.some((concept) => concept[0] === 'd' || concept[0] === 'i' || concept === 'nC');

/** Whether a group is one of dust. */
export const isDustGroup = (group: AreaGroup): boolean => group.startsWith('III');

const COVERS: Record<Group, readonly AreaGroup[]> = {
  IIA: ['IIA'],
  IIB: ['IIA', 'IIB'],
  'IIB + H2': ['IIA', 'IIB', 'hydrogen'],
  IIC: ['IIA', 'IIB', 'hydrogen', 'IIC'],
  IIIA: ['IIIA'],
  IIIB: ['IIIA', 'IIIB'],
  IIIC: ['IIIA', 'IIIB', 'IIIC'],
  II: ['IIA', 'IIB', 'hydrogen', 'IIC'],
  I: [],
};

/**
 * Whether a marked group covers what the area asks for. "II" without a letter covers A to C, but not for
 * a kind of protection that needs the letter. Group I alone covers nothing above ground (IEC 60079-14:2013, 5.5).
 *
 * @param lettered whether the device is in d, i or nC: without the letter its mark says nothing
 */
export function groupCovers(marked: Group, asked: AreaGroup, lettered: boolean): boolean {
  if (marked === 'II' && lettered) return false;
  return COVERS[marked].includes(asked);
}
