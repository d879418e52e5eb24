import type { CaliperLine } from '../../core/instrument/caliper';
import type { Instrument } from '../../core/record/types';
import { day, figure } from '../../core/words/format';
import { useCaliper } from '../device';

interface Props {
  instruments: readonly Instrument[];
  instrument: Instrument | null;
  onInstrument: (id: string) => void;
  placeTitle: string;
  unit: string;
  typed: string;
  onTyped: (text: string) => void;
  onEnter: () => void;
  onTake: () => void;
  onRaise: () => void;
  onPad: () => void;
  onPanel: () => void;
  sealed: boolean;
  inputRef: React.RefObject<HTMLInputElement | null>;
}

/** Foot of the bench: the next reading, from the instrument with one key or typed. */
export function Tray(props: Props) {
  const { instruments, instrument, placeTitle, unit, typed, sealed, inputRef } = props;
  // Eight times a second; nothing but the tray looks again for it.
  const line = useCaliper();
  return (
    <footer className="tray">
      <button type="button" className="primary" onClick={props.onTake} disabled={sealed}>
        Take reading <kbd>Space</kbd>
      </button>
      <button type="button" className="secondary" onClick={props.onRaise}>
        Raise defect <kbd>D</kbd>
      </button>
      <div className="instrument">
        <div>
          <output className="figures" aria-label="Live value">
            {liveWords(instrument, line)}
          </output>
          <small className="quiet">{instrument ? uncertaintyWords(instrument) : 'none on file'}</small>
        </div>
        <div>
          <select
            aria-label="Instrument"
            value={instrument?.id ?? ''}
            onChange={(event) => props.onInstrument(event.target.value)}
          >
            {instruments.map(({ id, tag }) => (
              <option key={id} value={id}>
                {tag}
              </option>
            ))}
          </select>
          <small className={line?.fault ? 'tone-failed' : 'quiet'}>
            {instrument && calibrationWords(instrument, line)}
          </small>
        </div>
      </div>
      {instrument?.simulated && (
        <button type="button" className="secondary slim" onClick={props.onPanel}>
          Jaws
        </button>
      )}
      <form
        className="typing"
        onSubmit={(event) => {
          event.preventDefault();
          props.onEnter();
        }}
      >
        <label>
          <span>
            {placeTitle}, {unit}
          </span>
          <input
            ref={inputRef}
            className="figures"
            value={typed}
            inputMode="decimal"
            autoComplete="off"
            disabled={sealed}
            onChange={(event) => props.onTyped(event.target.value)}
          />
        </label>
        <button type="submit" className="secondary slim enter-key" disabled={sealed}>
          Enter
        </button>
      </form>
      <button
        type="button"
        className="secondary slim pad-key"
        onClick={props.onPad}
        aria-label="123, number pad"
      >
        123
      </button>
    </footer>
  );
}

/** What a sending instrument shows; one that does not send shows nothing. */
function liveWords(instrument: Instrument | null, line: CaliperLine | null): string {
  if (!instrument?.simulated) return 'typed';
  if (line?.value_mm != null) return `${line.value_mm.toFixed(2)} mm`;
  return line?.fault ? 'refuses' : '– – mm';
}

const UNIT_WORDS: Record<Instrument['unit'], string> = { mm: 'mm', ohm: 'Ω', turns: 'turns', Nm: 'N·m' };

const uncertaintyWords = ({ unit, expandedUncertainty }: Instrument): string =>
  `± ${figure(expandedUncertainty, 3)} ${UNIT_WORDS[unit]}`;

const calibrationWords = ({ calibratedUntil }: Instrument, line: CaliperLine | null): string =>
  line?.fault === 'past-calibration' ? `past ${day(calibratedUntil)}` : `to ${day(calibratedUntil)}`;
