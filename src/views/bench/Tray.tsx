import { NativeSelect, UnstyledButton } from '@mantine/core';
import type { InstrumentLine } from '../../core/instrument/line';
import { sends } from '../../core/instrument/simulator';
import { shownQuantity, type QuantityId } from '../../core/quantity/quantity';
import type { Instrument } from '../../core/record/types';
import { day, figure } from '../../core/words/en/format';
import { MeasureInput } from '../../ui/MeasureInput';
import { useInstrument } from '../hand/hand';
import { QUANTITY_OF, unitShown } from '../hand/take';

interface Props {
  instruments: readonly Instrument[];
  instrument: Instrument | null;
  onInstrument: (id: string) => void;
  placeTitle: string;
  quantity: QuantityId;
  /** What was wrong with what was typed; null while nothing is. */
  problem: string | null;
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
  const { instruments, instrument, placeTitle, quantity, problem, typed, sealed, inputRef } = props;
  // Eight times a second; nothing but the tray looks again for it.
  const line = useInstrument();
  return (
    <footer className="tray">
      <UnstyledButton className="primary" onClick={props.onTake} disabled={sealed}>
        Take reading <kbd>Space</kbd>
      </UnstyledButton>
      <UnstyledButton className="secondary" onClick={props.onRaise}>
        Raise defect <kbd>D</kbd>
      </UnstyledButton>
      <div className="instrument">
        <div>
          <output className="figures" aria-label="Live value">
            {liveWords(instrument, line)}
          </output>
          <small className="quiet">{instrument ? uncertaintyWords(instrument) : 'none on file'}</small>
        </div>
        <div>
          <NativeSelect
            aria-label="Instrument"
            value={instrument?.id ?? ''}
            onChange={(event) => props.onInstrument(event.target.value)}
          >
            {instruments.map(({ id, tag }) => (
              <option key={id} value={id}>
                {tag}
              </option>
            ))}
          </NativeSelect>
          <small className={line?.fault ? 'tone-failed' : 'quiet'}>
            {instrument && calibrationWords(instrument, line)}
          </small>
        </div>
      </div>
      {instrument && sends(instrument) && (
        <UnstyledButton className="secondary slim" onClick={props.onPanel}>
          {instrument.kind === 'caliper' ? 'Jaws' : 'Hold'}
        </UnstyledButton>
      )}
      <form
        className="typing"
        onSubmit={(event) => {
          event.preventDefault();
          props.onEnter();
        }}
      >
        <MeasureInput
          quantity={quantity}
          label={placeTitle}
          value={typed}
          error={problem}
          disabled={sealed}
          inputRef={inputRef}
          onText={props.onTyped}
          onKeyDown={(event) => {
            // Out of the field: keys are keys again.
            if (event.key === 'Escape') event.currentTarget.blur();
          }}
        />
        <UnstyledButton type="submit" className="secondary slim enter-key" disabled={sealed}>
          Enter
        </UnstyledButton>
      </form>
      <UnstyledButton className="secondary slim pad-key" onClick={props.onPad} aria-label="123, number pad">
        123
      </UnstyledButton>
    </footer>
  );
}

/** What a sending instrument shows; one that does not send shows nothing. */
function liveWords(instrument: Instrument | null, line: InstrumentLine | null): string {
  if (!instrument || !sends(instrument)) return 'typed';
  const unit = unitShown(instrument.unit);
  if (line?.value != null)
    return `${inUnit(line.value, instrument).toFixed(instrument.unit === 'mm' ? 2 : 1)} ${unit}`;
  return line?.fault ? 'refuses' : `– – ${unit}`;
}

/** A value of an instrument in the unit that is shown. */
const inUnit = (value: number, { unit }: Instrument): number =>
  Number(shownQuantity(value, QUANTITY_OF[unit]));

const uncertaintyWords = (instrument: Instrument): string =>
  `± ${figure(inUnit(instrument.expandedUncertainty, instrument), 3)} ${unitShown(instrument.unit)}`;

const calibrationWords = ({ calibratedUntil }: Instrument, line: InstrumentLine | null): string =>
  line?.fault === 'past-calibration' ? `past ${day(calibratedUntil)}` : `to ${day(calibratedUntil)}`;
