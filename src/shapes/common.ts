import { DIVISION_CLASSES, DIVISION_GROUPS } from '../core/hazard/division';
import { OneOf, SomeOf } from './decorators';

/** Limits of numbers that people type, in their units: mm, °C, m. Chosen: more is a slip of the finger. */
export const LENGTH = { min: 0, max: 1e6 };
export const POSITIVE = { above: 0, max: 1e6 };
export const TEMPERATURE = { min: -100, max: 1000 };
export const PLACE_M = { min: -1e5, max: 1e5 };
export const SHAPES = ['round', 'flat', 'sector'];

/** Classes and divisions that a device is listed for. */
export class ListedShape {
  @OneOf(DIVISION_CLASSES) class!: string;
  @OneOf([1, 2]) division!: number;
  @SomeOf(DIVISION_GROUPS, { atLeast: 1 }) groups!: string[];
}
