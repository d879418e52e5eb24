import { Button, TextInput, Group } from '@mantine/core';
import { useState } from 'react';
import type { Instrument } from '../../core/record/types';
import { INSTRUMENT_WORDS } from '../../core/words/en/labels';
import { instrument as hand } from '../hand/hand';

const UNIT: Record<string, string> = { mm: 'mm', Nm: 'N·m', degC: '°C' };

/** A simulated thermometer, torque driver, feeler or pitch gauge: what it is held against. */
export default function GaugePanel({ instrument, nominal }: { instrument: Instrument; nominal: number }) {
  const [target, setTarget] = useState(nominal);
  return (
    <section className="caliper" aria-label={`Simulated ${INSTRUMENT_WORDS[instrument.kind]}`}>
      <div>
        <TextInput
          mb="xs"
          label={
            <>
              {instrument.tag} is held against, {UNIT[instrument.unit]}
            </>
          }
          type="number"
          step={instrument.resolution}
          value={target}
          onChange={(event) => setTarget(Number(event.target.value))}
        />
        <Group className="answers" gap={6}>
          <Button variant="default" onClick={() => hand.handle({ target })}>
            Hold it there
          </Button>
          <Button variant="default" onClick={() => hand.handle({ target: null })}>
            Take it away
          </Button>
        </Group>
      </div>
    </section>
  );
}
