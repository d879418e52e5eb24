import { Button, Table } from '@mantine/core';
import { endMarks } from '../../core/mineral/marks';
import type { Slice } from '../../core/record/slice';
import type { Cable, MineralPot } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { drawMarkOut } from '../../drawing/mineral/mark-out';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Figure, typed, useFigures } from '../../ui/Figure';

/** What the sheet of the accessory on one of the cable's ends says; null where none is chosen yet. */
function sheetOf(
  slice: Slice,
  { id }: Cable,
): { pot: MineralPot; tailMm: number | null; words: string } | null {
  for (const { certificate: of, size: name, tailMm } of slice.by('entry', 'cable', id)) {
    const certificate = of === null ? null : slice.get('certificate', of);
    const pot = certificate?.sheet.sizes.find(({ size }) => size === name)?.mineral;
    if (pot) return { pot, tailMm, words: `sheet ${certificate!.sheet.number}, size ${name}` };
  }
  return null;
}

/** Marks of one end from the fresh square cut, with a ruler that prints at its true size. */
export function MarkOut({ slice, cable }: { slice: Slice; cable: Cable | null }) {
  const sheet = cable && sheetOf(slice, cable);
  const screened = cable?.mineral?.screened ?? false;
  const jacketed = cable?.mineral?.jacketed ?? false;
  const figures = useFigures({
    tail: typed(sheet?.tailMm ?? 120),
    stop: typed(sheet?.pot.toolStopOffsetMm ?? 33),
    pot: typed(
      sheet ? sheet.pot.threadLengthMm - (sheet.pot.projectionMm[0] + sheet.pot.projectionMm[1]) / 2 : 16,
    ),
    stub: screened ? typed(sheet?.pot.screenStubMm ?? 12) : '',
    grip: typed(sheet?.pot.gripMm ?? 25),
  });
  const [tailMm, toolStopOffsetMm, potRearMm, glandGripMm] = (['tail', 'stop', 'pot', 'grip'] as const).map(
    (name) => figures.length(name),
  );
  const stub = figures.text.stub.trim() === '' ? null : figures.length('stub');
  const bad = stub !== null && tailMm != null && stub >= tailMm;
  const marks =
    tailMm != null && toolStopOffsetMm != null && potRearMm != null && glandGripMm != null && !bad
      ? endMarks({ tailMm, toolStopOffsetMm, potRearMm, screenStubMm: stub, glandGripMm })
      : null;
  const drawing = marks && drawMarkOut(marks, jacketed);
  const size = drawing && { width: drawing.box[2] - drawing.box[0], height: drawing.box[3] - drawing.box[1] };
  return (
    <>
      <p>
        All from the fresh square cut.
        {cable &&
          ` For ${cable.tag}: ${jacketed ? 'with' : 'without'} an outer jacket, ${screened ? 'screened' : 'not screened'}.`}{' '}
        {sheet && `Lengths from ${sheet.words}. `}
        Insulation drinks moisture from the air as soon as the end is open: have everything at hand.
      </p>
      <div className="mineral-fields">
        <Figure figures={figures} name="tail" title="Tail beyond the sheath" unit="mm" />
        <Figure figures={figures} name="stop" title="Tool’s stop behind its blade" unit="mm" />
        <Figure figures={figures} name="pot" title="Sheath’s end to the pot’s rear" unit="mm" />
        <Figure figures={figures} name="grip" title="Sheath that the gland grips" unit="mm" />
        {screened && <Figure figures={figures} name="stub" title="Screen left standing" unit="mm" />}
      </div>
      {bad && (
        <p role="alert" className="tone-failed">
          The screen’s stub must be shorter than the tail.
        </p>
      )}
      {drawing && size && (
        <>
          <div className="mineral-drawing">
            <DrawingView drawing={drawing} states={{}} aspect={size.width / size.height} shownPx={760} />
          </div>
          <div className="paper-ruler" style={{ width: `${size.width}mm`, height: `${size.height}mm` }}>
            <DrawingView
              drawing={drawing}
              states={{}}
              aspect={size.width / size.height}
              shownPx={size.width * 3.4}
            />
          </div>
          <Table>
            <Table.Tbody>
              {(
                [
                  ['Strip', marks!.stripMm],
                  ['Tool’s stop', marks!.stopMm],
                  ['Pot’s rear', marks!.potMm],
                  ['Cut the screen', marks!.screenMm],
                  ['Jacket back to', jacketed ? marks!.jacketMm : null],
                ] as const
              ).map(([title, mm]) =>
                mm === null ? null : (
                  <Table.Tr key={title}>
                    <Table.Th scope="row">{title}</Table.Th>
                    <Table.Td className="figures">{figure(mm, 1)} mm</Table.Td>
                  </Table.Tr>
                ),
              )}
            </Table.Tbody>
          </Table>
          <p>Order on the cable: shroud, back nut, sleeve, body; then strip, pot, disc and sleeves.</p>
          <Button variant="default" onClick={() => window.print()}>
            Print the ruler at its true size
          </Button>
        </>
      )}
    </>
  );
}
