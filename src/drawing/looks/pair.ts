import type { Drawing } from '../shapes';
import { Stage } from './stage';

/** How something looks when it is right and when it is wrong, each with its words. */
export interface Pair {
  right: string;
  wrong: string;
  draw: (stage: Stage, sound: boolean) => void;
}

/** A pair, drawn. */
export interface Pictures {
  right: Drawing;
  wrong: Drawing;
  rightWords: string;
  wrongWords: string;
}

export const pair = (right: string, wrong: string, draw: Pair['draw']): Pair => ({ right, wrong, draw });

/** Draws a pair. */
export function picturesOf({ right, wrong, draw }: Pair): Pictures {
  const picture = (sound: boolean, words: string): Drawing => {
    const stage = new Stage();
    draw(stage, sound);
    return stage.drawing(`${sound ? 'Right' : 'Wrong'}: ${words}`);
  };
  return {
    right: picture(true, right),
    wrong: picture(false, wrong),
    rightWords: right,
    wrongWords: wrong,
  };
}
