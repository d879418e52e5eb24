import { Button, TextInput, type TextInputProps, Group } from '@mantine/core';
import { useState } from 'react';
import { instrument, useInstrument } from '../hand/hand';
import { pieceOf } from '../hand/piece';

interface CaliperPanelProps {
  /** What the jaws would close on: mean and half the difference of its axes, mm. */
  nominalMm: number;
}

/** The simulated caliper: turn the jaws round the cable and close them on it. */
export default function CaliperPanel({ nominalMm }: CaliperPanelProps) {
  const [sizeMm, setSize] = useState(nominalMm);
  const [ovalMm, setOval] = useState(0.1);
  const [angleDeg, setAngle] = useState(0);
  const lay = (size: number, oval: number) => {
    setSize(size);
    setOval(oval);
    instrument.handle({ workpiece: pieceOf(size, oval) });
  };
  return (
    <section className="caliper" aria-label="Simulated caliper">
      <Jaws sizeMm={sizeMm} ovalMm={ovalMm} angleDeg={angleDeg} />
      <div>
        <NumberField
          label="On the jaws, mm"
          step="0.01"
          min="0.1"
          max="200"
          value={sizeMm}
          onNumber={(mm) => mm > 0 && lay(mm, ovalMm)}
        />
        <NumberField
          label="Out of round, mm"
          step="0.05"
          min="0"
          max="10"
          value={ovalMm}
          onNumber={(mm) => mm >= 0 && lay(sizeMm, mm)}
        />
        <NumberField
          label={`Turned by ${angleDeg}°`}
          type="range"
          min="0"
          max="180"
          step="10"
          value={angleDeg}
          onNumber={(deg) => {
            setAngle(deg);
            instrument.handle({ angleDeg: deg });
          }}
        />
        <Group className="answers" gap={6}>
          <Button
            variant="default"
            onClick={() => instrument.handle({ jaws: 'close', workpiece: pieceOf(sizeMm, ovalMm), angleDeg })}
          >
            Close the jaws
          </Button>
          <Button variant="default" onClick={() => instrument.handle({ jaws: 'open' })}>
            Open the jaws
          </Button>
        </Group>
      </div>
    </section>
  );
}

const NumberField = ({ onNumber, ...props }: TextInputProps & { onNumber: (value: number) => void }) => (
  <TextInput
    mb="xs"
    type="number"
    {...props}
    onChange={(event) => onNumber(Number(event.currentTarget.value))}
  />
);

interface JawsProps {
  sizeMm: number;
  ovalMm: number;
  angleDeg: number;
}

function Jaws({ sizeMm, ovalMm, angleDeg }: JawsProps) {
  const line = useInstrument();
  const opening = Math.min(54, Math.max(8, (line?.value ?? sizeMm) * 1.2));
  return (
    <svg viewBox="-60 -40 120 80" aria-hidden="true" style={{ transform: `rotate(${angleDeg}deg)` }}>
      <ellipse rx={sizeMm * 0.6 + ovalMm * 2} ry={sizeMm * 0.6} fill="var(--jacket)" />
      <path d={`M${-opening / 2 - 5} -36h5v72h-5z`} fill="var(--steel)" />
      <path d={`M${opening / 2} -36h5v72h-5z`} fill="var(--steel)" />
    </svg>
  );
}
