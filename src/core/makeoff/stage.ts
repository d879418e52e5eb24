import type { Reach } from '../kinds/steps';
import type { Plan } from './plan';

/** How far the work on an entry has come, as far as a drawing shows it. */
export interface Stage {
  /** Outer sheath, and inner sheath, are cut back. */
  outerCut: boolean;
  innerCut: boolean;
  /** The body sits in the wall. */
  inWall: boolean;
  /** The body stands round the cable, in the wall or not. */
  body: boolean;
  /** Armour lies spread on the cone. */
  spread: boolean;
  /** Ring and middle nut hold the armour. */
  clamped: boolean;
  innerSeal: boolean;
  /** Pot on the sheath, drain nut and wire in it, filled and closed; of a mineral-insulated end. */
  pot: boolean;
  drain: boolean;
  filled: boolean;
  /** Back nut and outer seal are home. */
  nut: boolean;
}

/** An entry that is finished. */
export const FINISHED: Stage = {
  outerCut: true,
  innerCut: true,
  inWall: true,
  body: true,
  spread: true,
  clamped: true,
  innerSeal: true,
  pot: true,
  drain: true,
  filled: true,
  nut: true,
};

/** The stage that the ticks of a plan have come to; a step that the plan does not have counts as done. */
export function stageOf({ steps }: Plan): Stage {
  const that = (reach: Reach) => steps.filter(({ reaches }) => reaches.includes(reach));
  const done = (reach: Reach) => that(reach).every(({ tick }) => tick !== null);
  const inWall = done('inWall');
  const spread = done('spread');
  const clamped = done('clamped');
  return {
    outerCut: done('outerCut'),
    innerCut: done('innerCut'),
    inWall,
    body: inWall || (that('spread').length > 0 && spread) || clamped,
    spread,
    clamped,
    innerSeal: done('innerSeal'),
    pot: done('pot'),
    drain: done('drain'),
    filled: done('filled'),
    nut: done('nut'),
  };
}
