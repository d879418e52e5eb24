import type { Worded } from '../../../kinds/worded';

/** What a place is called, where and how it is measured, and what it is when it fails, where that has a word. */
interface PlaceSays {
  title: string;
  how: string;
  failed?: string;
}

/** Words of the places, by the keys of their rows: name, and a short word on where and how. */
export const PLACE_WORDS: Record<string, PlaceSays> = {
  'outer-sheath': { title: 'Outer sheath', how: 'three readings 60° apart, where the outer seal sits' },
  'adaptor-engagement': {
    title: 'Thread engaged in the adaptor',
    how: 'engaged length of the gland in its adaptor; asked for where there is one',
  },
  'inner-sheath': { title: 'Inner sheath', how: 'three readings 60° apart, where the inner seal sits' },
  'over-cores': {
    title: 'Over the cores',
    how: 'three readings 60° apart over the bundle of cores, where it enters the pot',
  },
  armour: { title: 'Armour', how: 'three wires, or three places of the braid or tape' },
  'over-armour': { title: 'Over the armour', how: 'three readings 60° apart over the ridges of the armour' },
  'thread-engagement': {
    title: 'Thread engaged',
    how: 'engaged length: male thread less washer and run-out, or wall less chamfers',
    failed: 'Too short',
  },
  'thread-turns': {
    title: 'Turns while unscrewing',
    how: 'turns counted until the thread comes free; they count like the engaged length',
  },
  'thread-major': { title: 'Thread major diameter', how: 'over the crests of the gland’s male thread' },
  'thread-pitch': {
    title: 'Thread pitch',
    how: 'with the pitch gauge, or ten pitches with the caliper divided by ten',
  },
  'back-nut-gap': { title: 'Back-nut gap', how: 'between back nut and body, at the narrowest' },
  'inner-proud': {
    title: 'Inner sheath proud',
    how: 'from the face of the inner seal to the end of the inner sheath',
  },
  'armour-length': {
    title: 'Armour exposed',
    how: 'from the cut of the outer sheath to the end of the armour',
  },
  'compound-reach': {
    title: 'Compound beyond the crotch',
    how: 'from the crotch of the cores to the far face of the compound',
  },
  'support-distance': {
    title: 'Gland to cable clamp',
    how: 'from the back of the gland to the first clamp of the cable; asked for where the gland does not hold it by itself',
  },
  bond: { title: 'Bond, armour to wall', how: 'four-wire, one end disconnected', failed: 'Too high' },
  'metal-sheath': {
    title: 'Metal sheath',
    how: 'three readings 60° apart on the bare metal, where the gland grips it',
  },
  'pot-projection': {
    title: 'Sheath proud in the pot',
    how: 'from the end of the pot’s thread to the end of the sheath, inside the pot',
  },
  'sheath-length': {
    title: 'Sheath, end to end',
    how: 'along the sheath, from its first end to its second, before the second pot goes on',
  },
  'sheath-earth': {
    title: 'Sheath as earth conductor',
    how: 'four-wire along the sheath from end to end, one end disconnected',
  },
  'joint-turns': { title: 'turns', how: 'turns after hand-tight, by a mark on the nut' },
  'joint-torque': { title: 'torque', how: 'torque at which it just moves on' },
  'joint-gap': { title: 'gap', how: 'between the faces, at the narrowest' },
};

/** Where and how a place is measured. */
export const placeHow = ({ words }: Pick<Worded, 'words'>): string => PLACE_WORDS[words]?.how ?? '';
