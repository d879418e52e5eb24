import { Button, TextInput } from '@mantine/core';
import { Toggle } from '../../ui/Toggle';
import { useState } from 'react';
import { readQuantity } from '../../core/quantity/quantity';
import { LEAST_BEND, linkLengths, linkToleranceMm } from '../../core/mineral/link';
import type { Cable } from '../../core/record/types';
import { metalSheathMm } from '../../core/mineral/sheath';
import { figure } from '../../core/words/en/format';
import { drawLinkPath } from '../../drawing/mineral/link-path';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Figure, typed, useFigures } from '../../ui/Figure';
import { give } from '../hand/give';

interface Straight {
  mm: string;
  off: string;
}
interface BendText {
  angle: string;
  radius: string;
  offDeg: string;
  offMm: string;
  right: boolean;
}

const number = (text: string): number | null => {
  const read = readQuantity(text, 'angle');
  return 'value' in read ? read.value : null;
};
const mmOf = (text: string): number | null => {
  const read = readQuantity(text, 'length');
  return 'value' in read ? read.value : null;
};

/** The length of a cable that is cut to fit between two accessories, its tolerance, and what a moved box does to it. */
export function LinkTool({ cable }: { cable: Cable | null }) {
  const kept = cable?.mineral?.link ?? null;
  const [straights, setStraights] = useState<Straight[]>(() =>
    kept
      ? kept.straightsMm.map((mm) => ({ mm: String(mm), off: '1' }))
      : [
          { mm: '', off: '1' },
          { mm: '', off: '1' },
        ],
  );
  const [bends, setBends] = useState<BendText[]>(() =>
    kept
      ? kept.bends.map(({ angleDeg, radiusMm, right }) => ({ angle: String(angleDeg), radius: String(radiusMm), offDeg: '1', offMm: '2', right })) // prettier-ignore
      : [{ angle: '', radius: '', offDeg: '1', offMm: '2', right: false }],
  );
  const figures = useFigures({
    entry1: typed(kept?.entryMm[0]),
    entry2: typed(kept?.entryMm[1]),
    off1: '0.5',
    off2: '0.5',
    tail1: typed(kept?.tailMm[0]),
    tail2: typed(kept?.tailMm[1]),
    trim: typed(kept?.trimMm),
    fit: typed(kept?.fitMm),
    moved: '10',
  });
  const straightsMm = straights.map(({ mm }) => mmOf(mm));
  const read = bends.map(({ angle, radius, right }) => ({
    angleDeg: number(angle),
    radiusMm: mmOf(radius),
    right,
  }));
  const fields = (['entry1', 'entry2', 'tail1', 'tail2', 'trim'] as const).map((name) =>
    mmOf(figures.text[name]),
  );
  const known =
    straightsMm.every((mm) => mm !== null) &&
    read.every(({ angleDeg, radiusMm }) => angleDeg !== null && radiusMm !== null) &&
    fields.every((mm) => mm !== null);
  const [entry1, entry2, tail1, tail2, trimMm] = fields as number[];
  const geometry = known
    ? {
        straightsMm: straightsMm as number[],
        bends: read as { angleDeg: number; radiusMm: number; right: boolean }[],
        entryMm: [entry1!, entry2!] as const,
        tailMm: [tail1!, tail2!] as const,
        trimMm: trimMm!,
      }
    : null;
  const lengths = geometry && linkLengths(geometry);
  const toleranceMm = geometry
    ? linkToleranceMm(geometry, {
        straightsMm: straights.map(({ off }) => number(off) ?? 0),
        bends: bends.map(({ offDeg, offMm }) => ({
          angleDeg: number(offDeg) ?? 0,
          radiusMm: number(offMm) ?? 0,
        })),
        entryMm: [number(figures.text.off1) ?? 0, number(figures.text.off2) ?? 0],
      })
    : 0;
  const sheathMm = cable ? metalSheathMm(cable) : null;
  const tight =
    sheathMm === null
      ? []
      : read.filter(({ radiusMm }) => radiusMm !== null && radiusMm < LEAST_BEND * sheathMm);
  const moved = mmOf(figures.text.moved);
  const fitMm = mmOf(figures.text.fit);
  const drawing = geometry && drawLinkPath(geometry.straightsMm, geometry.bends, toleranceMm);
  const change = <T,>(list: T[], i: number, next: Partial<T>): T[] =>
    list.map((one, j) => (j === i ? { ...one, ...next } : one));
  return (
    <>
      <p>
        The sheath’s end lies inside each face by its entry. Measure tangent to tangent; a wrong mark wastes
        the cable.
      </p>
      <div className="link-columns">
        <div>
          <h2>Straights, mm, and what each may be off by</h2>
          {straights.map((one, i) => (
            <div key={i} className="link-row">
              <TextInput
                classNames={{ input: 'figures' }}
                aria-label={`Straight ${i + 1}, mm`}
                value={one.mm}
                onChange={(event) => setStraights(change(straights, i, { mm: event.target.value }))}
              />
              <span>±</span>
              <TextInput
                classNames={{ input: 'figures' }}
                aria-label={`Straight ${i + 1} may be off by, mm`}
                value={one.off}
                onChange={(event) => setStraights(change(straights, i, { off: event.target.value }))}
              />
              {straights.length > 1 && (
                <Button
                  variant="default"
                  aria-label={`Take straight ${i + 1} out`}
                  onClick={() => setStraights(straights.filter((_, j) => j !== i))}
                >
                  ×
                </Button>
              )}
            </div>
          ))}
          <Button variant="default" onClick={() => setStraights([...straights, { mm: '300', off: '1' }])}>
            Add a straight
          </Button>
          <h2>Bends: angle, radius, and what each may be off by</h2>
          {bends.map((one, i) => (
            <div key={i} className="link-row">
              <TextInput
                classNames={{ input: 'figures' }}
                aria-label={`Bend ${i + 1}, degrees`}
                value={one.angle}
                onChange={(event) => setBends(change(bends, i, { angle: event.target.value }))}
              />
              <span>° ±</span>
              <TextInput
                classNames={{ input: 'figures' }}
                aria-label={`Bend ${i + 1} may be off by, degrees`}
                value={one.offDeg}
                onChange={(event) => setBends(change(bends, i, { offDeg: event.target.value }))}
              />
              <TextInput
                classNames={{ input: 'figures' }}
                aria-label={`Radius of bend ${i + 1}, mm`}
                value={one.radius}
                onChange={(event) => setBends(change(bends, i, { radius: event.target.value }))}
              />
              <span>mm ±</span>
              <TextInput
                classNames={{ input: 'figures' }}
                aria-label={`Radius of bend ${i + 1} may be off by, mm`}
                value={one.offMm}
                onChange={(event) => setBends(change(bends, i, { offMm: event.target.value }))}
              />
              <Toggle on={one.right} onClick={() => setBends(change(bends, i, { right: !one.right }))}>
                {one.right ? 'right' : 'left'}
              </Toggle>
              <Button
                variant="default"
                aria-label={`Take bend ${i + 1} out`}
                onClick={() => setBends(bends.filter((_, j) => j !== i))}
              >
                ×
              </Button>
            </div>
          ))}
          <Button
            variant="default"
            onClick={() =>
              setBends([...bends, { angle: '90', radius: '80', offDeg: '1', offMm: '2', right: false }])
            }
          >
            Add a bend
          </Button>
          <div className="mineral-fields">
            <Figure figures={figures} name="entry1" title="Inside the first face" unit="mm" zero />
            <Figure figures={figures} name="entry2" title="Inside the second face" unit="mm" zero />
            <Figure figures={figures} name="off1" title="First may be off by" unit="mm" zero />
            <Figure figures={figures} name="off2" title="Second may be off by" unit="mm" zero />
            <Figure figures={figures} name="tail1" title="First tail" unit="mm" zero />
            <Figure figures={figures} name="tail2" title="Second tail" unit="mm" zero />
            <Figure figures={figures} name="trim" title="Cut off when squaring" unit="mm" zero />
            <Figure figures={figures} name="moved" title="What if the box moves by" unit="mm" zero />
            <Figure figures={figures} name="fit" title="It still fits when off by" unit="mm" zero />
          </div>
        </div>
        <div>
          {lengths && drawing ? (
            <>
              <div className="mineral-drawing">
                <DrawingView drawing={drawing} states={{}} aspect={1.3} shownPx={420} />
              </div>
              <p className="verdict good" role="status">
                Cut it to {figure(lengths.cutMm, 1)} mm. The sheath is {figure(lengths.sheathMm, 1)} ±{' '}
                {figure(toleranceMm, 1)} mm; the second strip mark lies {figure(lengths.secondStripMm, 1)} mm
                from the first sheath end.
              </p>
              <p>
                The path between the faces is {figure(lengths.pathMm, 1)} mm.
                {moved !== null &&
                  ` Moved ${figure(moved, 1)} mm away along the last straight: cut ${figure(lengths.cutMm + moved, 1)} mm; nearer by as much: ${figure(lengths.cutMm - moved, 1)} mm.`}
              </p>
              {tight.length > 0 && (
                <p className="tone-failed">
                  A bend is tighter than {LEAST_BEND} × the sheath of {cable!.tag},{' '}
                  {figure(LEAST_BEND * sheathMm!, 1)} mm.
                </p>
              )}
              <p>
                Before the second pot goes on: shroud, shroud, facing opposite ways, each opening to its own
                accessory; then gland parts, then pot.
              </p>
              {fitMm !== null && toleranceMm > fitMm && (
                <p className="tone-close">
                  The length may be off by more than what still fits: measure the worst of them again, or let
                  the cable pass a wide bend that takes it up.
                </p>
              )}
              {cable?.mineral && fitMm !== null && (
                <Button
                  onClick={() =>
                    give(
                      'cable.edit',
                      {
                        id: cable.id,
                        set: {
                          mineral: {
                            ...cable.mineral!,
                            link: {
                              ...geometry!,
                              straightsMm: [...geometry!.straightsMm],
                              entryMm: [entry1!, entry2!],
                              tailMm: [tail1!, tail2!],
                              fitMm,
                            },
                          },
                        },
                      },
                      `The path is kept with ${cable.tag}.`,
                    )
                  }
                >
                  Keep the path with {cable.tag}
                </Button>
              )}
            </>
          ) : (
            <p role="alert" className="tone-failed">
              Type every length in mm or in, and every angle in degrees.
            </p>
          )}
        </div>
      </div>
    </>
  );
}
