import { Box, Button, Group, Kbd, NativeSelect, Text } from '@mantine/core';
import { useEffect, useImperativeHandle, useRef, useState, type Ref } from 'react';
import type { InstrumentLine } from '../../core/instrument/line';
import { sends } from '../../core/instrument/simulator';
import { shownQuantity, type QuantityId } from '../../core/quantity/quantity';
import type { Instrument } from '../../core/record/types';
import { day, figure } from '../../core/words/en/format';
import { NumberPad } from '../../ui/heart/NumberPad';
import { useKeys } from '../../ui/keys';
import { MeasureInput } from '../../ui/MeasureInput';
import { useInstrument } from '../hand/hand';
import { QUANTITY_OF, unitShown } from '../hand/take';
import { useWaiting, type Taking } from './use-taking';

/** What the keys of the bench do with the field for a reading. */
export interface TrayHandle {
  focus: () => void;
}

interface Props {
  taking: Taking;
  /** What is being measured, and how. */
  title: string;
  quantity: QuantityId;
  /** What stands in the field at first. */
  typed: string;
  pad: boolean;
  sealed: boolean;
  onRaise: () => void;
  onPad: () => void;
  onPanel: () => void;
  handle: Ref<TrayHandle>;
}

/** Foot of the bench: the next reading, from the instrument with one key or typed. What is typed is the tray's own. */
export function Tray({
  taking,
  title,
  quantity,
  typed,
  pad,
  sealed,
  onRaise,
  onPad,
  onPanel,
  handle,
}: Props) {
  const field = useTyped(taking, typed, handle);
  const { sending } = taking;
  return (
    <>
      {pad && <NumberPad value={field.text} onChange={field.set} onEnter={field.enter} />}
      <Group component="footer" className="tray" gap="xs" wrap="nowrap" style={{ gridArea: 'tray' }}>
        <TakeButton taking={taking} sealed={sealed} />
        <Button variant="default" onClick={onRaise}>
          Raise defect <Kbd ml={6}>D</Kbd>
        </Button>
        <InHand taking={taking} />
        {sending && (
          <Button variant="default" onClick={onPanel}>
            {sending.kind === 'caliper' ? 'Jaws' : 'Hold'}
          </Button>
        )}
        <Typing field={field} title={title} quantity={quantity} sealed={sealed} />
        <Button
          variant="default"
          className="pad-key"
          onClick={onPad}
          aria-label="123, number pad"
          aria-pressed={pad}
        >
          123
        </Button>
      </Group>
    </>
  );
}

/** The field for a reading that is typed; Enter takes it. */
function Typing({
  field,
  title,
  quantity,
  sealed,
}: Pick<Props, 'title' | 'quantity' | 'sealed'> & { field: ReturnType<typeof useTyped> }) {
  return (
    <Group
      component="form"
      className="typing"
      gap={6}
      align="end"
      wrap="nowrap"
      pos="relative"
      onSubmit={(event) => {
        event.preventDefault();
        field.enter();
      }}
    >
      <MeasureInput
        quantity={quantity}
        label={title}
        value={field.text}
        error={field.problem}
        disabled={sealed}
        inputRef={field.input}
        onText={field.set}
        onKeyDown={(event) => {
          // Out of the field: keys are keys again.
          if (event.key === 'Escape') event.currentTarget.blur();
        }}
      />
      <Button type="submit" variant="default" className="enter-key" disabled={sealed}>
        Enter
      </Button>
    </Group>
  );
}

/** The text that is typed, and what was wrong with it when it was last entered; that goes with the text. */
function useTyped(taking: Taking, start: string, handle: Ref<TrayHandle>) {
  const [text, set] = useState(start);
  const [problem, setProblem] = useState<{ text: string; said: string } | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useImperativeHandle(handle, () => ({ focus: () => input.current?.focus() }), []);
  const [keyed, setKeyed] = useState(0);
  useEffect(() => {
    if (keyed > 0) input.current?.focus();
  }, [keyed]);
  const type = (key: string) => {
    set((before) => before + key);
    setKeyed((n) => n + 1);
  };
  // Figures go into the field from wherever the focus is.
  useKeys([...'0123456789.,'].map((key) => ({ key, title: '', run: () => type(key) })));
  const enter = () => {
    const said = taking.enter(text);
    if (said === null) set('');
    setProblem(said ? { text, said } : null);
  };
  return { text, set, enter, input, problem: problem?.text === text ? problem.said : null };
}

/** Takes what the instrument shows: at once, or as soon as it rests. */
function TakeButton({ taking, sealed }: { taking: Taking; sealed: boolean }) {
  const line = useInstrument();
  const waiting = useWaiting(taking.place);
  const rests = waiting && line?.stable === true && line.value !== null;
  useEffect(() => {
    if (rests) taking.take();
    // Once for each time that it comes to rest.
  }, [rests]); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <Button onClick={taking.take} disabled={sealed}>
      {waiting ? 'Taken when it rests' : 'Take reading'} <Kbd ml={6}>Space</Kbd>
    </Button>
  );
}

/** The instrument in the hand: what it shows eight times a second, how far it can be trusted, and another instead. */
function InHand({ taking: { instrument, instruments, choose } }: { taking: Taking }) {
  const line = useInstrument();
  return (
    <Group
      className="instrument"
      flex="1 1 190px"
      gap={6}
      align="flex-end"
      justify="space-between"
      wrap="nowrap"
    >
      <div>
        <Text
          component="output"
          className="figures"
          display="block"
          fz={18}
          fw={700}
          mih={40}
          aria-label="Live value"
        >
          {liveWords(instrument, line)}
        </Text>
        <Text fz={12} c="dimmed" className="fine">
          {instrument ? uncertaintyWords(instrument) : 'none on file'}
        </Text>
      </div>
      <Box flex="0 1 140px">
        <NativeSelect
          aria-label="Instrument"
          value={instrument?.id ?? ''}
          data={instruments.map(({ id, tag }) => ({ value: id, label: tag }))}
          onChange={(event) => choose(event.target.value)}
        />
        <Text fz={12} className={`fine ${line?.fault ? 'tone-failed' : 'quiet'}`}>
          {instrument && calibrationWords(instrument, line)}
        </Text>
      </Box>
    </Group>
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
