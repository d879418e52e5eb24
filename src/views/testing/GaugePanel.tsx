import { TextInput, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import type { Instrument } from '../../core/record/types';
import { instrument as hand } from '../hand/hand';

const UNIT: Record<string, string> = { mm: 'mm', Nm: 'N·m', degC: '°C' };

/** A simulated thermometer, torque driver, feeler or pitch gauge: what it is held against. */
export function GaugePanel({ instrument, nominal }: { instrument: Instrument; nominal: number }) {
  const [target, setTarget] = useState(nominal);
  return (
    <section className="caliper" aria-label={`Simulated ${instrument.kind.replace('-', ' ')}`}>
      <div>
        <TextInput
          className="field"
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
        <div className="answers">
          <UnstyledButton onClick={() => hand.handle({ target })}>Hold it there</UnstyledButton>
          <UnstyledButton onClick={() => hand.handle({ target: null })}>Take it away</UnstyledButton>
        </div>
      </div>
    </section>
  );
}
