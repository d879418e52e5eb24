import { Box, Button, Group, Text, TextInput, UnstyledButton } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { PlanStep } from '../../core/makeoff/plan';
import { placeOf } from '../../core/kinds/kinds';
import { isTestHold } from '../../core/kinds/steps';
import type { MakeOff } from '../../core/record/types';
import { askedLooks } from '../../core/rulebook/asked';
import type { Dossier } from '../../core/rulebook/dossier';
import { moment } from '../../core/words/en/format';
import { closingWords } from '../../core/words/en/makeoff';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { device, say } from '../hand/hand';
import { give } from '../hand/give';
import { LookCard } from '../judging/LookCard';
import { holdTitle } from './hold-title';
import { PlaceField } from './PlaceField';
import type { StepCardProps } from './step-card-props';
import { LayingOut, SeenList, Tries } from './StepLists';
import {
  gripSentence,
  planStepTitle,
  stepCaution,
  stepHandling,
  toolTitle,
} from '../../core/words/en/kinds/steps';

const MixStep = fetched(() => import('./PourSteps').then(({ MixStep: it }) => ({ default: it })));
const PackStep = fetched(() => import('./PourSteps').then(({ PackStep: it }) => ({ default: it })));
const CureStep = fetched(() => import('./PourSteps').then(({ CureStep: it }) => ({ default: it })));
const TestStep = fetched(() => import('./TestStep'));
const StepPicture = fetched(() => import('./StepPicture'));

/** One step: what to do and how far, what to look at or measure before going on, and its tick. */
export function StepCard(props: StepCardProps) {
  return props.open ? <OpenStep {...props} /> : <StepLine {...props} />;
}

