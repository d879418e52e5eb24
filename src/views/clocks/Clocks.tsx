import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { Checkbox, Button, NativeSelect, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import { currentInstruments } from '../../core/record/instruments';
import { sends } from '../../core/instrument/simulator';
import { clocksOfSite, type Clock } from '../../core/makeoff/clocks';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { CLOCK_WORDS } from '../../core/words/en/makeoff';
import { alarmState, askForNotifications, clocksHere, ring, setSound } from '../hand/alarm';
import { clockAddress } from '../hand/clock-address';
import { ClockRing } from '../../ui/ClockRing';
import { instrument as hand, say, useInstrument } from '../hand/hand';
import { give } from '../hand/give';
import { Root } from '../frame/Root';
import { useNow } from '../hand/use-now';
import './clocks.css';
import { clockWhat, whereWords } from '../../core/words/en/where';

const KINDS: [is: Clock['is'] | '', title: string][] = [
  ['', 'Every clock'],
  ['working-life', 'Working life'],
  ['look', 'Look'],
  ['energise', 'Energise'],
  ['stale-test', 'Insulation test'],
];

/** Clocks: everything that is curing or stiffening, what is due next first. */
export default function Clocks() {
  return <Root view="clocks">{({ slice, site }) => <ClocksOf slice={slice} site={site} />}</Root>;
}

function ClocksOf({ slice, site }: { slice: Slice; site: Id }) {
  const nowMs = useNow(1000);
  const [text, setText] = useState('');
  const [is, setIs] = useState<Clock['is'] | ''>('');
  const { clocks, late } = clocksHere(site, nowMs);
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = clocks.filter(
    (clock) =>
      (is === '' || clock.is === is) &&
      words.every((word) =>
        `${whereWords(clock.where)} ${clockWhat(clock.compound)} ${CLOCK_WORDS[clock.is]}`
          .toLowerCase()
          .includes(word),
      ),
  );
  return (
    <main id="main" className="clocks" tabIndex={-1}>
      <header>
        <h1>Clocks</h1>
        <p>
          {clocks.length === 0 ? 'Nothing runs' : `${clocks.length} running`},{' '}
          {clocks.filter(({ due }) => Date.parse(due) <= nowMs).length} due
        </p>
      </header>
      {late.map(({ pour, entry, where, byMin }) => (
        <p key={pour} className="make-safe" role="alert">
          <b>{whereWords(where)}</b>: the compound was packed {figure(byMin, 0)} min after it had stiffened.
          Take it out and pack fresh compound.{' '}
          <a href={`/makeoff/?site=${site}&entry=${entry}`}>To its make-off</a>
        </p>
      ))}
      <div className="clock-tools">
        <TextInput
          className="field"
          label="Entry or compound"
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder="for example AX-31"
        />
        <NativeSelect
          className="field"
          label="Show"
          value={is}
          onChange={(event) => setIs(event.target.value as Clock['is'])}
        >
          {KINDS.map(([id, title]) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </NativeSelect>
        <Signals />
      </div>
      {clocks.length === 0 && (
        <p>
          A clock starts when compound or resin is mixed at a make-off, or a mineral cable tests sound before
          sealing. <a href={`/makeoff/?site=${site}`}>Start one</a>.
        </p>
      )}
      {clocks.length > 0 && shown.length === 0 && <p>No clock matches. Clear the search.</p>}
      <ul className="clock-list">
        {shown.map((clock) => (
          <li key={clock.id}>
            <ClockRing clock={clock} nowMs={nowMs} />
            <div className="clock-where">
              <a href={clockAddress(clock, site)}>{whereWords(clock.where)}</a>
              <small className="quiet">{clockWhat(clock.compound)}</small>
            </div>
          </li>
        ))}
      </ul>
      <Temperature slice={slice} site={site} />
      <p className="quiet">
        The cure runs on the lowest temperature since packing and is never shortened; below the sheet’s
        minimum it stands still. An insulation test is too old to seal by once the window of its cable has
        passed.
      </p>
    </main>
  );
}

/** How a clock that runs out makes itself known. */
function Signals() {
  const [state, setState] = useState(alarmState);
  return (
    <fieldset className="signals">
      <legend>When one is due</legend>
      <Checkbox
        size="md"
        label="Sound"
        checked={state.sound}
        onChange={(event) => {
          setSound(event.currentTarget.checked);
          if (event.currentTarget.checked) ring();
          setState(alarmState());
        }}
      />
      <Checkbox
        size="md"
        label={`Notification${state.blocked ? ' (not allowed by this browser)' : ''}`}
        checked={state.notify}
        disabled={state.blocked}
        onChange={(event) =>
          void askForNotifications(event.currentTarget.checked).then(() => setState(alarmState()))
        }
      />
    </fieldset>
  );
}

/** The temperature round everything that cures: the lowest since packing counts for each. */
function Temperature({ slice, site }: { slice: Slice; site: Id }) {
  const line = useInstrument();
  const typed = useMeasure('temperature');
  const target = useMeasure('temperature', 18);
  const thermometer =
    currentInstruments(slice, site).find((one) => one.kind === 'thermometer' && sends(one)) ?? null;
  useEffect(() => {
    hand.hold(thermometer);
    return () => hand.hold(null);
  }, [thermometer?.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const { clocks } = clocksOfSite(slice, site);
  const pours = [
    ...new Set(clocks.flatMap(({ is, pour }) => (is === 'working-life' || pour === null ? [] : pour))),
  ];
  if (pours.length === 0) return null;
  const keep = () => {
    // An empty field takes what the thermometer shows once it rests.
    const value = typed.text.trim() === '' && line?.stable ? line.value : typed.need();
    if (value === null) return;
    let lower = 0;
    for (const id of pours) {
      const pour = slice.get('pour', id)!;
      if (pour.lowestC !== null && pour.lowestC <= value) continue;
      if (give('pour.edit', { id, set: { lowestC: value } })) lower++;
    }
    typed.clear();
    say(
      lower === 0
        ? `${figure(value, 1)} °C is no lower than what is recorded; nothing changes.`
        : `${figure(value, 1)} °C is the lowest since packing of ${lower} of ${pours.length}.`,
    );
  };
  return (
    <section className="clock-temperature">
      <h2>Temperature where it cures</h2>
      <div className="place-row">
        <MeasureInput
          label="Read now"
          placeholder={line?.value != null ? figure(line.value, 1) : ''}
          {...fieldOf(typed)}
        />
        {thermometer && (
          <>
            <p className="figures live">
              {thermometer.tag}: {line?.value != null ? `${figure(line.value, 1)} °C` : '– –'}
              {line && !line.stable && line.value !== null && ', creeping'}
            </p>
            <MeasureInput label="The simulated sensor stands in" {...fieldOf(target)} />
            <Button
              variant="default"
              onClick={() => target.need() !== null && hand.handle({ target: target.value })}
            >
              Hold it there
            </Button>
          </>
        )}
        <Button onClick={keep}>Record it</Button>
      </div>
    </section>
  );
}
