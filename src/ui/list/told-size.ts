import type { Rect, Virtualizer } from '@tanstack/react-virtual';

/**
 * How high a row is (how wide, where they stand side by side), px: as the browser tells it with a frame, by the
 * estimate until then. Asking for it would hold the frame up.
 */
function toldSize<Box extends Element, Row extends Element>(
  row: Row,
  told: ResizeObserverEntry | undefined,
  { options, indexFromElement, itemSizeCache }: Virtualizer<Box, Row>,
): number {
  const box = told?.borderBoxSize[0];
  if (box) return Math.round(options.horizontal ? box.inlineSize : box.blockSize);
  const index = indexFromElement(row);
  return itemSizeCache.get(options.getItemKey(index)) ?? options.estimateSize(index);
}

/** How large the box around the rows is, px: told in the same way. */
function toldRect<Box extends Element, Row extends Element>(
  { scrollElement }: Virtualizer<Box, Row>,
  tell: (rect: Rect) => void,
): (() => void) | undefined {
  if (!scrollElement || typeof ResizeObserver === 'undefined') return undefined;
  const watcher = new ResizeObserver(([entry]) => {
    const box = entry!.borderBoxSize[0]!;
    tell({ width: Math.round(box.inlineSize), height: Math.round(box.blockSize) });
  });
  watcher.observe(scrollElement);
  return () => watcher.disconnect();
}

/** A list that draws what is on the screen takes its sizes from the browser, with a frame, and never asks for them. */
export const TOLD = {
  measureElement: toldSize,
  observeElementRect: toldRect,
  initialRect: { width: 800, height: 800 },
};
