import type { BlockAt } from '../../core/rulebook/transit-planned';

/** A block's place as one word, for lists and for dragging. */
export const keyOf = ({ opening, row, column, index }: BlockAt): string =>
  `${opening} ${row} ${column} ${index}`;

/** The place that a key names. */
export const atOf = (key: string): BlockAt => {
  const [index, column, row, ...label] = key.split(' ').reverse();
  return {
    opening: label.reverse().join(' '),
    row: Number(row),
    column: Number(column),
    index: Number(index),
  };
};
