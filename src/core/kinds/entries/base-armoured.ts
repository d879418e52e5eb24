import type { Kind } from '../kind';
import * as looks from '../looks';
import * as places from '../places';
import * as steps from '../steps';

export const THREAD = [
  places.ENGAGEMENT,
  places.ADAPTOR_ENGAGEMENT,
  places.THREAD_TURNS,
  places.THREAD_MAJOR,
  places.THREAD_PITCH,
];
export const OUTSIDE = [places.OUTER, places.GAP];
export const CONE = [places.ARMOUR, places.ARMOUR_LENGTH];

export const SEEN = [looks.MARKING, looks.UNUSED, looks.BARE, looks.FLATS, looks.TAPER];
export const AROUND = [
  looks.WASHER, looks.BOND_LOOK, looks.SHROUD, looks.SUPPORTED, looks.CORES, looks.UNALTERED, looks.DAMAGE,
  looks.SEAL_STATE, looks.SINGLE,
]; // prettier-ignore
export const CUT = [looks.INSIDE, looks.SCORED];

export const SLEEVES = [steps.SHROUD_PART, steps.BACK_NUT, steps.MIDDLE_NUT];
/** Armour before sheath: the cut goes through both, then the sheath comes back by what the sheet exposes. */
export const STRIPPED = [
  steps.UNDO_OUTER,
  steps.UNDO_CLAMP,
  steps.LOOK_OPEN,
  steps.CUT_ARMOUR,
  steps.STRIP_OUTER,
  steps.STRIP_INNER,
  steps.MEASURE,
  steps.BODY_IN,
];
export const FINISHED = [steps.OUTER_SHUT, steps.HELD, steps.TAG_BOND, steps.COVER];
/** An end that is opened up, before anything of it is closed again. */
export const OPENED_UP = [steps.UNDO_OUTER, steps.LOOK_OPEN];

/** Before anything is slipped on, with something kept out until the clamp has been looked at. */
export const before = (apart: steps.Step): steps.Step[] =>
  steps.BEFORE.map((one) => (one.id === apart.id ? apart : one));

export type Rest = Partial<Kind> & Pick<Kind, 'id'>;

/** An armoured gland with an inner seal; the other kinds differ from it. */
export const armoured = (rest: Rest): Kind => ({
  parts: [...SLEEVES, steps.RING_EITHER],
  places: [places.INNER, ...CONE, ...OUTSIDE, ...THREAD, places.INNER_PROUD, places.SUPPORT, places.BOND],
  looks: [...SEEN, looks.SEATED, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [
    ...before(steps.SEAL_OUT), ...STRIPPED, steps.SPREAD, steps.DRY_CLAMP, steps.INNER_BACK, steps.CLAMP_SHUT, ...FINISHED,
  ], // prettier-ignore
  joints: ['entry', 'clamp', 'inner-seal', 'outer-seal'],
  ring: 'universal',
  armour: 'cone',
  inner: 'seal',
  pot: 'none',
  mineral: false,
  link: false,
  transit: null,
  wall: 'enclosure',
  certified: true,
  drawing: 'gland',
  ...rest,
});
