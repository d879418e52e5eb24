import { lookPictures } from '../../drawing/looks/pictures';
import { PicturePair } from './PicturePair';

/** A look drawn twice: as it should be, and as it is found wrong. */
export default function LookPictures({ look }: { look: string }) {
  const pictures = lookPictures(look);
  return pictures && <PicturePair {...pictures} />;
}
