import type { KindId } from './kind-ids';
import type { Grade, InstrumentKind } from './types';

/** What a place is measured in and with. */
export type PlaceUnit = 'mm' | 'ohm' | 'turns';

/** A place of an entry that is measured; the drawing's hit areas carry its id. */
export interface Place {
  id: string;
  title: string;
  unit: PlaceUnit;
  /** Least grade at which the place can be reached. */
  grade: Grade;
  /** What can measure it, the usual one first. */
  instruments: readonly InstrumentKind[];
  /** Readings that are asked for; 0 for a place that is measured only when in doubt. */
  wanted: number;
  /** A short word on where and how. */
  how: string;
}

/** A question that is answered by looking. */
export interface LookQuestion {
  id: string;
  title: string;
  question: string;
  grade: Grade;
  /** Answers, the good ones first. */
  answers: readonly { id: string; title: string; good: boolean }[];
}

/** One kind of entry: its places, looks, checks and drawing. Nobody else asks which kind an entry is. */
export interface Kind {
  id: KindId;
  title: string;
  places: readonly Place[];
  looks: readonly LookQuestion[];
  checks: readonly string[];
  drawing: 'armoured-gland';
  /** A ring that fits either way, or one whose faces hold different armour. */
  ring: 'universal' | 'reversible';
}

const OUTER: Place = {
  id: 'outer-sheath',
  title: 'Outer sheath',
  unit: 'mm',
  grade: 'close',
  instruments: ['caliper', 'tape'],
  wanted: 3,
  how: 'three readings 60° apart, where the outer seal sits',
};
const INNER: Place = {
  id: 'inner-sheath',
  title: 'Inner sheath',
  unit: 'mm',
  grade: 'detailed',
  instruments: ['caliper', 'tape'],
  wanted: 3,
  how: 'three readings 60° apart, where the inner seal sits',
};
const ARMOUR: Place = {
  id: 'armour',
  title: 'Armour',
  unit: 'mm',
  grade: 'detailed',
  instruments: ['caliper'],
  wanted: 3,
  how: 'three wires, or three places of the braid or tape',
};
const ENGAGEMENT: Place = {
  id: 'thread-engagement',
  title: 'Thread engaged',
  unit: 'mm',
  grade: 'detailed',
  instruments: ['caliper'],
  wanted: 1,
  how: 'engaged length: male thread less washer and run-out, or wall less chamfers',
};
const THREAD_MAJOR: Place = {
  id: 'thread-major',
  title: 'Thread major diameter',
  unit: 'mm',
  grade: 'detailed',
  instruments: ['caliper'],
  wanted: 0,
  how: 'over the crests of the gland’s male thread',
};
const THREAD_PITCH: Place = {
  id: 'thread-pitch',
  title: 'Thread pitch',
  unit: 'mm',
  grade: 'detailed',
  instruments: ['pitch-gauge', 'caliper'],
  wanted: 0,
  how: 'with the pitch gauge, or ten pitches with the caliper divided by ten',
};
const GAP: Place = {
  id: 'back-nut-gap',
  title: 'Back-nut gap',
  unit: 'mm',
  grade: 'close',
  instruments: ['caliper'],
  wanted: 0,
  how: 'between back nut and body, as found; it is drawn and kept',
};
const BOND: Place = {
  id: 'bond',
  title: 'Bond, armour to wall',
  unit: 'ohm',
  grade: 'detailed',
  instruments: ['milliohm-meter'],
  wanted: 1,
  how: 'four-wire, one end disconnected',
};

const yes = (title: string) => ({ id: 'yes', title, good: true });
const no = (title: string) => ({ id: 'no', title, good: false });

