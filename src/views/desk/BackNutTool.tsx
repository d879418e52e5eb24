import { Button, Table } from '@mantine/core';
import type { BackNutSheet } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { gapScale } from '../../core/rulebook/gap-scale';
import { figure } from '../../core/words/en/format';
import { drawGapScale, scaleLines } from '../../drawing/desk/gap-scale';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Figure, typed, useFigures, Verdict } from '../../ui/Figure';

/** How far the back nut should have gone: the gap for every cable diameter, drawn to be held against the nut. */
export function BackNutTool({ dossier }: { dossier: Dossier | null }) {
  const sheet = dossier?.size?.backNut;
  const range = dossier?.size?.outer.rangeMm;
  const measured = dossier ? gapScale(dossier) : null;
  const figures = useFigures({
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
  });
  const [from, to, cable] = [figures.length('from'), figures.length('to'), figures.length('cable')];
  const ring = sheetOf(figures);
  const ready = ring !== null && from !== null && to !== null && from < to;
  const lines = ready ? scaleLines(ring, [from, to]) : [];
  const here = ready && cable !== null ? scaleLines(ring, [cable, cable])[0]! : null;
  const drawing =
    ready && lines.some(({ gapMm }) => gapMm !== null) ? drawGapScale(ring, [from, to], cable) : null;
  const [left, top, right, bottom] = drawing?.box ?? [0, 0, 1, 1];
  return (
    <>
      <div className="desk-form">
        <Figure figures={figures} name="bore" title="Seal, free bore" unit="mm" />
        <Figure figures={figures} name="outside" title="Seal, free outside" unit="mm" />
        <Figure figures={figures} name="length" title="Seal, free length" unit="mm" />
        <Figure figures={figures} name="housing" title="Bore of the housing" unit="mm" />
        <Figure figures={figures} name="handOn" title="Gap at hand-on" unit="mm" zero />
        <Figure figures={figures} name="turns" title="Turns after contact" unit="turns" zero />
        <Figure figures={figures} name="pitch" title="Pitch of the nut" unit="mm" />
        <Figure figures={figures} name="indent" title="Sheath indented at most" unit="%" />
        <Figure figures={figures} name="from" title="Scale from" unit="mm" />
        <Figure figures={figures} name="to" title="Scale to" unit="mm" />
        <Figure figures={figures} name="cable" title="Cable as measured" unit="mm" />
      </div>
      <div className="desk-result">
        {from !== null && to !== null && from >= to && (
          <Verdict good={null}>The scale has to run from a thinner to a thicker cable.</Verdict>
        )}
        {here && (
          <Verdict
            good={here.gapMm === null ? false : here.indentPct! <= Number(figures.number('indent') ?? 10)}
          >
            {here.gapMm === null
              ? `On ${figure(cable!)} mm there is no right gap: ${here.why}.`
              : `On ${figure(cable!)} mm the gap is ${figure(here.gapMm)} mm, and the sheath is indented by ${figure(here.indentPct!, 1)} %.`}
          </Verdict>
        )}
        {drawing && (
          <>
            <div className="desk-drawing">
              <DrawingView
                drawing={drawing}
                states={{}}
                aspect={(right - left) / (bottom - top)}
                shownPx={560}
              />
            </div>
            <Button variant="default" onClick={() => window.print()}>
              Print the scale at its true size
            </Button>
            <section
              className="print-scale"
              aria-hidden="true"
              style={{ width: `${right - left}mm`, height: `${bottom - top}mm` }}
            >
              <DrawingView
                drawing={drawing}
                states={{}}
                aspect={(right - left) / (bottom - top)}
                shownPx={560}
              />
            </section>
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
                      <Table.Td className="figures">
                        {indentPct === null ? '' : figure(indentPct, 1)}
                      </Table.Td>
                    </Table.Tr>
                  ))}
                </Table.Tbody>
              </Table>
            </details>
          </>
        )}
        {ready && !drawing && (
          <Verdict good={false}>{lines[0]?.why ?? 'There is no cable that this seal holds.'}</Verdict>
        )}
      </div>
    </>
  );
}

type Names =
  | 'bore'
  | 'outside'
  | 'length'
  | 'housing'
  | 'handOn'
  | 'turns'
  | 'pitch'
  | 'indent'
  | 'from'
  | 'to'
  | 'cable';

function sheetOf(figures: ReturnType<typeof useFigures<Names>>): BackNutSheet | null {
  const [freeBoreMm, freeOutsideMm, freeLengthMm, housingBoreMm, pitchMm] = (
    ['bore', 'outside', 'length', 'housing', 'pitch'] as const
  ).map((name) => figures.length(name));
  const [handOnGapMm, turns, indentPct] = (['handOn', 'turns', 'indent'] as const).map((name) =>
    figures.number(name),
  );
  if (freeBoreMm == null || freeOutsideMm == null || freeLengthMm == null || housingBoreMm == null)
    return null;
  if (pitchMm == null || handOnGapMm == null || turns == null || indentPct == null) return null;
  if (handOnGapMm < 0 || turns < 0) return null;
  return {
    freeBoreMm, freeOutsideMm, freeLengthMm, housingBoreMm, pitchMm, handOnGapMm, turns, indentPct, toleranceMm: 0,
  }; // prettier-ignore
}
