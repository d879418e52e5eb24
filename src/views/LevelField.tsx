import type { Severity } from '../core/defects/severity';
import { SEVERITY_WORDS } from '../core/words/labels';

interface Props {
  /** Level that stands. */
  standing: Severity;
  level: Severity;
  onLevel: (level: Severity) => void;
  reason: string;
  onReason: (reason: string) => void;
}

/** The level of a defect; another one asks for a reason, which is kept. */
export function LevelField({ standing, level, onLevel, reason, onReason }: Props) {
  return (
    <>
      <label className="field">
        <span>Level</span>
        <select value={level} onChange={(event) => onLevel(Number(event.target.value) as Severity)}>
          {([4, 3, 2, 1] as const).map((n) => (
            <option key={n} value={n}>
              {n}: {SEVERITY_WORDS[n]}
            </option>
          ))}
        </select>
      </label>
      {level !== standing && (
        <label className="field">
          <span>Why the level is changed</span>
          <input value={reason} onChange={(event) => onReason(event.target.value)} />
        </label>
      )}
    </>
  );
}
