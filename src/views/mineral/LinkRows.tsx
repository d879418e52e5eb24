import { Button, TextInput, Group } from '@mantine/core';
import { Toggle } from '../../ui/Toggle';
import type { BendText, StraightText } from './link-draft';

interface CellProps {
  label: string;
  value: string;
  onText: (text: string) => void;
}

const Cell = ({ label, value, onText }: CellProps) => (
  <TextInput
    w={76}
    classNames={{ input: 'figures' }}
    inputMode="decimal"
    aria-label={label}
    value={value}
    onChange={(event) => onText(event.currentTarget.value)}
  />
);

const changed = <T,>(list: readonly T[], i: number, set: Partial<T>): T[] =>
  list.map((one, j) => (j === i ? { ...one, ...set } : one));
const without = <T,>(list: readonly T[], i: number): T[] => list.filter((_, j) => j !== i);

interface StraightRowsProps {
  straights: readonly StraightText[];
  onStraights: (straights: StraightText[]) => void;
}

/** The straights of a link, one line each. */
export const StraightRows = ({ straights, onStraights }: StraightRowsProps) => (
  <>
    <h2>Straights, mm, and what each may be off by</h2>
    {straights.map(({ mm, off }, i) => (
      <Group key={i} className="link-row" gap={6} mb={6}>
        <Cell
          label={`Straight ${i + 1}, mm`}
          value={mm}
          onText={(text) => onStraights(changed(straights, i, { mm: text }))}
        />
        <span>±</span>
        <Cell
          label={`Straight ${i + 1} may be off by, mm`}
          value={off}
          onText={(text) => onStraights(changed(straights, i, { off: text }))}
        />
        {straights.length > 1 && (
          <Button
            variant="default"
            aria-label={`Take straight ${i + 1} out`}
            onClick={() => onStraights(without(straights, i))}
          >
            ×
          </Button>
        )}
      </Group>
    ))}
    <Button variant="default" onClick={() => onStraights([...straights, { mm: '', off: '1' }])}>
      Add a straight
    </Button>
  </>
);

interface BendRowsProps {
  bends: readonly BendText[];
  onBends: (bends: BendText[]) => void;
}

/** The bends of a link, one line each. */
export const BendRows = ({ bends, onBends }: BendRowsProps) => (
  <>
    <h2>Bends: angle, radius, and what each may be off by</h2>
    {bends.map((bend, i) => (
      <BendRow
        key={i}
        bend={bend}
        number={i + 1}
        onChange={(set) => onBends(changed(bends, i, set))}
        onTakeOut={() => onBends(without(bends, i))}
      />
    ))}
    <Button
      variant="default"
      onClick={() => onBends([...bends, { angle: '', radius: '', offDeg: '1', offMm: '2', right: false }])}
    >
      Add a bend
    </Button>
  </>
);

interface BendRowProps {
  bend: BendText;
  number: number;
  onChange: (set: Partial<BendText>) => void;
  onTakeOut: () => void;
}

const BendRow = ({ bend, number, onChange, onTakeOut }: BendRowProps) => (
  <Group className="link-row" gap={6} mb={6}>
    <Cell label={`Bend ${number}, degrees`} value={bend.angle} onText={(angle) => onChange({ angle })} />
    <span>° ±</span>
    <Cell
      label={`Bend ${number} may be off by, degrees`}
      value={bend.offDeg}
      onText={(offDeg) => onChange({ offDeg })}
    />
    <Cell
      label={`Radius of bend ${number}, mm`}
      value={bend.radius}
      onText={(radius) => onChange({ radius })}
    />
    <span>mm ±</span>
    <Cell
      label={`Radius of bend ${number} may be off by, mm`}
      value={bend.offMm}
      onText={(offMm) => onChange({ offMm })}
    />
    <Toggle on={bend.right} onClick={() => onChange({ right: !bend.right })}>
      {bend.right ? 'right' : 'left'}
    </Toggle>
    <Button variant="default" aria-label={`Take bend ${number} out`} onClick={onTakeOut}>
      ×
    </Button>
  </Group>
);
