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
  const done = (...ids: string[]) =>
    ids.every((id) => {
      const step = steps.find((one) => one.id === id);
      return !step || step.tick !== null;
    });
  const inWall = done('body', 'gland-in');
  const spread = done('spread');
  const clamped = done('dry-clamp', 'engage');
  return {
    outerCut: done('strip-outer', 'strip-sheath'),
    innerCut: done('strip-outer', 'strip-inner', 'cores'),
    inWall,
    body: inWall || (steps.some(({ id }) => id === 'spread') && spread) || clamped,
    spread,
    clamped,
    innerSeal: done('inner-seal', 'diaphragm'),
    pot: done('pot-on'),
    drain: done('drain'),
    filled: done('fill', 'crimp'),
    nut: done('outer-seal'),
  };
}
