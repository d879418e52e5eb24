import { useMemo } from 'react';
import type { Dossier } from '../../core/rulebook/dossier';
import { drawEntry } from '../../drawing/draw';
import { drawingToSvg } from '../../drawing/svg';
import { DrawingView } from '../../ui/DrawingView';
import { partState, type PlaceView } from './place-view';

/** Places whose strips hang from the drawing, and where along its lower edge. */
const LEADERS: Record<string, number> = { 'inner-sheath': 1 / 6, armour: 3 / 6, 'outer-sheath': 5 / 6 };
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
  return (
    <div className="section">
      <DrawingView
        drawing={drawing}
        states={states}
        selected={selected}
        onSelect={onSelect}
        leaders={Object.fromEntries(Object.entries(LEADERS).filter(([id]) => id in states))}
        aspect={ASPECT}
      />
      <button type="button" className="save-drawing" onClick={save}>
        Save as SVG
      </button>
    </div>
  );
}
