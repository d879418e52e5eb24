import { FieldGrid } from '../../ui/FieldGrid';
import { Table } from '@mantine/core';
import type { Plan } from '../../core/makeoff/plan';
import type { Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import {
  closingWords,
  FROM_WORDS,
  HABIT_WORDS,
  MISSING_WORDS,
  MARK_WORDS,
} from '../../core/words/en/makeoff';
import { drawRuler, rulerStrips } from '../../drawing/makeoff/ruler';
import { drawSlipOn } from '../../drawing/makeoff/slip-on';
import { DrawingView } from '../../ui/heart/DrawingView';
import { holdTitle } from './hold-title';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { PART_WORDS, stepCaution, stepTitle, toolTitle } from '../../core/words/en/kinds/steps';
import { supplyTitle } from '../../core/words/en/supplies';

interface PlanSheetProps {
  dossier: Dossier;
  plan: Plan;
  printOnly?: boolean;
}

/** The whole plan on one page: on the screen before the work begins, and as it prints. */
export function PlanSheet({ dossier, plan, printOnly = false }: PlanSheetProps) {
  return (
    <article className={`plan-sheet${printOnly ? ' paper-only' : ''}`} aria-label="Plan">
      <PlanHead dossier={dossier} plan={plan} />
      {plan.slipOn.length > 0 && <SlipOn plan={plan} />}
      <CutMarks plan={plan} />
      <FieldGrid min={260} gap="20px" align="start" fit>
        <section>
          <h2>Parts</h2>
          <ul>
            {plan.parts.map(([part, count]) => (
              <li key={supplyTitle(part)}>
                {count} × {supplyTitle(part)}
              </li>
            ))}
            {plan.parts.length === 0 && <li>Choose the gland and record the cable first.</li>}
          </ul>
        </section>
        <section>
          <h2>Tools</h2>
          <p>{plan.tools.map(toolTitle).join(', ')}.</p>
        </section>
      </FieldGrid>
      <Steps dossier={dossier} plan={plan} />
      <p className="quiet">
        Yendral advises; a competent, authorised person decides. Isolated, proved dead, permit and gas test
        before an enclosure is opened in a zone. Local codes come first.
      </p>
    </article>
  );
}

function PlanHead({ dossier, plan }: PlanSheetProps) {
  const { entry, enclosure, cable, certificate, size, area } = dossier;
  return (
    <header className="paper-only">
      <h1>
        {enclosure.tag}, entry {entry.label}: {kindTitle(entry.kind)}
      </h1>
      <p>
        {area.name};{' '}
        {certificate ? `${certificate.number}, sheet ${certificate.sheet.number}` : 'no certificate'};{' '}
        {size ? `size ${size.size}, ${size.thread}` : 'no size'}; cable {cable?.tag ?? 'not recorded'}.{' '}
        {HABIT_WORDS[plan.habit]}.
      </p>
    </header>
  );
}

const SlipOn = ({ plan }: { plan: Plan }) => (
  <section className="slip-on">
    <h2>Slip on first, in this order</h2>
    <div className="plan-drawing slip">
      <DrawingView drawing={drawSlipOn(plan.slipOn, null)} states={{}} aspect={4.2} shownPx={640} />
    </div>
    <ol>
      {plan.slipOn.map((part) => {
        const { title, way } = PART_WORDS[part.words]!;
        return (
          <li key={part.id}>
            {title}
            {way && <span className="quiet">, {way}</span>}
          </li>
        );
      })}
    </ol>
  </section>
);

const Steps = ({ dossier, plan }: PlanSheetProps) => (
  <section>
    <h2>Steps</h2>
    <ol className="plan-steps">
      {plan.steps.map((step) => (
        <li key={step.id}>
          <span className="box" aria-hidden="true" /> {stepTitle(step)}
          {step.closing && <b> {closingWords(step.closing)}</b>}
          {step.hold && <span className="tone-failed"> Hold: {holdTitle(dossier, step.hold)}.</span>}
          {step.caution && <span className="caution"> {stepCaution(step)}</span>}
        </li>
      ))}
    </ol>
  </section>
);

/** The marks with what is missing for them, as figures and as a ruler; nothing where nothing is cut. */
export const CutMarks = ({ plan }: { plan: Plan }) =>
  plan.marks.marks.length > 0 && (
    <section className="marks">
      <h2>Cut marks, from the {FROM_WORDS[plan.marks.from]}</h2>
      <MarkTable plan={plan} />
      {plan.marks.missing.map((one) => (
        <p key={one} className="tone-failed">
          {MISSING_WORDS[one]}
        </p>
      ))}
      <Rulers plan={plan} />
    </section>
  );

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