const MARKING: LookQuestion = {
  id: 'marking',
  title: 'Marking',
  question: 'Does the marking on the gland agree with the certificate and size on file?',
  grade: 'visual',
  answers: [yes('It agrees'), no('It differs'), { id: 'unreadable', title: 'Cannot be read', good: false }],
};
const BARE: LookQuestion = {
  id: 'outer-bare',
  title: 'Under the outer seal',
  question: 'Is the sheath under the outer seal bare and whole: no tape, sleeve, label, rib or embossing?',
  grade: 'close',
  answers: [yes('Bare and whole'), no('Something is under the seal')],
};
const SEATED: LookQuestion = {
  id: 'armour-seated',
  title: 'Armour on the cone',
  question: 'Clamp open: does the armour lie on the cone all round, none crossed, none inside, wires whole?',
  grade: 'detailed',
  answers: [
    yes('All round, whole'),
    { id: 'crossed', title: 'Crossed', good: false },
    { id: 'inside', title: 'Inside the cone', good: false },
    { id: 'broken', title: 'Wires broken or missing', good: false },
  ],
};
const BOND_LOOK: LookQuestion = {
  id: 'bond-tight',
  title: 'Bond and tag',
  question: 'Are the bond and the earth tag, where one is fitted, present and tight?',
  grade: 'visual',
  answers: [yes('Present and tight'), { id: 'loose', title: 'Loose', good: false }, no('Missing')],
};
const BOND_PATH: LookQuestion = {
  id: 'bond-path',
  title: 'Path of the bond reading',
  question:
    'Was one end disconnected for the bond reading, so that no parallel path carries the test current?',
  grade: 'detailed',
  answers: [yes('One end disconnected'), { id: 'parallel', title: 'Parallel paths remain', good: false }],
};
const CORES: LookQuestion = {
  id: 'unused-cores',
  title: 'Unused cores',
  question: 'Is every unused core terminated or earthed?',
  grade: 'close',
  answers: [
    yes('All terminated'),
    { id: 'none', title: 'No unused cores', good: true },
    no('Some are loose'),
  ],
};
const DAMAGE: LookQuestion = {
  id: 'damage',
  title: 'Damage',
  question: 'Are cable, gland and wall free of corrosion, cracks, paint on seals, attack and dust layers?',
  grade: 'visual',
  answers: [
    yes('Undamaged'),
    { id: 'corroded', title: 'Corroded', good: false },
    { id: 'cracked', title: 'Cracked', good: false },
    { id: 'painted', title: 'Paint on a seal', good: false },
    { id: 'attacked', title: 'Chemical or UV attack', good: false },
    { id: 'dust', title: 'Dust layer', good: false },
  ],
};

const ARMOURED_PLACES = [INNER, ARMOUR, OUTER, ENGAGEMENT, THREAD_MAJOR, THREAD_PITCH, GAP, BOND] as const;
const ARMOURED_LOOKS = [MARKING, BARE, SEATED, BOND_LOOK, BOND_PATH, CORES, DAMAGE] as const;
const ARMOURED_CHECKS = [
  'E-01', 'E-02', 'E-03', 'E-04', 'E-05', 'E-06', 'E-07', 'E-08',
  'E-11', 'E-12', 'E-13', 'E-14', 'E-23a', 'E-23b', 'E-27', 'E-29',
] as const; // prettier-ignore

/** The one table of entry kinds. */
export const KINDS: Record<KindId, Kind> = {
  'gland-double-seal': {
    id: 'gland-double-seal',
    title: 'double-seal gland',
    places: ARMOURED_PLACES,
    looks: ARMOURED_LOOKS,
    checks: ARMOURED_CHECKS,
    drawing: 'armoured-gland',
    ring: 'universal',
  },
  'gland-reversible-ring': {
    id: 'gland-reversible-ring',
    title: 'reversible-ring gland',
    places: ARMOURED_PLACES,
    looks: ARMOURED_LOOKS,
    checks: ARMOURED_CHECKS,
    drawing: 'armoured-gland',
    ring: 'reversible',
  },
};

/** The place of a kind, or null. */
export const placeOf = (kind: KindId, place: string): Place | null =>
  KINDS[kind].places.find(({ id }) => id === place) ?? null;

/** The look of a kind, or null. */
export const lookOf = (kind: KindId, look: string): LookQuestion | null =>
  KINDS[kind].looks.find(({ id }) => id === look) ?? null;
