import { FieldGrid } from '../../ui/FieldGrid';
import { Button, Table } from '@mantine/core';
import { endMarks } from '../../core/mineral/marks';
import type { Slice } from '../../core/record/slice';
import type { Cable, MineralPot } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { drawMarkOut } from '../../drawing/mineral/mark-out';
import { DrawingView } from '../../ui/heart/DrawingView';
import { typed, useFigures, type Figures } from '../../ui/Figure';
import { FigureFields, type FigureField } from '../../ui/FigureFields';

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

type Names = 'tail' | 'stop' | 'pot' | 'stub' | 'grip';

const FIELDS: readonly FigureField<Names>[] = [
  ['tail', 'Tail beyond the sheath', 'mm'],
  ['stop', 'Tool’s stop behind its blade', 'mm'],
  ['pot', 'Sheath’s end to the pot’s rear', 'mm'],
  ['grip', 'Sheath that the gland grips', 'mm'],
];
const STUB: FigureField<Names> = ['stub', 'Screen left standing', 'mm'];

/** Marks of one end from the fresh square cut, with a ruler that prints at its true size. */
export function MarkOut({ slice, cable }: { slice: Slice; cable: Cable | null }) {
  const sheet = cable && sheetOf(slice, cable);
  const screened = cable?.mineral?.screened ?? false;
  const jacketed = cable?.mineral?.jacketed ?? false;
  const figures = useFigures(startOf(sheet, screened));
  const marks = marksOf(figures);
  return (
    <>
      <p>
        All from the fresh square cut.
        {cable &&
          ` For ${cable.tag}: ${jacketed ? 'with' : 'without'} an outer jacket, ${screened ? 'screened' : 'not screened'}.`}{' '}
        {sheet && `Lengths from ${sheet.words}. `}
        Insulation drinks moisture from the air as soon as the end is open: have everything at hand.
      </p>
      <FieldGrid className="mineral-fields no-print" min={220} gap="10px 16px">
        <FigureFields figures={figures} fields={screened ? [...FIELDS, STUB] : FIELDS} />
      </FieldGrid>
      {marks === 'stub-too-long' && (
        <p role="alert" className="tone-failed">
          The screen’s stub must be shorter than the tail.
        </p>
      )}
      {marks !== null && marks !== 'stub-too-long' && <Marks marks={marks} jacketed={jacketed} />}
    </>
  );
}

function startOf(sheet: ReturnType<typeof sheetOf>, screened: boolean): Record<Names, string> {
  const pot = sheet?.pot;
  return {
    tail: typed(sheet?.tailMm ?? 120),
    stop: typed(pot?.toolStopOffsetMm ?? 33),
    pot: typed(pot ? pot.threadLengthMm - (pot.projectionMm[0] + pot.projectionMm[1]) / 2 : 16),
    stub: screened ? typed(pot?.screenStubMm ?? 12) : '',
    grip: typed(pot?.gripMm ?? 25),
  };
}

type EndMarks = ReturnType<typeof endMarks>;

/** The marks, or null while a length is missing. */
function marksOf({ text, length }: Figures<Names>): EndMarks | 'stub-too-long' | null {
  const [tailMm, toolStopOffsetMm, potRearMm, glandGripMm] = (['tail', 'stop', 'pot', 'grip'] as const).map(length); // prettier-ignore
  const screenStubMm = text.stub.trim() === '' ? null : length('stub');
  if (tailMm == null || toolStopOffsetMm == null || potRearMm == null || glandGripMm == null) return null;
  if (screenStubMm !== null && screenStubMm >= tailMm) return 'stub-too-long';
  return endMarks({ tailMm, toolStopOffsetMm, potRearMm, screenStubMm, glandGripMm });
}

/** The ruler on the screen and, at its true size, on paper; the marks as figures. */
function Marks({ marks, jacketed }: { marks: EndMarks; jacketed: boolean }) {
  const drawing = drawMarkOut(marks, jacketed);
  const [width, height] = [drawing.box[2] - drawing.box[0], drawing.box[3] - drawing.box[1]];
  const rows: [string, number | null][] = [
    ['Strip', marks.stripMm],
    ['Tool’s stop', marks.stopMm],
    ['Pot’s rear', marks.potMm],
    ['Cut the screen', marks.screenMm],
    ['Jacket back to', jacketed ? marks.jacketMm : null],
  ];
  return (
    <>
      <div className="mineral-drawing no-print">
        <DrawingView drawing={drawing} states={{}} aspect={width / height} shownPx={760} />
      </div>
      <div className="paper-only" style={{ width: `${width}mm`, height: `${height}mm` }}>
        <DrawingView drawing={drawing} states={{}} aspect={width / height} shownPx={width * 3.4} />
      </div>
      <Table>
        <Table.Tbody>
          {rows.map(
            ([title, mm]) =>
              mm !== null && (
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
  );
}
