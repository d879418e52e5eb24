import { Verdict } from '../../ui/Figure';
import { Button } from '@mantine/core';
import { LEAST_BEND } from '../../core/mineral/link';
import { metalSheathMm } from '../../core/mineral/sheath';
import type { Cable } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { drawLinkPath } from '../../drawing/mineral/link-path';
import { DrawingView } from '../../ui/heart/DrawingView';
import { give } from '../hand/give';
import { mmOf, type LinkNames, type linkOf, type TypedGeometry } from './link-draft';

interface LinkResultProps {
  link: NonNullable<ReturnType<typeof linkOf>>;
  text: Readonly<Record<LinkNames, string>>;
  cable: Cable | null;
}

/** How long the cable is cut, by how much that may be off, and what has to be minded. */
export function LinkResult({ link: { geometry, lengths, toleranceMm }, text, cable }: LinkResultProps) {
  const moved = mmOf(text.moved);
  const fitMm = mmOf(text.fit);
  return (
    <>
      <div className="mineral-drawing">
        <DrawingView
          drawing={drawLinkPath(geometry.straightsMm, geometry.bends, toleranceMm)}
          states={{}}
          aspect={1.3}
          shownPx={420}
        />
      </div>
      <Verdict good>
        Cut it to {figure(lengths.cutMm, 1)} mm. The sheath is {figure(lengths.sheathMm, 1)} ±{' '}
        {figure(toleranceMm, 1)} mm; the second strip mark lies {figure(lengths.secondStripMm, 1)} mm from the
        first sheath end.
      </Verdict>
      <p>
        The path between the faces is {figure(lengths.pathMm, 1)} mm.
        {moved !== null &&
          ` Moved ${figure(moved, 1)} mm away along the last straight: cut ${figure(lengths.cutMm + moved, 1)} mm; nearer by as much: ${figure(lengths.cutMm - moved, 1)} mm.`}
      </p>
      <TightBends geometry={geometry} cable={cable} />
      <p>
        Before the second pot goes on: shroud, shroud, facing opposite ways, each opening to its own
        accessory; then gland parts, then pot.
      </p>
      {fitMm !== null && toleranceMm > fitMm && (
        <p className="tone-close">
          The length may be off by more than what still fits: measure the worst of them again, or let the
          cable pass a wide bend that takes it up.
        </p>
      )}
      {cable?.mineral && fitMm !== null && (
        <Button onClick={() => keepPath(cable, geometry, fitMm)}>Keep the path with {cable.tag}</Button>
      )}
    </>
  );
}

function TightBends({ geometry: { bends }, cable }: { geometry: TypedGeometry; cable: Cable | null }) {
  const sheathMm = cable ? metalSheathMm(cable) : null;
  if (sheathMm === null || bends.every(({ radiusMm }) => radiusMm >= LEAST_BEND * sheathMm)) return null;
  return (
    <p className="tone-failed">
      A bend is tighter than {LEAST_BEND} × the sheath of {cable!.tag}, {figure(LEAST_BEND * sheathMm, 1)} mm.
    </p>
  );
}

const keepPath = (cable: Cable, geometry: TypedGeometry, fitMm: number) =>
  give(
    'cable.edit',
    {
      id: cable.id,
      set: {
        mineral: {
          ...cable.mineral!,
          link: {
            ...geometry,
            straightsMm: [...geometry.straightsMm],
            bends: [...geometry.bends],
            entryMm: [...geometry.entryMm],
            tailMm: [...geometry.tailMm],
            fitMm,
          },
        },
      },
    },
    `The path is kept with ${cable.tag}.`,
  );
