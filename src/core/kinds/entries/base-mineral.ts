import type { Kind } from '../kind';
import * as looks from '../looks';
import * as places from '../places';
import * as steps from '../steps';
import { armoured, THREAD, type Rest } from './base-armoured';

export const MINERAL_PLACES = [
  places.MI_SHEATH, ...THREAD, places.PROJECTION, places.SHEATH_EARTH, places.BOND,
]; // prettier-ignore
export const MINERAL_LOOKS = [
  looks.MARKING, looks.UNUSED, looks.BARE, looks.FLATS, looks.TAPER, looks.POT_SQUARE, looks.DRAIN, looks.POT_FILLED, looks.INSIDE, looks.SCORED,
  looks.WASHER, looks.BOND_LOOK, looks.BOND_PATH, looks.SHROUD, looks.SUPPORTED, looks.CORES, looks.UNALTERED,
  looks.DAMAGE, looks.SINGLE,
]; // prettier-ignore
export const READY = [...steps.BEFORE.slice(0, 2), steps.KIT, ...steps.BEFORE.slice(3)];
export const OPENED = [
  steps.STRIP_SHEATH, steps.OFFCUTS, steps.CLEAN, steps.MEASURE,
]; // prettier-ignore
export const SEALED = [
  steps.UNDO_MINERAL, { ...steps.LOOK_OPEN, asks: ['conductors', 'inside-cable'] },
  steps.POT_ON, steps.PROUD, steps.DRAIN_ON, steps.TAILS, steps.TRACE, steps.TEST_BEFORE, steps.WARM, steps.FILL,
  steps.CRIMP, steps.TEST_AFTER, steps.GLAND_IN, steps.PANEL, steps.NUT_MI, steps.HELD, steps.TAG_BOND, steps.EARTH_PROVED,
]; // prettier-ignore

/** A screw-on pot on a mineral-insulated cable, and the gland behind it. */
export const mineral = (rest: Rest): Kind =>
  armoured({
    parts: [steps.SHROUD_PART, steps.BACK_NUT_MI, steps.COMPRESSION, steps.GLAND_BODY],
    places: MINERAL_PLACES,
    looks: MINERAL_LOOKS,
    steps: [...READY, steps.JACKET, steps.SQUARE, steps.MARK, ...OPENED, ...SEALED, steps.COVER],
    joints: ['entry', 'pot', 'outer-seal'],
    ring: 'none',
    armour: 'none',
    inner: 'none',
    mineral: true,
    drawing: 'mineral',
    ...rest,
  });
