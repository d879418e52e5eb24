import { FieldGrid } from '../../ui/FieldGrid';
import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Id, Instrument } from '../../core/record/types';
import { sends } from '../../core/instrument/simulator';
import { ohm } from '../../core/words/en/format';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { instrument as hand, useInstrument } from '../hand/hand';

interface BondProps {
  value: number | null;
  meters: readonly Instrument[];
  expectedOhm: number | null;
  limitOhm: number;
  onChange: (ohm: number, meter: Id) => void;
}

/** From the armour through the frame to earth, with the milliohm meter. */
export function Bond(props: BondProps) {
  const { value, expectedOhm, limitOhm } = props;
  const { live, shown, typed, truth, problem, keep } = useBond(props);
  return (
    <form
      className="side-form"
      aria-label="Bonding"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h3>Armour to earth</h3>
      <p className={value === null ? 'quiet' : value > limitOhm ? 'tone-failed' : 'tone-sound'}>
        {value === null ? 'Not measured.' : `${ohm(value)} measured.`}{' '}
        {expectedOhm === null ? '' : `${ohm(expectedOhm)} is predicted for the joint, `}
        {ohm(limitOhm)} is the site’s limit.
      </p>
      <FieldGrid min={140} gap="0 12px">
        <MeasureInput label="Resistance" {...fieldOf(typed)} />
        {live && <MeasureInput label="The simulated leads are on" {...fieldOf(truth)} />}
      </FieldGrid>
      {live && (
        <p className="figures">
          {live.tag}: {shown !== null ? ohm(shown) : '– –'}{' '}
          <Button
            type="button"
            variant="default"
            onClick={() => {
              hand.hold(live);
              hand.handle({ target: truth.value });
            }}
          >
            Leads on
          </Button>
        </p>
      )}
      <Button type="submit">Keep the resistance</Button>
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
    </form>
  );
}

function useBond({ meters, expectedOhm, onChange }: BondProps) {
  const line = useInstrument();
  const typed = useMeasure('bond');
  const truth = useMeasure('bond', expectedOhm);
  const [problem, setProblem] = useState('');
  const live = meters.find(sends) ?? null;
  const shown = live && line?.instrument === live.id ? line.value : null;
  const keep = () => {
    // An empty field takes what the meter shows; a faulty one says what to type.
    const rests = typed.text.trim() === '' && line?.stable ? shown : null;
    const ohms = rests ?? typed.need();
    if (ohms === null) return;
    const meter = live ?? meters[0];
    if (!meter) return setProblem('No milliohm meter is on file. Add one under Dossier, Instruments.');
    setProblem('');
    onChange(ohms, meter.id);
    typed.clear();
  };
  return { live, shown, typed, truth, problem, keep };
}
