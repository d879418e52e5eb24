import type { CaliperLine } from '../../core/instrument/caliper';
import type { Instrument } from '../../core/record/types';
import { day, figure } from '../../core/words/format';

interface Props {
  instruments: readonly Instrument[];
  instrument: Instrument | null;
  onInstrument: (id: string) => void;
  line: CaliperLine | null;
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
  const { instruments, instrument, line, placeTitle, unit, typed, sealed, inputRef } = props;
  return (
    <footer className="tray">
      <button type="button" className="primary" onClick={props.onTake} disabled={sealed}>
        Take reading <kbd>Space</kbd>
      </button>
      <button type="button" className="secondary" onClick={props.onRaise}>
        Raise defect <kbd>D</kbd>
      </button>
      <div className="live">
        <output className="figures" aria-label="Live value">
          {instrument?.simulated ? (line?.value_mm != null ? line.value_mm.toFixed(2) : line?.fault ? 'refuses' : '– –') : 'typed'}
        </output>
        <span>{instrument?.simulated ? 'mm' : ''}</span>
      </div>
      <div className="instrument">
        <select aria-label="Instrument" value={instrument?.id ?? ''} onChange={(event) => props.onInstrument(event.target.value)}>
          {instruments.map(({ id, tag }) => (
            <option key={id} value={id}>
              {tag}
            </option>
          ))}
        </select>
        <small className="quiet">{instrument ? instrumentWords(instrument, line) : 'No instrument on file measures this.'}</small>
      </div>
      {instrument?.simulated && (
        <button type="button" className="secondary slim" onClick={props.onPanel}>
          Jaws <kbd>J</kbd>
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
          <input ref={inputRef} className="figures" value={typed} inputMode="decimal" autoComplete="off" disabled={sealed} onChange={(event) => props.onTyped(event.target.value)} />
        </label>
        <button type="submit" className="secondary slim" disabled={sealed}>
          Enter
        </button>
      </form>
      <button type="button" className="secondary slim pad-key" onClick={props.onPad}>
        Pad <kbd>N</kbd>
      </button>
    </footer>
  );
}

function instrumentWords(instrument: Instrument, line: CaliperLine | null): string {
  const unit = instrument.unit === 'ohm' ? 'Ω' : 'mm';
  const limits = `± ${figure(instrument.expandedUncertainty, 3)} ${unit}`;
  if (line?.fault === 'past-calibration') return `past its calibration date ${day(instrument.calibratedUntil)}, does not send`;
  return `${limits}, calibrated to ${day(instrument.calibratedUntil)}`;
}
