import { afterPaint } from '../../ui/after-paint';
import { Cell, useCell } from '../../ui/cell';

const fresh = new Cell<{ place: string; value: number } | null>(null);

/** Shows a reading at its place with the frame that follows the key; the judgement shows it right after. */
export function showFresh(place: string, value: number): void {
  fresh.set({ place, value });
  afterPaint(() => fresh.set(null));
}

/** The reading that was taken at a place just now, in the unit of the place, until the place itself shows it. */
export const useFresh = (place: string): number | null =>
  useCell(fresh, (one) => (one?.place === place ? one.value : null));