/** The step in the hand: it comes into view when the one before it is ticked. */
function OpenStep(props: StepCardProps) {
  const { dossier, work, step, number } = props;
  const card = useRef<HTMLLIElement>(null);
  useEffect(() => {
    card.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const caution = stepCaution(step);
  return (
    <li ref={card} className="step open" aria-current="step">
      <h2>
        <span className="figures">{number}</span> {planStepTitle(step)}
      </h2>
      {stepHandling(step) && !step.slips && <p>{stepHandling(step)}</p>}
      {step.grip && (
        <Text fw={700} my={6}>
          {gripSentence(step.grip)}
        </Text>
      )}
      {step.closing && (
        <Text fw={700} my={6}>
          {closingWords(step.closing)}
        </Text>
      )}
      <Later>
        <StepPicture step={step} dossier={dossier} />
      </Later>
      {caution && <p className="caution">{caution}</p>}
      {step.tools.length > 0 && <p className="quiet">{step.tools.map(toolTitle).join(', ')}</p>}
      <Later>
        <PourOf pour={step.pour} dossier={dossier} work={work} />
      </Later>
      {step.closing?.answer && <Answer id={step.closing.answer} dossier={dossier} work={work} />}
      {step.measures.map((place) => (
        <PlaceField key={place.id} dossier={dossier} work={work} place={place} />
      ))}
      <LayingOut {...props} />
      <HoldPoint dossier={dossier} work={work} step={step} />
      <Tries {...props} />
      <SeenList {...props} />
      {step.asks.map(({ id: look }) => (
        <Answer key={look} id={look} dossier={dossier} work={work} />
      ))}
      <StepButtons {...props} />
    </li>
  );
}

const isOpenHold = ({ hold, tries, seen, lays }: PlanStep): boolean =>
  (hold !== null && (!hold.answered || (tries !== null && hold.seen?.good === false))) ||
  [...seen, ...lays].some(({ tick }) => tick === null);

/** A step that is not in the hand: its title, and who ticked it. */
function StepLine({ step, number, onOpen }: StepCardProps) {
  const { tick } = step;
  return (
    <li className={`step${tick ? ' done' : ''}`}>
      <UnstyledButton className="step-line" onClick={onOpen}>
        <span className="figures">{tick ? (tick.skipped === null ? '✓' : '–') : number}</span>
        <span>
          {planStepTitle(step)}
          {tick && (
            <small>
              {tick.initials}, {moment(tick.at)}
              {tick.skipped !== null && `; hold point passed over: ${tick.skipped}`}
              {tick.skipped === null && isOpenHold(step) && '; its hold point is open'}
            </small>
          )}
        </span>
      </UnstyledButton>
    </li>
  );
}

/** The hold point of a step, where nothing above asks for it already. */
function HoldPoint({ dossier, work, step }: Pick<StepCardProps, 'dossier' | 'work' | 'step'>) {
  const { hold } = step;
  if (!hold || hold.id === step.closing?.answer || step.measures.length > 0) return null;
  return (
    <>
      <p className="tone-failed">
        <b>Hold point.</b> {hold.answered ? 'Answered.' : 'Before going on:'}{' '}
        {holdTitle(dossier, hold).toLowerCase()}
      </p>
      {isTestHold(hold.id) ? (
        <Later>
          <TestStep
            key={step.id}
            dossier={dossier}
            slice={device.state().slice}
            hold={hold.id}
            since={work.at}
          />
        </Later>
      ) : (
        <Answer id={hold.id} dossier={dossier} work={work} />
      )}
    </>
  );
}

function StepButtons({ step, onTick, onUntick }: StepCardProps) {
  const { id, tick } = step;
  const waits = isOpenHold(step);
  if (tick)
    return (
      <Group gap="sm" my="sm">
        <Button variant="default" onClick={() => onUntick(id)}>
          Take the tick away
        </Button>
      </Group>
    );
  const done = () => (waits ? say(WAITS[step.lays.length > 0 ? 'list' : 'hold']) : onTick(id, null));
  return (
    <Group gap="sm" my="sm">
      <Button onClick={done}>Done</Button>
      {waits && <PassOver onPass={(reason) => onTick(id, reason)} />}
    </Group>
  );
}

const WAITS = {
  list: 'Tick the list off first, or write down what is missing and who said so.',
  hold: 'Answer the hold point first, or pass it over with a reason.',
};

/** Passing a hold point over needs a reason; it stays a finding until somebody opens it and looks. */
function PassOver({ onPass }: { onPass: (reason: string) => void }) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), [open]);
  if (!open) {
    return (
      <Button variant="default" onClick={() => setOpen(true)}>
        Pass the hold point over
      </Button>
    );
  }
  return (
    <Box
      component="form"
      flex="1 1 100%"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) onPass(reason.trim());
        else say('Say why the hold point is passed over.');
      }}
    >
      <TextInput
        mb="xs"
        label="Why it is passed over; it stays a finding"
        ref={field}
        value={reason}
        maxLength={300}
        onChange={(event) => setReason(event.target.value)}
      />
      <Button type="submit" variant="default">
        Pass it over
      </Button>
    </Box>
  );
}

/** The reading or the look that a step asks for. */
function Answer({ id, dossier, work }: { id: string; dossier: Dossier; work: MakeOff }) {
  const place = placeOf(dossier.entry.kind, id);
  if (place) return <PlaceField dossier={dossier} work={work} place={place} />;
  const look = askedLooks(dossier).find((one) => one.id === id);
  if (!look) return null;
  return (
    <Box className="spot-alone" my={6}>
      <LookCard
        look={look}
        given={dossier.looks.get(id)}
        recorded={dossier.recorded.has(id)}
        sealed={false}
        onAnswer={({ id: name }, given) =>
          void give('look.answer', {
            id: device.id(),
            entry: work.entry,
            round: work.round,
            look: name,
            ...given,
          })
        }
      />
    </Box>
  );
}

/** Steps at which compound is mixed, packed or looked at. */
function PourOf({ pour, dossier, work }: { pour: PlanStep['pour']; dossier: Dossier; work: MakeOff }) {
  if (pour === 'mix') return <MixStep dossier={dossier} work={work} packs={false} />;
  if (pour === 'inject') return <MixStep dossier={dossier} work={work} packs />;
  if (pour === 'pack') return <PackStep dossier={dossier} work={work} />;
  if (pour === 'cure') return <CureStep dossier={dossier} work={work} />;
  return null;
}
