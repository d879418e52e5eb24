import { FieldGrid } from '../../ui/FieldGrid';
import { lookPictures } from '../../drawing/looks/pictures';
import { DrawingView } from '../../ui/heart/DrawingView';

/** A look drawn twice: as it should be, and as it is found wrong. */
export default function LookPictures({ look }: { look: string }) {
  const pictures = lookPictures(look);
  if (!pictures) return null;
  return (
    <FieldGrid className="pictures" min={140} gap="10px" mt="xs" fit>
      <Picture drawing={pictures.right} words={pictures.rightWords} />
      <Picture drawing={pictures.wrong} words={pictures.wrongWords} wrong />
    </FieldGrid>
  );
}

function Picture({
  drawing,
  words,
  wrong = false,
}: {
  drawing: Parameters<typeof DrawingView>[0]['drawing'];
  words: string;
  wrong?: boolean;
}) {
  return (
    <figure className={`state-${wrong ? 'failed' : 'sound'}`}>
      <DrawingView drawing={drawing} states={{}} aspect={1.5} shownPx={230} />
      <figcaption>
        <b>{wrong ? 'Wrong' : 'Right'}:</b> {words}
      </figcaption>
    </figure>
  );
}
