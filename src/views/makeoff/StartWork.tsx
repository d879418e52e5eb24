import { Button, NativeSelect, NavLink, TextInput } from '@mantine/core';
import '@mantine/core/styles/NavLink.layer.css';
import { useState } from 'react';
import { now } from '../../client/clock';
import { planOf, type Plan } from '../../core/makeoff/plan';
import { KINDS } from '../../core/kinds/kinds';
import type { Slice } from '../../core/record/slice';
import { HABITS, type Habit, type Id, type MakeOff } from '../../core/record/types';
import { isSealed } from '../../core/commands/apply-inspection';
import type { Dossier } from '../../core/rulebook/dossier';
import { HABIT_WORDS } from '../../core/words/en/makeoff';
import { device } from '../hand/hand';
import { give } from '../hand/give';
import { PlanSheet } from './PlanSheet';
import { kindTitle } from '../../core/words/en/kinds/kinds';

interface Props {
  slice: Slice;
  site: Id;
  opened: { dossier: Dossier; plan: Plan } | null;
  onOpen: (id: Id | null) => void;
}

/** Before the work: which entry, why, in which order; and the plan that follows. */
export function StartWork({ slice, site, opened, onOpen }: Props) {
  const [text, setText] = useState('');
  const [why, setWhy] = useState<MakeOff['why']>('make-off');
  const [habit, setHabit] = useState<Habit>('body-first');
  if (!opened) return <ChooseEntry slice={slice} site={site} text={text} onText={setText} onOpen={onOpen} />;
  const { dossier } = opened;
  const { entry, enclosure, cable, certificate, size } = dossier;
  const plan = planOf(dossier, habit, why, null);
  const transit = KINDS[entry.kind].transit !== null;
  const start = () => {
    const round = roundFor(dossier, slice, site, why);
    if (round) give('makeoff.start', { id: device.id(), entry: entry.id, round, why, habit });
  };
  return (
    <main id="main" className="work" tabIndex={-1}>
      <header className="work-title">
        <h1>
          {enclosure.tag}, entry {entry.label}
        </h1>
        <p>
          {kindTitle(entry.kind)},{' '}
          {size ? `${certificate!.number}, ${size.size} (${size.thread})` : 'no size chosen'},{' '}
          {cable ? `cable ${cable.tag}` : 'no cable'}
        </p>
      </header>
      <p className="start-links">
        <a href={`/certificates/?site=${site}&tab=find&entry=${entry.id}`}>Find or change the gland</a>
        <a href={`/bench/?site=${site}&entry=${entry.id}`}>Bench</a>
        <Button variant="default" onClick={() => onOpen(null)}>
          Another entry
        </Button>
      </p>
      {!transit && (!cable || !size) ? (
        <p className="make-safe" role="alert">
          {cable
            ? 'Choose the gland first: without its size there are no marks and no closing figures.'
            : 'Record the cable of this entry first, under Dossier, Entries.'}
        </p>
      ) : (
        <form
          className="start-form"
          onSubmit={(event) => {
            event.preventDefault();
            start();
          }}
        >
          <NativeSelect
            className="field"
            label="The entry is"
            value={why}
            onChange={(event) => setWhy(event.target.value as MakeOff['why'])}
          >
            <option value="make-off">made off anew</option>
            <option value="opening">opened up and closed again</option>
          </NativeSelect>
          {!transit && !KINDS[entry.kind].mineral && (
            <NativeSelect
              className="field"
              label="Order"
              value={habit}
              onChange={(event) => setHabit(event.target.value as Habit)}
            >
              {HABITS.map((one) => (
                <option key={one} value={one}>
                  {HABIT_WORDS[one]}
                </option>
              ))}
            </NativeSelect>
          )}
          <div className="start-buttons">
            <Button type="submit">Start the work</Button>
            <Button variant="default" onClick={() => window.print()}>
              Print the plan
            </Button>
          </div>
        </form>
      )}
      <PlanSheet dossier={dossier} plan={plan} />
    </main>
  );
}

/**
 * The round that the work is recorded in: for a new make-off one in which nothing of the entry is read yet, since
 * what was read before belongs to the gland that comes off.
 */
function roundFor({ entry, round }: Dossier, slice: Slice, site: Id, why: MakeOff['why']): Id | null {
  const open = round && !round.closed && round.grade === 'detailed' && !isSealed(slice, entry.id, round.id);
  const read = [...slice.by('reading', 'entry', entry.id), ...slice.by('look', 'entry', entry.id)].some(
    (one) => one.round === round?.id,
  );
  if (open && (why === 'opening' || !read)) return round.id;
  const id = device.id();
  const made = give('round.add', {
    id, name: `Make-off of ${now().slice(0, 10)}`, grade: 'detailed', entries: [entry.id], started: now(), closed: null,
  }, '', site); // prettier-ignore
  return made && id;
}

function ChooseEntry({
  slice,
  site,
  text,
  onText,
  onOpen,
}: {
  slice: Slice;
  site: Id;
  text: string;
  onText: (text: string) => void;
  onOpen: (id: Id) => void;
}) {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const entries = slice
    .by('entry', 'site', site)
    .map((entry) => ({
      entry,
      title: `${slice.get('enclosure', entry.enclosure)?.tag ?? '?'}, entry ${entry.label}`,
      what: `${kindTitle(entry.kind)}, cable ${entry.cable ? (slice.get('cable', entry.cable)?.tag ?? '?') : 'not recorded'}`,
    }))
    .filter(({ title, what }) => words.every((word) => `${title} ${what}`.toLowerCase().includes(word)))
    .sort((a, b) => a.title.localeCompare(b.title, 'en', { numeric: true }));
  return (
    <main id="main" className="work" tabIndex={-1}>
      <h1>Make off an entry</h1>
      <p>
        This cable, that hole: choose the entry. Its plan says what to slip on, where to cut and how far to
        close.
      </p>
      <TextInput
        className="field"
        label="Enclosure, kind or cable"
        value={text}
        onChange={(event) => onText(event.target.value)}
        placeholder="for example AX-31 or barrier"
      />
      {entries.length === 0 && <p>No entry matches. Entries are made under Dossier.</p>}
      <ul className="choose">
        {entries.slice(0, 60).map(({ entry, title, what }) => (
          <li key={entry.id}>
            <NavLink component="button" label={title} description={what} onClick={() => onOpen(entry.id)} />
          </li>
        ))}
      </ul>
      {entries.length > 60 && <p className="quiet">{entries.length - 60} more; type to narrow them down.</p>}
    </main>
  );
}
