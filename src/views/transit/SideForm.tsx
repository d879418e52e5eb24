import { FieldGrid } from '../../ui/FieldGrid';
import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { BlockSide, Id, Instrument, TransitSheet } from '../../core/record/types';
import type { SideState } from '../../core/rulebook/transit-found';
import { figure } from '../../core/words/en/format';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { MeasuresInput, useMeasures } from '../../ui/MeasuresInput';
import { TwoAnswers } from './TwoAnswers';
import { FAULT_WORDS, neighbourWords } from './words';

interface SideFormProps {
  side: SideState;
  record: BlockSide;
  sheet: TransitSheet;
  widthMm: number;
  calipers: readonly Instrument[];
  /** By whom and when the packing was written down. */
  taken: { by: string; at: string };
  onChange: (change: Partial<BlockSide>) => void;
}

/** One side of a block: layers counted, cable measured, daylight looked for. */
export function SideForm(props: SideFormProps) {
  const { side, record, calipers, onChange } = props;
  const { first, second, measured, caliper, setCaliper, problem, keep } = useSide(props);
  return (
    <form
      className="side-form"
      aria-label={side.side === 'jacket' ? 'Jacket side' : 'Armour side'}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h3>{side.side === 'jacket' ? 'Jacket side' : 'Armour side'}</h3>
      <Wanted {...props} />
      <FieldGrid min={140} gap="0 12px">
        <MeasureInput label="Layers out, first half" {...fieldOf(first)} />
        <MeasureInput label="Second half" {...fieldOf(second)} />
        <MeasuresInput label="Cable measured, mm, three readings" measures={measured} />
        {calipers.length > 1 && (
          <NativeSelect
            label="With"
            value={caliper ?? ''}
            onChange={(event) => setCaliper(event.target.value)}
            data={calipers.map(({ id, tag }) => ({ value: id, label: tag }))}
          />
        )}
      </FieldGrid>
      <TwoAnswers
        legend="Daylight between the halves or at the cable"
        value={record.daylight}
        answers={[
          [false, 'None'],
          [true, 'Seen'],
        ]}
        onAnswer={(daylight) => onChange({ daylight })}
      />
      <Button type="submit">Keep it</Button>
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      <Found side={side} />
    </form>
  );
}

function useSide({ record, calipers, taken, onChange }: SideFormProps) {
  const first = useMeasure('number', record.layers?.[0] ?? null, layersFault);
  const second = useMeasure('number', record.layers?.[1] ?? null, layersFault);
  const measured = useMeasures(record.readingsMm);
  const [problem, setProblem] = useState('');
  const [caliper, setCaliper] = useState<Id | null>(record.instrument ?? calipers[0]?.id ?? null);
  const keep = () => {
    const layers = [first.need(), second.need()];
    const readings = measured.read();
    if (layers[0] === null || layers[1] === null || !readings) return;
    const instrument = readings.length > 0 ? caliper : null;
    if (readings.length > 0 && instrument === null)
      return setProblem('No caliper is on file. Add one under Dossier, Instruments.');
    setProblem('');
    const same = readings.join() === record.readingsMm.join() && instrument === record.instrument;
    onChange({
      layers: layers as [number, number],
      readingsMm: readings,
      instrument,
      others: [...record.others, ...withAnother(record, instrument, taken)],
      ...(same ? {} : { readBy: null, readAt: null }),
    });
  };
  return { first, second, measured, caliper, setCaliper, problem, keep };
}

/** Readings with another instrument stay beside the new ones. */
function withAnother(
  { instrument, readingsMm, readBy, readAt }: BlockSide,
  next: Id | null,
  taken: SideFormProps['taken'],
): BlockSide['others'] {
  if (!instrument || instrument === next || readingsMm.length === 0) return [];
  return [{ readingsMm, instrument, by: readBy ?? taken.by, at: readAt ?? taken.at }];
}

/** The cable as it is known, and the layers that are right for it. */
function Wanted({ side: { cable, right, measured }, sheet, widthMm }: SideFormProps) {
  const { gapMm } = sheet;
  return (
    <p className="quiet">
      {cable
        ? `Cable ${figure(cable.meanMm)} ± ${figure(cable.expandedUncertaintyMm)} mm ${measured ? 'measured' : 'by its record'}.`
        : 'Its diameter is not known: measure it.'}{' '}
      {right
        ? `${right.layers.join(' + ')} layers leave a gap of ${figure(right.gapMm)} mm; ${figure(gapMm[0])} to ${figure(gapMm[1])} mm is asked for.`
        : cable && `No number of layers fits this block; ${neighbourWords(sheet, widthMm, cable)}`}
    </p>
  );
}

const Found = ({ side: { found, faults } }: { side: SideState }) =>
  found && (
    <p className={faults.length > 0 ? 'tone-failed' : 'tone-sound'} role="status">
      Gap {figure(found.gapMm)} mm ({figure(found.gapMinMm)} to {figure(found.gapMaxMm)} with uncertainty)
      {faults.length > 0
        ? `: ${faults.map((fault) => FAULT_WORDS[fault]).join(', ')}.`
        : ': within its window.'}
    </p>
  );

/** Layers are counted: whole, and no more than two figures. */
const layersFault = (value: number): string | null =>
  Number.isInteger(value) && value >= 0 && value < 100 ? null : 'Count the layers taken out, for example 5.';
