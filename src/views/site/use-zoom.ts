import type { Zooming } from './zooming';
import { useEffect, useRef, useState, type RefObject } from 'react';
import type { RectM } from '../../drawing/site-plan';

/** How near one comes, against the whole plan. */
const NEAREST = 24;

interface Zoom {
  svg: RefObject<SVGSVGElement | null>;
  /** Of what is moved, in the plan's metres. */
  transform: string;
  /** Pixels of a metre, as it is shown. */
  pxPerM: number;
  /** Nearer by a factor above 1, farther by one under it. */
  by: (factor: number) => void;
  reset: () => void;
}

/**
 * Moves and zooms a drawing in metres. One finger and the plain wheel scroll the page, as everywhere; two fingers, a
 * drag with the mouse, the wheel with Ctrl, and the buttons move the plan.
 */
export function useZoom(view: RectM): Zoom {
  const svg = useRef<SVGSVGElement>(null);
  const zooming = useRef<Zooming | null>(null);
  const [{ k, x, y }, move] = useState({ k: 1, x: 0, y: 0 });
  const [width, setWidth] = useState(800);
  useEffect(() => {
    let left = false;
    // The plan is seen before it is moved.
    void import('./zooming').then(({ zoomingOn }) => {
      if (!left && svg.current) zooming.current = zoomingOn(svg.current, view, NEAREST, move);
    }, console.error);
    return () => {
      left = true;
      zooming.current?.end();
      zooming.current = null;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the same rectangle is another object with each drawing
  }, [view.x, view.y, view.width, view.height]);
  useEffect(() => {
    const watcher = new ResizeObserver(([entry]) => setWidth(entry!.contentRect.width || 800));
    watcher.observe(svg.current!);
    return () => watcher.disconnect();
  }, []);
  return {
    svg,
    transform: `translate(${x} ${y}) scale(${k})`,
    pxPerM: (width / view.width) * k,
    by: (factor) => zooming.current?.by(factor),
    reset: () => zooming.current?.reset(),
  };
}
