import { FieldGrid } from '../../ui/FieldGrid';
import { Box } from '@mantine/core';
import type { Plan, PlanStep } from '../../core/makeoff/plan';
import type { Dossier } from '../../core/rulebook/dossier';
import { count } from '../../core/words/en/format';
import { closingWords, HABIT_WORDS } from '../../core/words/en/makeoff';
import { drawHandling } from '../../drawing/makeoff/handling';
import { drawSlipOn } from '../../drawing/makeoff/slip-on';
import { DrawingView } from '../../ui/heart/DrawingView';
import CutMarks from './CutMarks';
import FramePlan from './FramePlan';
import { holdTitle } from './hold-title';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import {
  gripSentence,
  PART_WORDS,
  SEEN_WORDS,
  stepCaution,
  stepHandling,
  stepTitle,
  toolTitle,
} from '../../core/words/en/kinds/steps';
import { supplyTitle } from '../../core/words/en/supplies';

interface PlanSheetProps {
  dossier: Dossier;
  plan: Plan;
  printOnly?: boolean;
}

/** The whole plan, on the screen before the work begins and as it prints: marks and parts in front, steps on the back. */
export default function PlanSheet({ dossier, plan, printOnly = false }: PlanSheetProps) {
  return (
    <article className={`plan-sheet${printOnly ? ' paper-only' : ''}`} aria-label="Plan">
      <PlanHead dossier={dossier} plan={plan} />
      {plan.slipOn.length > 0 && <SlipOn plan={plan} />}
      <CutMarks plan={plan} />
      <FramePlan dossier={dossier} />
      <FieldGrid min={260} gap="20px" align="start" fit>
        <section>
          <h2>Parts</h2>
          <ul>
            {plan.parts.map(([part, many]) => (
              <li key={supplyTitle(part)}>
                {many} × {supplyTitle(part)}
              </li>
            ))}
            {plan.parts.length === 0 && <li>{noParts(dossier)}</li>}
          </ul>
        </section>
        <section>
          <h2>Tools</h2>
          <p>{plan.tools.map(toolTitle).join(', ')}.</p>
        </section>
      </FieldGrid>
      <p className="quiet">
        Yendral advises; a competent, authorised person decides. Isolated, proved dead, permit and gas test
        before an enclosure is opened in a zone. Local codes come first.
      </p>
      <Steps dossier={dossier} plan={plan} />
    </article>
  );
}

/** Why there is nothing to fetch. */
const noParts = ({ transit, entry }: Dossier): string => {
  if (!entry.frame) return 'Choose the gland and record the cable first.';
  return transit ? 'None: what comes out goes back.' : 'Plan the packing first, on the board.';
};

function PlanHead({ dossier, plan }: PlanSheetProps) {
  const { entry, enclosure, area, certificate } = dossier;
  return (
    <header className="paper-only">
      <h1>
        {enclosure.tag}, entry {entry.label}: {kindTitle(entry.kind)}
      </h1>
      <p>
        {area.name};{' '}
        {certificate ? `${certificate.number}, sheet ${certificate.sheet.number}` : 'no certificate'};{' '}
        {placeWords(dossier, plan)}
      </p>
    </header>
  );
}

/** What is made off: the frame and its cables, or size, cable and order of the hands. */
function placeWords({ entry, size, cable, transit }: Dossier, { habit }: Plan): string {
  if (entry.frame)
    return `${entry.frame.where} of ${entry.frame.wallDepthMm} mm; ${count(transit?.cables.size ?? 0, 'cable')}.`;
  const order = cable?.mineral ? '' : ` ${HABIT_WORDS[habit]}.`;
  return `${size ? `size ${size.size}, ${size.thread}` : 'no size'}; cable ${cable?.tag ?? 'not recorded'}.${order}`;
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

/** Most steps that the back of a sheet holds at its usual size. Chosen: by what fits on Letter. */
const MOST_LARGE = 19;

/** Where each caution is said first: further on it is said by that step's number, so that the back of a sheet holds all. */
const saidAt = (steps: readonly PlanStep[], { caution }: PlanStep): number =>
  steps.findIndex((step) => step.caution === caution);

/** The steps, each with its picture; on paper the back of the sheet. */
const Steps = ({ dossier, plan }: PlanSheetProps) => (
  <Box component="section" style={{ breakBefore: 'page' }}>
    <h2>Steps, about {plan.steps.reduce((sum, { minutes }) => sum + minutes, 0)} min without the waiting</h2>
    <Box
      component="ol"
      className="plan-steps"
      // A long work is set smaller, so that the back of a sheet holds all of it.
      style={{
        columns: '210px',
        columnGap: 14,
        fontSize: plan.steps.length > MOST_LARGE ? '0.88em' : undefined,
      }}
    >
      {plan.steps.map((step, i) => (
        <Box component="li" key={step.id} style={{ breakInside: 'avoid', clear: 'both' }}>
          <StepOnPaper dossier={dossier} step={step} />
          {step.caution && (
            <span className="caution">
              {' '}
              {saidAt(plan.steps, step) === i
                ? stepCaution(step)
                : `Caution as at ${saidAt(plan.steps, step) + 1}.`}
            </span>
          )}
        </Box>
      ))}
    </Box>
  </Box>
);

function StepOnPaper({ dossier, step }: { dossier: Dossier; step: PlanStep }) {
  const picture = drawHandling(step, dossier);
  return (
    <>
      {picture && (
        <Box className="plan-drawing" w={84} style={{ float: 'right', marginLeft: 6 }}>
          <DrawingView drawing={picture} states={{}} aspect={1.5} shownPx={170} />
        </Box>
      )}
      <span className="box" aria-hidden="true" /> <b>{stepTitle(step)}</b> {stepHandling(step)}
      {step.grip && ` ${gripSentence(step.grip)}`}
      {step.closing && <b> {closingWords(step.closing)}</b>}
      {step.seen.length > 0 && (
        <span className="tone-failed"> Look: {step.seen.map(({ key }) => SEEN_WORDS[key]).join(' ')}</span>
      )}
      {step.hold && <span className="tone-failed"> Hold: {holdTitle(dossier, step.hold)}.</span>}
    </>
  );
}
