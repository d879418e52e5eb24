import { Button } from '@mantine/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Dossier } from '../../core/rulebook/dossier';
import { drawEntry } from '../../drawing/draw';
import type { Drawing } from '../../drawing/shapes';
import { drawingToSvg } from '../../drawing/svg';
import { DrawingView } from '../../ui/heart/DrawingView';
import { partState, type PlaceView } from './place-view';

const ASPECT = 2.2;

/** The section drawing of the entry on the bench; it can be saved as SVG. */
export function Section({
  dossier,
  views,
  selected,
  onSelect,
}: {
  dossier: Dossier;
  views: readonly PlaceView[];
  selected: string | null;
  onSelect: (place: string) => void;
}) {
  const drawing = useMemo(() => drawEntry(dossier), [dossier]);
  const states = Object.fromEntries(views.map(({ place, glyph }) => [place.id, partState(glyph)]));
  const save = () => {
    const file = new Blob([drawingToSvg(drawing, states)], { type: 'image/svg+xml' });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = `${dossier.enclosure.tag}-${dossier.entry.label}.svg`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  };
  const { top, pinned } = usePinned();
  return (
    <>
      <div ref={top} />
      <div className={pinned ? 'section pinned' : 'section'}>
        <DrawingView
          drawing={drawing}
          states={states}
          selected={selected}
          onSelect={onSelect}
          leaders={leadersOf(drawing, states)}
          aspect={ASPECT}
        />
        <Button variant="default" className="save-drawing" pos="absolute" right={8} top={8} onClick={save}>
          Save as SVG
        </Button>
      </div>
    </>
  );
}

/** Whether what stands above the drawing has been scrolled away: on a phone it stays, smaller. */
function usePinned() {
  const top = useRef<HTMLDivElement>(null);
  const [pinned, setPinned] = useState(false);
  useEffect(() => {
    const watcher = new IntersectionObserver(([entry]) =>
      setPinned(!entry!.isIntersecting && entry!.boundingClientRect.top < 0),
    );
    watcher.observe(top.current!);
    return () => watcher.disconnect();
  }, []);
  return { top, pinned };
}

/** Columns of the strips under the drawing, as the style sheet lays them. */
const columns = () => (window.matchMedia('(max-width: 1240px)').matches ? 2 : 3);

/** Where along the lower edge the leader of each place ends: over its strip in the first row. */
function leadersOf(drawing: Drawing, states: Readonly<Record<string, unknown>>): Record<string, number> {
  const across = columns();
  const hanging = drawing.anchors.filter(({ place }) => place in states).slice(0, across);
  return Object.fromEntries(hanging.map(({ place }, i) => [place, (i + 0.5) / across]));
}
