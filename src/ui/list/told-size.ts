import type { Virtualizer } from '@tanstack/react-virtual';

/**
 * How high a row is (how wide, where they stand side by side), px: as the browser tells it with a frame, by the
 * estimate until then. Asking for it would hold the frame up.
 */
export function toldSize<Box extends Element, Row extends Element>(
  row: Row,
  told: ResizeObserverEntry | undefined,
  { options, indexFromElement, itemSizeCache }: Virtualizer<Box, Row>,
): number {
  const box = told?.borderBoxSize[0];
  if (box) return Math.round(options.horizontal ? box.inlineSize : box.blockSize);
  const index = indexFromElement(row);
  return itemSizeCache.get(options.getItemKey(index)) ?? options.estimateSize(index);
}
