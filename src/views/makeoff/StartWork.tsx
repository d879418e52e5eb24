import { FieldGrid } from '../../ui/FieldGrid';
import { Button, NativeSelect, Group } from '@mantine/core';
import { useState } from 'react';
import { planOf, type Plan } from '../../core/makeoff/plan';
import { KINDS } from '../../core/kinds/kinds';
import type { Slice } from '../../core/record/slice';
import { HABITS, WHYS, type Habit, type Id, type MakeOff } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { HABIT_WORDS, WHY_WORDS } from '../../core/words/en/makeoff';
import { device, parameter } from '../hand/hand';
import { give } from '../hand/give';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { roundFor } from './round-for';
import { useArmourEnd } from './use-armour-end';

const PlanSheet = fetched(() => import('./PlanSheet'));
const ArmourEndFields = fetched(() => import('./ArmourEndFields'));
const ChooseEntry = fetched(() => import('./ChooseEntry'));
const FarChooseEntry = fetched(() =>
  import('./ChooseEntry').then(({ FarChooseEntry }) => ({ default: FarChooseEntry })),
);

interface StartWorkProps {
  slice: Slice;
  site: Id;
  opened: { dossier: Dossier; plan: Plan } | null;
  onOpen: (id: Id | null) => void;
}

/** Before the work: which entry, why, in which order; and the plan that follows. */
export function StartWork({ slice, site, opened, onOpen }: StartWorkProps) {
  if (!opened)
    return (
      <Later>
        {device.along.part ? (
          <FarChooseEntry slice={slice} site={site} onOpen={onOpen} />
        ) : (
          <ChooseEntry slice={slice} site={site} onOpen={onOpen} />
        )}
      </Later>
    );
  const { dossier } = opened;
  const { entry } = dossier;
  return (
    <main id="main" className="work" tabIndex={-1}>
      <StartTitle dossier={dossier} />
      <Group gap="sm" my="sm">
        <a href={`/certificates/?site=${site}&tab=find&entry=${entry.id}`}>Find or change the gland</a>
        <a href={`/bench/?site=${site}&entry=${entry.id}`}>Bench</a>
        <Button variant="default" onClick={() => onOpen(null)}>
          Another entry
        </Button>
      </Group>
      <Begin key={entry.id} slice={slice} site={site} dossier={dossier} />
    </main>
  );
}

/** What is said before the work begins, and the plan as it follows from it. */
function Begin({ slice, site, dossier }: Pick<StartWorkProps, 'slice' | 'site'> & { dossier: Dossier }) {
  const [why, setWhy] = useState<MakeOff['why']>(
    () => WHYS.find((one) => one === parameter('why')) ?? 'make-off',
  );
  const [habit, setHabit] = useState<Habit>('body-first');
  const choice = useArmourEnd(dossier);
  const start = () => {
    const armourEnd = choice ? choice.need() : null;
    if (choice && !armourEnd) return;
    const round = roundFor(dossier, slice, site, why);
    const entry = dossier.entry.id;
    if (round) give('makeoff.start', { id: device.id(), entry, round, why, habit, armourEnd });
  };
  const missing = missingFor(dossier);
  const plan = planOf(dossier, { habit, why, armourEnd: choice?.end }, null);
  return (
    <>
      {missing ? (
        <p className="make-safe" role="alert">
          {missing}
        </p>
      ) : (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            start();
          }}
        >
          <FieldGrid min={260} gap="0 18px" maw={720}>
            <StartFields dossier={dossier} why={why} onWhy={setWhy} habit={habit} onHabit={setHabit} />
            {choice && why === 'make-off' && (
              <Later>
                <ArmourEndFields {...choice} />
              </Later>
            )}
          </FieldGrid>
          <Group gap="sm" my="sm">
            <Button type="submit">Start the work</Button>
            <Button variant="default" onClick={() => window.print()}>
              Print the plan
            </Button>
          </Group>
        </form>
      )}
      <Later>
        <PlanSheet dossier={dossier} plan={plan} />
      </Later>
    </>
  );
}

const StartTitle = ({ dossier: { entry, enclosure, cable, certificate, size } }: { dossier: Dossier }) => (
  <header className="title work-title">
    <h1>
      {enclosure.tag}, entry {entry.label}
    </h1>
    <p>
      {kindTitle(entry.kind)},{' '}
      {size ? `${certificate!.number}, ${size.size} (${size.thread})` : 'no size chosen'},{' '}
      {cable ? `cable ${cable.tag}` : 'no cable'}
    </p>
  </header>
);

/** What has to be known before anything is cut; null where all is. */
function missingFor({ entry, cable, size }: Dossier): string | null {
  if (KINDS[entry.kind].transit !== null) return null;
  if (!cable) return 'Record the cable of this entry first, under Dossier, Entries.';
  return size ? null : 'Choose the gland first: without its size there are no marks and no closing figures.';
}

interface StartFieldsProps {
  dossier: Dossier;
  why: MakeOff['why'];
  onWhy: (why: MakeOff['why']) => void;
  habit: Habit;
  onHabit: (habit: Habit) => void;
}

function StartFields({ dossier, why, onWhy, habit, onHabit }: StartFieldsProps) {
  const { transit, mineral, pot } = KINDS[dossier.entry.kind];
  return (
    <>
      <NativeSelect
        mb="xs"
        label="The entry is"
        value={why}
        data={WHYS.filter((one) => transit !== null || !one.startsWith('cable-')).map((one) => ({
          value: one,
          label: WHY_WORDS[one],
        }))}
        onChange={(event) => onWhy(event.currentTarget.value as MakeOff['why'])}
      />
      {transit === null && !mineral && pot !== 'resin' && (
        <NativeSelect
          mb="xs"
          label="Order"
          value={habit}
          data={HABITS.map((one) => ({ value: one, label: HABIT_WORDS[one] }))}
          onChange={(event) => onHabit(event.currentTarget.value as Habit)}
        />
      )}
    </>
  );
}
