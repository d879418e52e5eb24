import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { instrument, useInstrument } from '../hand/hand';
import { pieceOf } from '../hand/piece';

interface Props {
  /** What the jaws would close on: mean and half the difference of its axes, mm. */
  nominalMm: number;
}

/** The simulated caliper: turn the jaws round the cable and close them on it. */
export default function CaliperPanel({ nominalMm }: Props) {
  const line = useInstrument();
  const [size, setSize] = useState(nominalMm);
  const [oval, setOval] = useState(0.1);
  const [angle, setAngle] = useState(0);
  const opening = Math.min(54, Math.max(8, (line?.value ?? size) * 1.2));
  return (
    <section className="caliper" aria-label="Simulated caliper">
      <svg viewBox="-60 -40 120 80" aria-hidden="true" style={{ transform: `rotate(${angle}deg)` }}>
        <ellipse rx={size * 0.6 + oval * 2} ry={size * 0.6} fill="var(--jacket)" />
        <path d={`M${-opening / 2 - 5} -36h5v72h-5z`} fill="var(--steel)" />
        <path d={`M${opening / 2} -36h5v72h-5z`} fill="var(--steel)" />
      </svg>
      <div>
        <TextInput
          className="field"
          label="On the jaws, mm"
          type="number"
          step="0.01"
          min="0.1"
          max="200"
          value={size}
          onChange={(event) => {
            const mm = Number(event.target.value);
            if (!(mm > 0)) return;
            setSize(mm);
            instrument.handle({ workpiece: pieceOf(mm, oval) });
          }}
        />
        <TextInput
          className="field"
          label="Out of round, mm"
          type="number"
          step="0.05"
          min="0"
          max="10"
          value={oval}
          onChange={(event) => {
            const mm = Number(event.target.value);
            setOval(mm);
            instrument.handle({ workpiece: pieceOf(size, mm) });
          }}
        />
        <TextInput
          className="field turn"
          label={<>Turned by {angle}°</>}
          type="range"
          min="0"
          max="180"
          step="10"
          value={angle}
          onChange={(event) => {
            setAngle(Number(event.target.value));
            instrument.handle({ angleDeg: Number(event.target.value) });
          }}
        />
        <div className="answers">
          <Button
            variant="default"
            onClick={() =>
              instrument.handle({ jaws: 'close', workpiece: pieceOf(size, oval), angleDeg: angle })
            }
          >
            Close the jaws
          </Button>
          <Button variant="default" onClick={() => instrument.handle({ jaws: 'open' })}>
            Open the jaws
          </Button>
        </div>
      </div>
    </section>
  );
}
