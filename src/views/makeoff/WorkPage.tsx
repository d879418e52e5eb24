import { FieldGrid } from '../../ui/FieldGrid';
import { Button, TextInput, Group } from '@mantine/core';
import { useState } from 'react';
import { clocksHere } from '../hand/alarm';
import { stageOf } from '../../core/makeoff/stage';
import type { Plan, PlanStep } from '../../core/makeoff/plan';
import { partTick } from '../../core/kinds/ticks';
import type { MakeOff } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { count } from '../../core/words/en/format';
import { HABIT_WORDS, WHY_WORDS } from '../../core/words/en/makeoff';
import { drawEntry } from '../../drawing/draw';
import { drawSlipOn } from '../../drawing/makeoff/slip-on';
import { DrawingView } from '../../ui/heart/DrawingView';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { ClockRing } from '../../ui/ClockRing';
import { device } from '../hand/hand';
import { give } from '../hand/give';
import { useNow } from '../hand/use-now';
import { StepCard } from './StepCard';
import { initialsOf } from './work';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { OUT_WORDS } from '../../core/words/en/kinds/steps';

const CutMarks = fetched(() => import('./CutMarks'));
const PlanSheet = fetched(() => import('./PlanSheet'));

interface Props {
  dossier: Dossier;
  work: MakeOff;
  plan: Plan;
  onSeal: () => void;
}

/** The work on one entry: one step at a time beside the state it leaves the entry in. */
export function WorkPage(props: Props) {
  const { dossier, work, plan } = props;
  const { entry, enclosure, cable, certificate, size } = dossier;
  const [chosen, setChosen] = useState<string | null>(null);
  const current = chosen ?? plan.next;
  return (
    <main id="main" className="work" tabIndex={-1}>
      <header className="title work-title">
        <h1>
          {enclosure.tag}, entry {entry.label}
        </h1>
        <p>
          {kindTitle(entry.kind)}, {certificate?.number},{' '}
          {entry.frame
            ? `${entry.frame.where} of ${entry.frame.wallDepthMm} mm`
            : `${size?.size} (${size?.thread}), cable ${cable?.tag}`}
          ; {WHY_WORDS[work.why]}.{!cable?.mineral && !entry.frame && ` ${HABIT_WORDS[work.habit]}.`}{' '}
          {minutesLeft(plan)}
        </p>
      </header>
      <div className="work-columns">
        <div className="work-left">
          <StateDrawing dossier={dossier} plan={plan} current={current} />
          <StillOut keys={plan.out} />
          <OwnClocks dossier={dossier} />
          {work.why === 'make-off' && (
            <Later>
              <CutMarks plan={plan} />
            </Later>
          )}
        </div>
        <div className="work-right">
          <WorkSteps {...props} current={current} onChoose={setChosen} />
          <WorkFoot {...props} />
        </div>
      </div>
      <Later>
        <PlanSheet dossier={dossier} plan={plan} printOnly />
      </Later>
    </main>
  );
}

/** How long the hands are still busy; nothing once every step is ticked. */
function minutesLeft({ all }: Plan): string {
  const left = all.filter(({ tick }) => tick === null).reduce((sum, { minutes }) => sum + minutes, 0);
  return left > 0 ? `About ${left} min of work left, without the waiting.` : '';
}

/** The entry as the step in hand leaves it, or the parts on the cable while they are slipped on. */
function StateDrawing({
  dossier,
  plan,
  current,
}: Pick<Props, 'dossier' | 'plan'> & { current: string | null }) {
  const slipping = plan.slipOn.some(({ id }) => partTick(id) === current);
  const drawing = slipping
    ? drawSlipOn(plan.slipOn, current!.replace('part-', ''))
    : drawEntry(dossier, stageOf(plan));
  return (
    <div className="plan-drawing state">
      <DrawingView drawing={drawing} states={{}} aspect={slipping ? 2.6 : 1.9} shownPx={560} />
    </div>
  );
}

