import { WHOLE_ROW } from '../../ui/FieldGrid';
import { Button, Fieldset, TextInput, Group } from '@mantine/core';
import { useState } from 'react';
import { readQuantity } from '../../core/quantity/quantity';

/** Cores of one thickness. */
export interface CoreGroup {
  count: number;
  diameterMm: number;
}

interface CoreText {
  count: string;
  diameter: string;
}

/** The cores of a cable as they are typed. */
export interface Cores {
  lines: readonly CoreText[];
  setLines: (lines: CoreText[]) => void;
  /** Those that could be read. */
  groups: readonly CoreGroup[];
}

/** Keeps lines of cores as they are typed. */
export function useCores(start: readonly CoreGroup[]): Cores {
  const [lines, setLines] = useState<CoreText[]>(() =>
    start.map((core) => ({ count: String(core.count), diameter: String(core.diameterMm) })),
  );
  return { lines, setLines, groups: lines.flatMap((line) => groupIn(line) ?? []) };
}

function groupIn({ count, diameter }: CoreText): CoreGroup | null {
  const [number, mm] = [readQuantity(count, 'number'), readQuantity(diameter, 'length')];
  if (!('value' in number) || !('value' in mm)) return null;
  const whole = Number.isInteger(number.value) && number.value > 0 && mm.value > 0;
  return whole ? { count: number.value, diameterMm: mm.value } : null;
}

/** How many cores of which diameter, line by line. */
export function CoreLines({ cores: { lines, setLines, groups } }: { cores: Cores }) {
  const change = (i: number, set: Partial<CoreText>) =>
    setLines(lines.map((line, j) => (j === i ? { ...line, ...set } : line)));
  return (
    <Fieldset variant="unstyled" style={WHOLE_ROW} legend="Cores: number and diameter, mm">
      {lines.map((line, i) => (
        <Group key={i} gap={6} mb="xs" wrap="nowrap">
          <TextInput
            w={84}
            aria-label={`Number of cores, line ${i + 1}`}
            classNames={{ input: 'figures' }}
            inputMode="numeric"
            value={line.count}
            onChange={(event) => change(i, { count: event.target.value })}
          />
          ×
          <TextInput
            w={84}
            aria-label={`Diameter of the cores, line ${i + 1}, mm`}
            classNames={{ input: 'figures' }}
            inputMode="decimal"
            value={line.diameter}
            onChange={(event) => change(i, { diameter: event.target.value })}
          />
          <Button
            variant="default"
            aria-label={`Take out line ${i + 1}`}
            onClick={() => setLines(lines.filter((_, j) => j !== i))}
          >
            ×
          </Button>
        </Group>
      ))}
      <Button variant="default" onClick={() => setLines([...lines, { count: '1', diameter: '2.5' }])}>
        Add cores
      </Button>
      {groups.length < lines.length && (
        <small className="tone-failed">
          A line has no whole number above 0, or no diameter. Correct it or take it out.
        </small>
      )}
    </Fieldset>
  );
}
