import { NativeSelect, TextInput } from '@mantine/core';
import type { Severity } from '../../core/defects/severity';
import { SEVERITY_WORDS } from '../../core/words/en/labels';

interface Props {
  /** Level that stands. */
  standing: Severity;
  level: Severity;
  onLevel: (level: Severity) => void;
  reason: string;
  onReason: (reason: string) => void;
  /** What is wrong with the reason; null while nothing is. */
  problem: string | null;
}

/** The level of a defect; another one asks for a reason, which is kept. */
export function LevelField({ standing, level, onLevel, reason, onReason, problem }: Props) {
  return (
    <>
      <NativeSelect
        label="Level"
        value={String(level)}
        data={([4, 3, 2, 1] as const).map((n) => ({ value: String(n), label: `${n}: ${SEVERITY_WORDS[n]}` }))}
        onChange={(event) => onLevel(Number(event.currentTarget.value) as Severity)}
      />
      {level !== standing && (
        <TextInput
          label="Why the level is changed"
          value={reason}
          error={problem}
          onChange={(event) => onReason(event.currentTarget.value)}
        />
      )}
    </>
  );
}
