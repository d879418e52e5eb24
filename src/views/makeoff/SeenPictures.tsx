import { Box } from '@mantine/core';
import { seenPictures } from '../../drawing/makeoff/seen';
import { PicturePair } from '../judging/PicturePair';

/** What is ticked as seen, right beside wrong. */
export default function SeenPictures({ seen }: { seen: string }) {
  const pictures = seenPictures(seen);
  return (
    pictures && (
      <Box maw={420} ml={34} mb={8}>
        <PicturePair {...pictures} />
      </Box>
    )
  );
}
