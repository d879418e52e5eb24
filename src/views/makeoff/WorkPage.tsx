import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clocksHere } from '../hand/alarm';
import { stageOf } from '../../core/makeoff/stage';
import type { Plan, PlanPart, PlanStep } from '../../core/makeoff/plan';
import { partTick } from '../../core/kinds/kinds';
import type { MakeOff } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { count } from '../../core/words/en/format';
import { FROM_WORDS, HABIT_WORDS, MISSING_WORDS, WHY_WORDS } from '../../core/words/en/makeoff';
import { drawEntry } from '../../drawing/draw';
import { drawSlipOn } from '../../drawing/makeoff/slip-on';
import { DrawingView } from '../../ui/heart/DrawingView';
import { ClockRing } from '../../ui/ClockRing';
import { device } from '../hand/hand';
import { give } from '../hand/give';
import { useNow } from '../hand/use-now';
import { MarkTable, PlanSheet, Rulers } from './PlanSheet';
import { StepCard } from './StepCard';
import { initialsOf } from './work';
import { kindTitle } from '../../core/words/en/kinds/kinds';

interface Props {
  dossier: Dossier;
  work: MakeOff;
  plan: Plan;
  onSeal: () => void;
}

/** Slipping a part on, as a step. */
const slipStep = (part: PlanPart): PlanStep => ({
  id: partTick(part.id),
  words: part.words,
  slips: part,
  caution: null,
  tools: [],
  hold: null,
  closing: null,
  measures: [],
  asks: [],
  reaches: [],
  pour: null,
  tick: part.tick,
});

/** The work on one entry: one step at a time beside the state it leaves the entry in. */
export function WorkPage({ dossier, work, plan, onSeal }: Props) {
  const { entry, enclosure, cable, certificate, size } = dossier;
  const [initials, setInitials] = useState(() => initialsOf(device.state().person?.name ?? ''));
  const [chosen, setChosen] = useState<string | null>(null);
  const current = chosen ?? plan.next;
  const nowMs = useNow(1000);
  const { clocks, late } = clocksHere(entry.site, nowMs);
  const own = clocks.filter(
    (clock) => clock.entry === entry.id || (cable?.mineral && clock.cable === cable.id),
  );
  const tick = (step: string, skipped: string | null) => {
    if (give('makeoff.tick', { id: work.id, step, initials: initials.trim() || '?', skipped }))
      setChosen(null);
  };
  const untick = (step: string) => give('makeoff.untick', { id: work.id, step });
  const all: PlanStep[] = [...plan.slipOn.map(slipStep), ...plan.steps];
  const at = all.findIndex(({ id }) => id === current);
  // What is done before the step in hand is folded away, so that the step stands at the top.
  const open = all.findIndex(({ tick }, i) => tick === null || i === at);
  const fold = open < 0 ? all.length : open;
  const [before, after] = [all.slice(0, fold), all.slice(fold)];
  const card = (step: PlanStep) => (
    <StepCard
      key={step.id}
      dossier={dossier}
      work={work}
      step={step}
      number={all.indexOf(step) + 1}
      open={current === step.id}
      onOpen={() => setChosen(step.id)}
      onTick={tick}
      onUntick={untick}
    />
  );
  const slipping = plan.slipOn.some(({ id }) => partTick(id) === current);
  const drawing = slipping
    ? drawSlipOn(plan.slipOn, current!.replace('part-', ''))
    : drawEntry(dossier, stageOf(plan));
  return (
    <main id="main" className="work" tabIndex={-1}>
      <header className="work-title">
        <h1>
          {enclosure.tag}, entry {entry.label}
        </h1>
        <p>
          {kindTitle(entry.kind)}, {certificate?.number}, {size?.size} ({size?.thread}), cable {cable?.tag};{' '}
          {WHY_WORDS[work.why]}.{!cable?.mineral && ` ${HABIT_WORDS[work.habit]}.`}
        </p>
      </header>
      <div className="work-columns">
        <div className="work-left">
          <div className="plan-drawing state">
            <DrawingView drawing={drawing} states={{}} aspect={slipping ? 2.6 : 1.9} shownPx={560} />
          </div>
          {own.length > 0 && (
            <section aria-label="Clocks of this entry" className="own-clocks">
              {own.map((clock) => (
                <ClockRing key={clock.id} clock={clock} nowMs={nowMs} />
              ))}
            </section>
          )}
          {late.some((one) => one.entry === entry.id) && (
            <p className="make-safe" role="alert">
              The compound was packed after it had stiffened. Take it out and pack fresh compound.
            </p>
          )}
          {work.why === 'make-off' && plan.marks.marks.length > 0 && (
            <section className="marks">
              <h2>Cut marks, from the {FROM_WORDS[plan.marks.from]}</h2>
              <Rulers plan={plan} />
              <MarkTable plan={plan} />
              {plan.marks.missing.map((one) => (
                <p key={one} className="tone-failed">
                  {MISSING_WORDS[one]}
                </p>
              ))}
            </section>
          )}
        </div>
        <div className="work-right">
          <TextInput
            className="field initials"
            label="Initials for the ticks"
            value={initials}
            maxLength={8}
            onChange={(event) => setInitials(event.target.value)}
          />
          {before.length > 0 && (
            <details className="done-steps">
              <summary>{count(before.length, 'step')} done</summary>
              <ol className="steps">{before.map(card)}</ol>
            </details>
          )}
          <ol className="steps">{after.map(card)}</ol>
          {plan.next === null && (
            <p>
              Every step is ticked. Seal how the entry was left; its record then speaks for what it hides.
            </p>
          )}
          <div className="start-buttons">
            <Button onClick={onSeal} variant={plan.next === null ? 'filled' : 'default'}>
              Seal as left
            </Button>
            <Button variant="default" onClick={() => window.print()}>
              Print the plan
            </Button>
            <a href={`/bench/?site=${entry.site}&entry=${entry.id}`}>To its bench</a>
          </div>
          <p className="quiet">
            Yendral advises; a competent, authorised person decides. Local codes come first.
          </p>
        </div>
      </div>
      <PlanSheet dossier={dossier} plan={plan} printOnly />
    </main>
  );
}
