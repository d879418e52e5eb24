import { select } from 'd3-selection';
import { zoom as zoomBehaviour, zoomIdentity, type D3ZoomEvent } from 'd3-zoom';
import type { RectM } from '../../drawing/site-plan';

// Opened by use-zoom.ts after the plan is seen.

/** What moves and zooms a plan. */
export interface Zooming {
  by: (factor: number) => void;
  reset: () => void;
  end: () => void;
}

/** Lets a plan be moved and zoomed, and says where it is. */
export function zoomingOn(
  svg: SVGSVGElement,
  view: RectM,
  nearest: number,
  moved: (at: { k: number; x: number; y: number }) => void,
): Zooming {
  const own = select(svg);
  const zoom = zoomBehaviour<SVGSVGElement, unknown>()
    .extent([[view.x, view.y], [view.x + view.width, view.y + view.height]])
    .translateExtent([[view.x, view.y], [view.x + view.width, view.y + view.height]])
    .scaleExtent([1, nearest])
    .filter(isForThePlan)
    .on('zoom', ({ transform: { k, x, y } }: D3ZoomEvent<SVGSVGElement, unknown>) => moved({ k, x, y }));
  own.call(zoom);
  return {
    by: (factor) => zoom.scaleBy(own, factor),
    reset: () => zoom.transform(own, zoomIdentity),
    end: () => void own.on('.zoom', null),
  };
} // prettier-ignore

function isForThePlan(event: MouseEvent | TouchEvent | WheelEvent): boolean {
  if (event.type === 'wheel') return event.ctrlKey;
  if ('touches' in event) return event.touches.length > 1;
  return event.button === 0 && !event.ctrlKey;
}
