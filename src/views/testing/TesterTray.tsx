import { Button, Group, Text } from '@mantine/core';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { readQuantity } from '../../core/quantity/quantity';
import { quantityFault } from '../../core/words/en/quantity';
import { useEffect, useState } from 'react';
import { sends } from '../../core/instrument/simulator';
import type { Instrument, InsulationTest } from '../../core/record/types';
import { device, instrument as hand, say, useInstrument } from '../hand/hand';
import { give } from '../hand/give';
import { megohmWords } from './insulation-words';

interface TesterTrayProps {
  test: InsulationTest;
  pair: string;
  onRead: () => void;
}

/** The tester on one pair: its live value, or a typed one. */
export function TesterTray({ test, pair, onRead }: TesterTrayProps) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<{ text: string; said: string } | null>(null);
  const tester = device.state().slice.get('instrument', test.instrument);
  const keep = (megohm: number, saturated: boolean) => {
    if (!give('insulation.read', { id: test.id, pair, megohm, saturated })) return;
    hand.handle({ target: null });
    setTyped('');
    onRead();
  };
  const enter = () => {
    const read = readTester(typed);
    if ('said' in read) return setProblem({ text: typed, said: read.said });
    setProblem(null);
    keep(read.megohm, read.over);
  };
  return (
    <Group
      component="form"
      className="tester"
      gap="0 12px"
      align="flex-end"
      mt="sm"
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      <MeasureInput
        quantity="insulation"
        label={pair}
        value={typed}
        error={problem?.text === typed ? problem.said : null}
        onText={setTyped}
      />
      <Button type="submit" variant="default">
        Enter
      </Button>
      {tester && sends(tester) && <LiveTester tester={tester} onTake={keep} />}
    </Group>
  );
}

/** What a typed text says; ">1000" is what a tester shows that can measure no more. */
function readTester(text: string): { megohm: number; over: boolean } | { said: string } {
  const read = readQuantity(text.replace('>', ''), 'insulation');
  if ('value' in read && read.value !== 0) return { megohm: read.value, over: /^\s*>/.test(text) };
  return {
    said:
      'fault' in read && read.fault !== 'empty'
        ? quantityFault(read.fault, 'insulation')
        : 'Type megohms, for example 650, 1.2 GΩ, 80 kΩ, or >1000 when the tester shows no more.',
  };
}

interface LiveTesterProps {
  tester: Instrument;
  onTake: (megohm: number, over: boolean) => void;
}

/** The tester that sends by itself. */
function LiveTester({ tester, onTake }: LiveTesterProps) {
  const line = useInstrument();
  const truth = useMeasure('insulation', 650);
  useEffect(() => {
    hand.hold(tester);
    return () => hand.hold(null);
  }, [tester.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const take = () => {
    if (line?.fault)
      return say(`${tester.tag} is past its calibration date or outside its span and does not send.`);
    if (!line?.stable || line.value === null || line.value <= 0)
      return say('The reading is still rising with the charge; take it when it rests.');
    onTake(line.value, line.over);
  };
  return (
    <>
      <Text component="output" className="figures" fz={18} miw={150} mb="lg" aria-label="Live value">
        {line?.instrument === tester.id && line.value !== null
          ? megohmWords(Math.max(line.value, 0.0001), line.over)
          : '– –'}
        {line?.stable && ' at rest'}
      </Text>
      <MeasureInput label="The simulated leads are on" {...fieldOf(truth)} />
      <Button variant="default" onClick={() => truth.need() !== null && hand.handle({ target: truth.value })}>
        Test voltage on
      </Button>
      <Button onClick={take}>Take it</Button>
    </>
  );
}
