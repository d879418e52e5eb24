import type { Kind } from '../kinds/kind';

/** Something that goes wrong again and again at one kind of end, and what stands in its way. */
export interface Mistake {
  id: string;
  kinds: (kind: Kind) => boolean;
  /** Step at which it is caught; the work does not go on from there while it is open. */
  at: string;
  /** Step that would hide it, or make it costly. */
  before: string;
  /** Key of what has to be seen at that step; null where its hold point alone catches it. */
  seen: string | null;
  /** Hold point of that step that catches it: place, look or test; null where what is seen does. */
  hold: string | null;
  /** Look that finds it afterwards, with the answer that says so; null where no look does. */
  look: [look: string, answer: string] | null;
  /** Check by which it is a finding afterwards. */
  check: string;
}

const has = (step: string) => (kind: Kind) => kind.steps.some(({ id }) => id === step);
const sees = (key: string) => (kind: Kind) => kind.steps.some(({ seen }) => seen.includes(key));
const looks = (id: string) => (kind: Kind) => kind.looks.some((one) => one.id === id);

/** What goes wrong, by how often people say so. */
// prettier-ignore
export const MISTAKES: readonly Mistake[] = [
  { id: 'shroud-forgotten', kinds: ({ parts }) => parts.some(({ shroud }) => shroud), at: 'part-shroud', before: 'measure', seen: null, hold: null, look: ['shroud', 'missing'], check: 'E-24' },
  { id: 'ring-wrong-way', kinds: sees('ring-face'), at: 'ring-face', before: 'dry-clamp', seen: 'ring-face', hold: null, look: null, check: 'E-13' },
  { id: 'ring-thick-end', kinds: has('ring-way'), at: 'ring-way', before: 'dry-clamp', seen: null, hold: 'ring-thick-end', look: ['ring-thick-end', 'no'], check: 'E-13' },
  { id: 'no-look-at-the-clamp', kinds: ({ armour }) => armour === 'cone', at: 'dry-clamp', before: 'outer-seal', seen: null, hold: 'armour-seated', look: ['armour-seated', 'inside'], check: 'E-14' },
  { id: 'inner-seal-left-out', kinds: sees('seal-seat'), at: 'inner-seal', before: 'outer-seal', seen: 'seal-seat', hold: 'inner-proud', look: null, check: 'E-20' },
  { id: 'armour-cut-through', kinds: sees('wires-cut'), at: 'cut-armour', before: 'measure', seen: 'wires-cut', hold: null, look: ['conductors', 'scored'], check: 'E-20' },
  { id: 'armour-short', kinds: sees('at-shoulder'), at: 'spread', before: 'dry-clamp', seen: 'at-shoulder', hold: null, look: ['armour-seated', 'beside'], check: 'E-14' },
  { id: 'compound-on-the-faces', kinds: sees('faces-clean'), at: 'pot-over', before: 'pot', seen: 'faces-clean', hold: null, look: ['compound-witness', 'none'], check: 'E-17' },
  { id: 'compound-not-looked-at', kinds: has('cure'), at: 'cure', before: 'pot', seen: null, hold: 'compound-face', look: ['compound-face', 'voids'], check: 'E-17' },
  { id: 'last-layer-peeled', kinds: has('peel'), at: 'peel', before: 'wedge', seen: 'halves-equal', hold: null, look: null, check: 'T-04' },
  { id: 'last-row', kinds: has('rows'), at: 'rows', before: 'wedge', seen: 'rows-counted', hold: null, look: null, check: 'T-05' },
  { id: 'plates-forgotten', kinds: has('plates'), at: 'plates', before: 'wedge', seen: 'two-plates', hold: null, look: null, check: 'T-05' },
  { id: 'grease-on-the-braid', kinds: looks('braid'), at: 'braid', before: 'rows', seen: 'braid-dry', hold: 'braid', look: ['braid', 'grease'], check: 'T-09' },
  { id: 'finish-in-the-block', kinds: looks('armour-past'), at: 'block-marks', before: 'rows', seen: 'finish-outside', hold: 'armour-past', look: ['armour-past', 'inside'], check: 'T-09' },
  { id: 'cut-by-the-wrong-mark', kinds: ({ link }) => link, at: 'length', before: 'strip-sheath', seen: null, hold: 'sheath-length', look: null, check: 'M-01' },
  { id: 'blade-too-deep', kinds: ({ mineral }) => mineral, at: 'strip-sheath', before: 'pot-on', seen: 'under-blade', hold: 'conductors', look: ['conductors', 'scored'], check: 'E-20' },
  { id: 'left-open-over-a-break', kinds: ({ mineral }) => mineral, at: 'fill', before: 'crimp', seen: null, hold: 'insulation-before', look: null, check: 'M-05' },
];
