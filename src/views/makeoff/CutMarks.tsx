import { Box, Table } from '@mantine/core';
import type { Plan } from '../../core/makeoff/plan';
import { figure } from '../../core/words/en/format';
import { BONDED_FAULT_WORDS, FROM_WORDS, MARK_WORDS, MISSING_WORDS } from '../../core/words/en/makeoff';
import { drawBondedSection } from '../../drawing/transit/bonded-section';
import { drawRuler, rulerStrips } from '../../drawing/makeoff/ruler';
import { DrawingView } from '../../ui/heart/DrawingView';

/** The marks with what is missing for them, as figures and as a ruler; nothing where nothing is cut. */
const CutMarks = ({ plan }: { plan: Plan }) =>
  plan.marks.marks.length > 0 && (
    <section className="marks">
      <h2>Cut marks, from the {FROM_WORDS[plan.marks.from]}</h2>
      <MarkTable plan={plan} />
      {plan.marks.missing.map((one) => (
        <p key={one} className="tone-failed">
          {MISSING_WORDS[one]}
        </p>
      ))}
      {plan.marks.block && <InBlock {...plan.marks.block} />}
      <Rulers plan={plan} />
    </section>
  );
export default CutMarks;

/** The cable in its block, cut along. */
function InBlock({ sheet, found }: NonNullable<Plan['marks']['block']>) {
  const drawing = drawBondedSection(sheet, found);
  const [left, top, right, bottom] = drawing.box;
  return (
    <>
      {found.faults.map((fault) => (
        <p key={fault} className="make-safe" role="alert">
          {BONDED_FAULT_WORDS[fault]}
        </p>
      ))}
      <Box className="plan-drawing" maw={480}>
        <DrawingView drawing={drawing} states={{}} aspect={(right - left) / (bottom - top)} shownPx={480} />
      </Box>
    </>
  );
}

/** The marks as figures. */
function MarkTable({ plan }: { plan: Plan }) {
  return (
    <Table>
      <Table.Thead>
        <Table.Tr>
          <Table.Th scope="col">Cut</Table.Th>
          <Table.Th scope="col">At, mm</Table.Th>
          <Table.Th scope="col">May lie, mm</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {plan.marks.marks.map(({ id, atMm, lowMm, highMm }) => (
          <Table.Tr key={id}>
            <Table.Th scope="row">{MARK_WORDS[id]}</Table.Th>
            <Table.Td className="figures">{figure(atMm, 1)}</Table.Td>
            <Table.Td className="figures">
              {figure(lowMm, 1)} to {figure(highMm, 1)}
            </Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

/** The ruler: to the width of the screen, and on paper in strips at its true size. */
function Rulers({ plan }: { plan: Plan }) {
  const whole = drawRuler(plan.marks);
  const strips = rulerStrips(plan.marks);
  const [left, top, right, bottom] = whole.box;
  return (
    <>
      <div className="plan-drawing ruler screen">
        <DrawingView drawing={whole} states={{}} aspect={(right - left) / (bottom - top)} shownPx={760} />
      </div>
      <div className="paper-only">
        {strips[0]![0] > 0 && (
          <p>Printed from {strips[0]![0]} mm on; the conductors before it are measured with a rule.</p>
        )}
        {strips.map((range, i) => {
          const drawing = drawRuler(plan.marks, range, i === strips.length - 1);
          const [l, t, r, b] = drawing.box;
          return (
            <div key={range[0]} className="strip" style={{ width: `${r - l}mm`, height: `${b - t}mm` }}>
              <DrawingView drawing={drawing} states={{}} aspect={(r - l) / (b - t)} shownPx={(r - l) * 3.4} />
            </div>
          );
        })}
      </div>
    </>
  );
}