/** What is out for a while and has to go back, or is on and has to come off: it stands here until it is. */
const StillOut = ({ keys }: { keys: readonly string[] }) =>
  keys.length > 0 && (
    <section className="make-safe still-out" aria-label="Still out" style={{ marginTop: 10 }}>
      <h2 className="flush">Still out</h2>
      <ul>
        {keys.map((key) => (
          <li key={key}>{OUT_WORDS[key]}</li>
        ))}
      </ul>
    </section>
  );

/** What runs at this entry. */
function OwnClocks({ dossier: { entry, cable } }: { dossier: Dossier }) {
  const nowMs = useNow(1000);
  const { clocks, late } = clocksHere(entry.site, nowMs);
  const own = clocks.filter(
    (clock) => clock.entry === entry.id || (cable?.mineral && clock.cable === cable.id),
  );
  return (
    <>
      {own.length > 0 && (
        <section aria-label="Clocks of this entry">
          <FieldGrid min={230} gap="10px" mt="sm">
            {own.map((clock) => (
              <ClockRing key={clock.id} clock={clock} nowMs={nowMs} />
            ))}
          </FieldGrid>
        </section>
      )}
      {late.some((one) => one.entry === entry.id) && (
        <p className="make-safe" role="alert">
          The compound was packed after it had stiffened. Take it out and pack fresh compound.
        </p>
      )}
    </>
  );
}

interface WorkStepsProps extends Props {
  current: string | null;
  onChoose: (step: string | null) => void;
}

/** The steps, what is done before the one in hand folded away, so that it stands at the top. */
function WorkSteps({ dossier, work, plan, current, onChoose }: WorkStepsProps) {
  const [initials, setInitials] = useState(() => initialsOf(device.state().person?.name ?? ''));
  const tick = (step: string, skipped: string | null) => {
    if (give('makeoff.tick', { id: work.id, step, initials: initials.trim() || '?', skipped }))
      onChoose(null);
  };
  const { all } = plan;
  const at = all.findIndex(({ id }) => id === current);
  const open = all.findIndex((step, i) => step.tick === null || i === at);
  const fold = open < 0 ? all.length : open;
  const card = (step: PlanStep) => (
    <StepCard
      key={step.id}
      dossier={dossier}
      work={work}
      step={step}
      number={all.indexOf(step) + 1}
      open={current === step.id}
      onOpen={() => onChoose(step.id)}
      onTick={tick}
      onUntick={(id) => give('makeoff.untick', { id: work.id, step: id })}
      onMark={(step, skipped) =>
        give('makeoff.tick', { id: work.id, step, initials: initials.trim() || '?', skipped })
      }
    />
  );
  return (
    <>
      <TextInput
        maw={160}
        mb="xs"
        label="Initials for the ticks"
        value={initials}
        maxLength={8}
        onChange={(event) => setInitials(event.target.value)}
      />
      {fold > 0 && (
        <details className="done-steps">
          <summary>{count(fold, 'step')} done</summary>
          <ol className="bare steps">{all.slice(0, fold).map(card)}</ol>
        </details>
      )}
      <ol className="bare steps">{all.slice(fold).map(card)}</ol>
    </>
  );
}

const WorkFoot = ({ dossier: { entry }, plan, onSeal }: Props) => (
  <>
    {plan.next === null && (
      <p>Every step is ticked. Seal how the entry was left; its record then speaks for what it hides.</p>
    )}
    <Group gap="sm" my="sm">
      <Button onClick={onSeal} variant={plan.next === null ? 'filled' : 'default'}>
        Seal as left
      </Button>
      <Button variant="default" onClick={() => window.print()}>
        Print the plan
      </Button>
      <Button component="a" variant="default" href={`/bench/?site=${entry.site}&entry=${entry.id}`}>
        To its bench
      </Button>
    </Group>
    <p className="quiet">Yendral advises; a competent, authorised person decides. Local codes come first.</p>
  </>
);
