import { FieldGrid } from '../../ui/FieldGrid';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { Checkbox, Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { currentInstruments } from '../../core/record/instruments';
import { INSULATION_STAGES, type InsulationStage } from '../../core/mineral/insulation';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id } from '../../core/record/types';
import { device } from '../hand/hand';
import { give } from '../hand/give';
import { STAGE_WORDS } from './insulation-words';

interface StartTestProps {
  slice: Slice;
  cable: Cable;
  drying: boolean;
  /** The end that is being made off; null for a test of the finished cable. */
  entry?: Id | null;
  /** Stage that is offered first. */
  stage?: InsulationStage;
  onDone: () => void;
}

/** Begins a test: stage, temperature, far end, tester. */
export function StartTest(props: StartTestProps) {
  const { drying } = props;
  const test = useStart(props);
  return (
    <form
      className="start-test"
      onSubmit={(event) => {
        event.preventDefault();
        test.start();
      }}
    >
      <h2>{drying ? 'Next reading while drying' : 'Start a test'}</h2>
      <FieldGrid className="mineral-fields" min={220} gap="10px 16px">
        {!drying && (
          <NativeSelect
            label="Stage"
            value={test.stage}
            data={INSULATION_STAGES.map((one) => ({ value: one, label: STAGE_WORDS[one] }))}
            onChange={(event) => test.setStage(event.currentTarget.value as InsulationStage)}
          />
        )}
        <MeasureInput label="Temperature of the cable’s end" {...fieldOf(test.degrees)} />
        <NativeSelect
          label="Tester"
          value={test.tester?.id ?? ''}
          data={test.testers.map(({ id, tag }) => ({ value: id, label: tag }))}
          onChange={(event) => test.setTester(event.currentTarget.value)}
        />
        <Checkbox
          size="md"
          mih={48}
          label="The far end is sealed"
          checked={test.sealed}
          onChange={(event) => test.setSealed(event.currentTarget.checked)}
        />
      </FieldGrid>
      {test.problem && (
        <p role="alert" className="tone-failed">
          {test.problem}
        </p>
      )}
      <Button type="submit">Start</Button>
    </form>
  );
}

function useStart({
  slice,
  cable,
  drying,
  entry = null,
  stage: first = 'in-service',
  onDone,
}: StartTestProps) {
  const testers = currentInstruments(slice, cable.site).filter(({ kind }) => kind === 'insulation-tester');
  const [stage, setStage] = useState<InsulationStage>(drying ? 'before-seal' : first);
  const degrees = useMeasure('temperature');
  const [problem, setProblem] = useState('');
  const [sealed, setSealed] = useState(false);
  const [chosen, setTester] = useState('');
  const tester = testers.find(({ id }) => id === chosen) ?? testers[0] ?? null;
  const start = () => {
    const temperatureC = degrees.need();
    if (temperatureC === null) return;
    if (!tester) return setProblem('No insulation tester is on file. Add one under Dossier, Instruments.');
    const payload = {
      id: device.id(), cable: cable.id, entry, stage, drying, instrument: tester.id, temperatureC, farEndSealed: sealed,
    }; // prettier-ignore
    if (give('insulation.start', payload, 'The test is started; read its pairs.')) onDone();
  };
  return { testers, tester, setTester, stage, setStage, degrees, sealed, setSealed, problem, start };
}
