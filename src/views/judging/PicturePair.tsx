import type { Pictures } from '../../drawing/looks/pair';
import type { Drawing } from '../../drawing/shapes';
import { FieldGrid } from '../../ui/FieldGrid';
import { DrawingView } from '../../ui/heart/DrawingView';

/** Right beside wrong. */
export function PicturePair({ right, wrong, rightWords, wrongWords }: Pictures) {
  return (
    <FieldGrid className="pictures" min={140} gap="10px" mt="xs" fit>
      <Picture drawing={right} words={rightWords} />
      <Picture drawing={wrong} words={wrongWords} wrong />
    </FieldGrid>
  );
}

function Picture({ drawing, words, wrong = false }: { drawing: Drawing; words: string; wrong?: boolean }) {
  return (
    <figure className={`state-${wrong ? 'failed' : 'sound'}`}>
      <DrawingView drawing={drawing} states={{}} aspect={1.5} shownPx={230} />
      <figcaption>
        <b>{wrong ? 'Wrong' : 'Right'}:</b> {words}
      </figcaption>
    </figure>
  );
}
