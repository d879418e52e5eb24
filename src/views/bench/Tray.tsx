import type { InstrumentLine } from '../../core/instrument/line';
import { sends } from '../../core/instrument/simulator';
import type { Instrument } from '../../core/record/types';
import { day, figure } from '../../core/words/format';
import { useInstrument } from '../device';

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
  const line = useInstrument();
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
      {instrument && sends(instrument) && (
        <button type="button" className="secondary slim" onClick={props.onPanel}>
          {instrument.kind === 'caliper' ? 'Jaws' : 'Hold'}
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
function liveWords(instrument: Instrument | null, line: InstrumentLine | null): string {
  if (!instrument || !sends(instrument)) return 'typed';
  const unit = UNIT_WORDS[instrument.unit];
  if (line?.value != null) return `${line.value.toFixed(instrument.unit === 'mm' ? 2 : 1)} ${unit}`;
  return line?.fault ? 'refuses' : `– – ${unit}`;
}

const UNIT_WORDS: Record<Instrument['unit'], string> = {
  mm: 'mm',
  ohm: 'Ω',
  turns: 'turns',
  Nm: 'N·m',
  degC: '°C',
  megohm: 'MΩ',
};

const uncertaintyWords = ({ unit, expandedUncertainty }: Instrument): string =>
  `± ${figure(expandedUncertainty, 3)} ${UNIT_WORDS[unit]}`;

const calibrationWords = ({ calibratedUntil }: Instrument, line: InstrumentLine | null): string =>
  line?.fault === 'past-calibration' ? `past ${day(calibratedUntil)}` : `to ${day(calibratedUntil)}`;
