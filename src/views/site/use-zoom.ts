import { select } from 'd3-selection';
import { zoom as zoomBehaviour, zoomIdentity, type D3ZoomEvent, type ZoomBehavior } from 'd3-zoom';
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
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  const [{ k, x, y }, move] = useState({ k: 1, x: 0, y: 0 });
  const [width, setWidth] = useState(800);
  useEffect(() => {
    const own = select(svg.current!);
    const zoom = zoomBehaviour<SVGSVGElement, unknown>()
      .extent([[view.x, view.y], [view.x + view.width, view.y + view.height]])
      .translateExtent([[view.x, view.y], [view.x + view.width, view.y + view.height]])
      .scaleExtent([1, NEAREST])
      .filter(isForThePlan)
      .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => move({ k: transform.k, x: transform.x, y: transform.y })); // prettier-ignore
    behaviour.current = zoom;
    own.call(zoom);
    return () => void own.on('.zoom', null);
  }, [view.x, view.y, view.width, view.height]);
  useEffect(() => {
    const watcher = new ResizeObserver(([entry]) => setWidth(entry!.contentRect.width || 800));
    watcher.observe(svg.current!);
    return () => watcher.disconnect();
  }, []);
  const change = (run: (zoom: ZoomBehavior<SVGSVGElement, unknown>) => void) => behaviour.current && run(behaviour.current); // prettier-ignore
  return {
    svg,
    transform: `translate(${x} ${y}) scale(${k})`,
    pxPerM: (width / view.width) * k,
    by: (factor) => change((zoom) => select(svg.current!).call(zoom.scaleBy, factor)),
    reset: () => change((zoom) => select(svg.current!).call(zoom.transform, zoomIdentity)),
  };
}

function isForThePlan(event: MouseEvent | TouchEvent | WheelEvent): boolean {
  if (event.type === 'wheel') return event.ctrlKey;
  if ('touches' in event) return event.touches.length > 1;
  return event.button === 0 && !event.ctrlKey;
}
