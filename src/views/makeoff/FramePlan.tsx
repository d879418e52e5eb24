import { Box } from '@mantine/core';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { peelCards } from '../../core/rulebook/transit-planned';
import { peelWords } from '../../core/words/en/transit';
import { drawTransit } from '../../drawing/transit/face';
import { FieldGrid } from '../../ui/FieldGrid';
import { DrawingView } from '../../ui/heart/DrawingView';

/** A frame as it is to be packed: its face, smaller beside cut marks, and how each block is peeled for its cable. */
export default function FramePlan({ dossier }: { dossier: Dossier }) {
  const { transit, certificate } = dossier;
  const sheet = certificate?.sheet.transit;
  if (!transit || !sheet || transit.openings.length === 0) return null;
  const drawing = drawTransit(dossier);
  const [left, top, right, bottom] = drawing.box;
  const cards = peelCards(
    transit.openings.map(({ packed }) => packed),
    sheet,
    transit.cables,
  );
  return (
    <section aria-label="Packing">
      <h2>Packing</h2>
      <FieldGrid min={240} gap="0 18px" align="start" fit>
        <Box className="plan-drawing" maw={kindOf(dossier).transit === 'bonded' ? 190 : 380}>
          <DrawingView drawing={drawing} states={{}} aspect={(right - left) / (bottom - top)} shownPx={420} />
        </Box>
        {cards.length > 0 && (
          <ol>
            {cards.map(({ cable, opening, row, sizeMm, jacket, armour }) => (
              <li key={cable}>
                <b>{transit.cables.get(cable)?.tag}</b>, opening {opening}, row {row}, block of {sizeMm} mm:
                peel {peelWords(jacket)}
                {armour && `; armour side ${peelWords(armour)}`}
              </li>
            ))}
          </ol>
        )}
      </FieldGrid>
    </section>
  );
}
