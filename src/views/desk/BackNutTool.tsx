import { FieldGrid } from '../../ui/FieldGrid';
import { Button, Table, Box } from '@mantine/core';
import type { BackNutSheet } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { gapScale } from '../../core/rulebook/gap-scale';
import { figure } from '../../core/words/en/format';
import type { Drawing } from '../../drawing/shapes';
import { drawGapScale, scaleLines } from '../../drawing/desk/gap-scale';
import { DrawingView } from '../../ui/heart/DrawingView';
import { typed, useFigures, Verdict, type Figures } from '../../ui/Figure';
import { FigureFields, type FigureField } from '../../ui/FigureFields';

type Names = 'bore' | 'outside' | 'length' | 'housing' | 'handOn' | 'turns' | 'pitch' | 'indent' | 'from' | 'to' | 'cable'; // prettier-ignore

const FIELDS: readonly FigureField<Names>[] = [
  ['bore', 'Seal, free bore', 'mm'],
  ['outside', 'Seal, free outside', 'mm'],
  ['length', 'Seal, free length', 'mm'],
  ['housing', 'Bore of the housing', 'mm'],
  ['handOn', 'Gap at hand-on', 'mm', 'zero'],
  ['turns', 'Turns after contact', 'turns', 'zero'],
  ['pitch', 'Pitch of the nut', 'mm'],
  ['indent', 'Sheath indented at most', '%'],
  ['from', 'Scale from', 'mm'],
  ['to', 'Scale to', 'mm'],
  ['cable', 'Cable as measured', 'mm'],
];

/** How far the back nut should have gone: the gap for every cable diameter, drawn to be held against the nut. */
export function BackNutTool({ dossier }: { dossier: Dossier | null }) {
  const figures = useFigures(startOf(dossier));
  const scale = scaleOf(figures);
  return (
    <>
      <FieldGrid min={264} gap="10px 18px" align="start" mt="xs">
        <FigureFields figures={figures} fields={FIELDS} />
      </FieldGrid>
      <div className="desk-result">
        {scale.reversed && (
          <Verdict good={null}>The scale has to run from a thinner to a thicker cable.</Verdict>
        )}
        {scale.here && <Here line={scale.here} mostPct={figures.number('indent') ?? 10} />}
        {scale.drawing && (
          <>
            <ScaleDrawing drawing={scale.drawing} />
            <ScaleTable lines={scale.lines} />
          </>
        )}
        {scale.ready && !scale.drawing && (
          <Verdict good={false}>{scale.lines[0]?.why ?? 'There is no cable that this seal holds.'}</Verdict>
        )}
      </div>
    </>
  );
}

function startOf(dossier: Dossier | null): Record<Names, string> {
  const sheet = dossier?.size?.backNut;
  const range = dossier?.size?.outer.rangeMm;
  const measured = dossier ? gapScale(dossier) : null;
  return {
    bore: typed(sheet?.freeBoreMm ?? 24.7),
    outside: typed(sheet?.freeOutsideMm ?? 31.1),
    length: typed(sheet?.freeLengthMm ?? 14),
    housing: typed(sheet?.housingBoreMm ?? 31.6),
    handOn: typed(sheet?.handOnGapMm ?? 10),
    turns: typed(sheet?.turns ?? 0.5),
    pitch: typed(sheet?.pitchMm ?? 1.5),
    indent: typed(sheet?.indentPct ?? 10),
    from: typed(range?.[0] ?? 16.9),
    to: typed(range?.[1] ?? 24.1),
    cable: typed(measured?.cableMm ?? dossier?.cable?.outerMm ?? 20.7),
  };
}

type Line = ReturnType<typeof scaleLines>[number];

/** The scale as far as its figures are known. */
function scaleOf(figures: Figures<Names>) {
  const [from, to, cable] = (['from', 'to', 'cable'] as const).map(figures.length) as (number | null)[];
  const ring = sheetOf(figures);
  const reversed = from != null && to != null && from >= to;
  if (ring === null || from == null || to == null || reversed)
    return { ready: false, reversed, lines: [] as Line[], here: null, drawing: null };
  const lines = scaleLines(ring, [from, to]);
  const here = cable == null ? null : scaleLines(ring, [cable, cable])[0]!;
  const any = lines.some(({ gapMm }) => gapMm !== null);
  return { ready: true, reversed, lines, here, drawing: any ? drawGapScale(ring, [from, to], cable ?? null) : null }; // prettier-ignore
}

function sheetOf({ length, number }: Figures<Names>): BackNutSheet | null {
  const [freeBoreMm, freeOutsideMm, freeLengthMm, housingBoreMm, pitchMm] = (['bore', 'outside', 'length', 'housing', 'pitch'] as const).map(length); // prettier-ignore
  const [handOnGapMm, turns, indentPct] = (['handOn', 'turns', 'indent'] as const).map(number);
  if (freeBoreMm == null || freeOutsideMm == null || freeLengthMm == null || housingBoreMm == null)
    return null;
  if (pitchMm == null || handOnGapMm == null || turns == null || indentPct == null) return null;
  if (handOnGapMm < 0 || turns < 0) return null;
  return {
    freeBoreMm, freeOutsideMm, freeLengthMm, housingBoreMm, pitchMm, handOnGapMm, turns, indentPct, toleranceMm: 0,
  }; // prettier-ignore
}

const Here = ({ line: { cableMm, gapMm, indentPct, why }, mostPct }: { line: Line; mostPct: number }) => (
  <Verdict good={gapMm === null ? false : indentPct! <= mostPct}>
    {gapMm === null
      ? `On ${figure(cableMm)} mm there is no right gap: ${why}.`
      : `On ${figure(cableMm)} mm the gap is ${figure(gapMm)} mm, and the sheath is indented by ${figure(indentPct!, 1)} %.`}
  </Verdict>
);

/** The scale on the screen, and once more for the paper, where it has its true size. */
function ScaleDrawing({ drawing }: { drawing: Drawing }) {
  const [left, top, right, bottom] = drawing.box;
  const view = <DrawingView drawing={drawing} states={{}} aspect={(right - left) / (bottom - top)} shownPx={560} />; // prettier-ignore
  return (
    <>
      <Box className="desk-drawing" maw={640} mb="sm">
        {view}
      </Box>
      <Button variant="default" onClick={() => window.print()}>
        Print the scale at its true size
      </Button>
      <section
        className="paper-only print-scale"
        aria-hidden="true"
        style={{ width: `${right - left}mm`, height: `${bottom - top}mm` }}
      >
        {view}
      </section>
    </>
  );
}

const ScaleTable = ({ lines }: { lines: readonly Line[] }) => (
  <details>
    <summary>The same as a table</summary>
    <Table>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>Cable, mm</Table.Th>
          <Table.Th>Gap, mm</Table.Th>
          <Table.Th>Indent, %</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {lines.map(({ cableMm, gapMm, indentPct, why }) => (
          <Table.Tr key={cableMm}>
            <Table.Td className="figures">{figure(cableMm)}</Table.Td>
            <Table.Td className="figures">{gapMm === null ? why : figure(gapMm)}</Table.Td>
            <Table.Td className="figures">{indentPct === null ? '' : figure(indentPct, 1)}</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  </details>
);
