import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import './insulation.css';
import { Checkbox, Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { currentInstruments } from '../../core/record/instruments';
import { INSULATION_STAGES, type InsulationStage } from '../../core/mineral/insulation';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id } from '../../core/record/types';
import { device } from '../hand/hand';
import { give } from '../hand/give';
import { STAGE_WORDS } from './insulation-words';

/** Begins a test: stage, temperature, far end, tester. */
export function StartTest({
  slice,
  cable,
  drying,
  entry = null,
  stage: first = 'in-service',
  onDone,
}: {
  slice: Slice;
  cable: Cable;
  drying: boolean;
  /** The end that is being made off; null for a test of the finished cable. */
  entry?: Id | null;
  /** Stage that is offered first. */
  stage?: InsulationStage;
  onDone: () => void;
}) {
  const testers = currentInstruments(slice, cable.site).filter(({ kind }) => kind === 'insulation-tester');
  const [stage, setStage] = useState<InsulationStage>(drying ? 'before-seal' : first);
  const degrees = useMeasure('temperature');
  const [problem, setProblem] = useState('');
  const [sealed, setSealed] = useState(false);
  const [tester, setTester] = useState('');
  const instrument = testers.find(({ id }) => id === tester) ?? testers[0] ?? null;
  const start = () => {
    const temperatureC = degrees.need();
    if (temperatureC === null) return;
    if (!instrument)
      return setProblem('No insulation tester is on file. Add one under Dossier, Instruments.');
    const payload = {
      id: device.id(),
      cable: cable.id,
      entry,
      stage,
      drying,
      instrument: instrument.id,
      temperatureC,
      farEndSealed: sealed,
    };
    if (give('insulation.start', payload, 'The test is started; read its pairs.')) onDone();
  };
  return (
    <form
      className="start-test"
      onSubmit={(event) => {
        event.preventDefault();
        start();
      }}
    >
      <h2>{drying ? 'Next reading while drying' : 'Start a test'}</h2>
      <div className="mineral-fields">
        {!drying && (
          <NativeSelect
            className="field"
            label="Stage"
            value={stage}
            onChange={(event) => setStage(event.target.value as InsulationStage)}
          >
            {INSULATION_STAGES.map((one) => (
              <option key={one} value={one}>
                {STAGE_WORDS[one]}
              </option>
            ))}
          </NativeSelect>
        )}
        <MeasureInput label="Temperature of the cable’s end" {...fieldOf(degrees)} />
        <NativeSelect
          className="field"
          label="Tester"
          value={instrument?.id ?? ''}
          onChange={(event) => setTester(event.target.value)}
        >
          {testers.map(({ id, tag }) => (
            <option key={id} value={id}>
              {tag}
            </option>
          ))}
        </NativeSelect>
        <Checkbox
          size="md"
          className="field flag"
          label="The far end is sealed"
          checked={sealed}
          onChange={(event) => setSealed(event.currentTarget.checked)}
        />
      </div>
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      <Button type="submit">Start</Button>
    </form>
  );
}
