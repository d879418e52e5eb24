import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { MeasuresInput, useMeasures } from '../../ui/MeasuresInput';
import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { BlockSide, Id, Instrument, PackedBlock, TransitSheet } from '../../core/record/types';
import type { BlockState, SideState } from '../../core/rulebook/transit-found';
import { figure, ohm } from '../../core/words/en/format';
import { instrument as hand, useInstrument } from '../hand/hand';
import { sends } from '../../core/instrument/simulator';
import { FAULT_WORDS, neighbourWords } from './words';

interface Props {
  state: BlockState;
  sheet: TransitSheet;
  calipers: readonly Instrument[];
  meters: readonly Instrument[];
  taken: { by: string; at: string };
  expectedOhm: number | null;
  limitOhm: number;
  onChange: (change: (block: PackedBlock) => PackedBlock) => void;
}

/** One block: layers counted per half, the cable measured, daylight, core, and the path of its armour to earth. */
export function BlockPanel(props: Props) {
  const { state, sheet, calipers, meters, taken, expectedOhm, limitOhm, onChange } = props;
  const { block, cable, widthMm, sides } = state;
  if (block.cable === null) {
    return (
      <section className="block-panel" aria-label="Block">
        <h2>Spare block, {figure(widthMm, 0)} mm</h2>
        <fieldset>
          <legend>Its core</legend>
          {(
            [
              [true, 'It is in'],
              [false, 'It is missing'],
            ] as const
          ).map(([core, words]) => (
            <Button
              key={words}
              variant={block.core === core ? 'filled' : 'default'}
              aria-pressed={block.core === core}
              onClick={() => onChange((one) => ({ ...one, core }))}
            >
              {words}
            </Button>
          ))}
        </fieldset>
      </section>
    );
  }
  return (
    <section className="block-panel" aria-label="Block">
      <h2>
        {cable?.tag ?? block.cable} in a block of {figure(widthMm, 0)} mm
      </h2>
      {sides.map((side) => (
        <SideForm
          key={side.side}
          side={side}
          record={side.side === 'jacket' ? block.jacket : block.armour!}
          sheet={sheet}
          widthMm={widthMm}
          calipers={calipers}
          taken={taken}
          onChange={(change) =>
            onChange((one) => ({ ...one, [side.side]: { ...one[side.side]!, ...change } }))
          }
        />
      ))}
      {block.armour && (
        <Bond
          key={block.cable}
          value={block.bondOhm}
          meters={meters}
          expectedOhm={expectedOhm}
          limitOhm={limitOhm}
          onChange={(bondOhm, bondInstrument) =>
            onChange((one) => ({ ...one, bondOhm, bondInstrument, bondAt: null }))
          }
        />
      )}
    </section>
  );
}

function SideForm({
  side,
  record,
  sheet,
  widthMm,
  calipers,
  taken,
  onChange,
}: {
  side: SideState;
  record: BlockSide;
  sheet: TransitSheet;
  widthMm: number;
  calipers: readonly Instrument[];
  /** By whom and when the packing was written down. */
  taken: { by: string; at: string };
  onChange: (change: Partial<BlockSide>) => void;
}) {
  const first = useMeasure('number', record.layers?.[0] ?? null, layersFault);
  const second = useMeasure('number', record.layers?.[1] ?? null, layersFault);
  const measured = useMeasures(record.readingsMm);
  const [problem, setProblem] = useState('');
  const [caliper, setCaliper] = useState<Id | null>(record.instrument ?? calipers[0]?.id ?? null);
  const name = side.side === 'jacket' ? 'Jacket side' : 'Armour side';
  const keep = () => {
    const layers = [first.need(), second.need()];
    const readings = measured.read();
    if (layers[0] === null || layers[1] === null || !readings) return;
    const instrument = readings.length > 0 ? caliper : null;
    if (readings.length > 0 && instrument === null)
      return setProblem('No caliper is on file. Add one under Dossier, Instruments.');
    setProblem('');
    const same = readings.join() === record.readingsMm.join() && instrument === record.instrument;
    // Readings with another instrument stay beside the new ones.
    const kept =
      record.instrument && record.instrument !== instrument && record.readingsMm.length > 0
        ? [{ readingsMm: record.readingsMm, instrument: record.instrument, by: record.readBy ?? taken.by, at: record.readAt ?? taken.at }]
        : []; // prettier-ignore
    onChange({
      layers: layers as [number, number],
      readingsMm: readings,
      instrument,
      others: [...record.others, ...kept],
      ...(same ? {} : { readBy: null, readAt: null }),
    });
  };
  const { found, right, cable, faults } = side;
  const { gapMm } = sheet;
  return (
    <form
      className="side-form"
      aria-label={name}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h3>{name}</h3>
      <p className="quiet">
        {cable
          ? `Cable ${figure(cable.meanMm)} ± ${figure(cable.expandedUncertaintyMm)} mm ${side.measured ? 'measured' : 'by its record'}.`
          : 'Its diameter is not known: measure it.'}{' '}
        {right
          ? `${right.layers.join(' + ')} layers leave a gap of ${figure(right.gapMm)} mm; ${figure(gapMm[0])} to ${figure(gapMm[1])} mm is asked for.`
          : cable && `No number of layers fits this block; ${neighbourWords(sheet, widthMm, cable)}`}
      </p>
      <div className="side-fields">
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
      </div>
      <fieldset>
        <legend>Daylight between the halves or at the cable</legend>
        {(
          [
            [false, 'None'],
            [true, 'Seen'],
          ] as const
        ).map(([daylight, words]) => (
          <Button
            key={words}
            type="button"
            variant={record.daylight === daylight ? 'filled' : 'default'}
            aria-pressed={record.daylight === daylight}
            onClick={() => onChange({ daylight })}
          >
            {words}
          </Button>
        ))}
      </fieldset>
      <Button type="submit">Keep it</Button>
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      {found && (
        <p className={faults.length > 0 ? 'tone-failed' : 'tone-sound'} role="status">
          Gap {figure(found.gapMm)} mm ({figure(found.gapMinMm)} to {figure(found.gapMaxMm)} with uncertainty)
          {faults.length > 0
            ? `: ${faults.map((fault) => FAULT_WORDS[fault]).join(', ')}.`
            : ': within its window.'}
        </p>
      )}
    </form>
  );
}

/** From the armour through the frame to earth, with the milliohm meter. */
function Bond({
  value,
  meters,
  expectedOhm,
  limitOhm,
  onChange,
}: {
  value: number | null;
  meters: readonly Instrument[];
  expectedOhm: number | null;
  limitOhm: number;
  onChange: (ohm: number, meter: Id) => void;
}) {
  const line = useInstrument();
  const typed = useMeasure('bond');
  const truth = useMeasure('bond', expectedOhm);
  const [problem, setProblem] = useState('');
  const live = meters.find(sends) ?? null;
  const keep = () => {
    // An empty field takes what the meter shows; a faulty one says what to type.
    const shown = typed.text.trim() === '' && live && line?.stable ? line.value : null;
    const ohms = shown ?? typed.need();
    if (ohms === null) return;
    const meter = live ?? meters[0];
    if (!meter) return setProblem('No milliohm meter is on file. Add one under Dossier, Instruments.');
    setProblem('');
    onChange(ohms, meter.id);
    typed.clear();
  };
  return (
    <form
      className="side-form"
      aria-label="Bonding"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h3>Armour to earth</h3>
      <p className={value === null ? 'quiet' : value > limitOhm ? 'tone-failed' : 'tone-sound'}>
        {value === null ? 'Not measured.' : `${ohm(value)} measured.`}{' '}
        {expectedOhm === null ? '' : `${ohm(expectedOhm)} is predicted for the joint, `}
        {ohm(limitOhm)} is the site’s limit.
      </p>
      <div className="side-fields">
        <MeasureInput label="Resistance" {...fieldOf(typed)} />
        {live && <MeasureInput label="The simulated leads are on" {...fieldOf(truth)} />}
      </div>
      {live && (
        <p className="figures">
          {live.tag}: {line?.instrument === live.id && line.value !== null ? ohm(line.value) : '– –'}{' '}
          <Button
            type="button"
            variant="default"
            onClick={() => {
              hand.hold(live);
              hand.handle({ target: truth.value });
            }}
          >
            Leads on
          </Button>
        </p>
      )}
      <Button type="submit">Keep the resistance</Button>
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
    </form>
  );
}

/** Layers are counted: whole, and no more than two figures. */
const layersFault = (value: number): string | null =>
  Number.isInteger(value) && value >= 0 && value < 100 ? null : 'Count the layers taken out, for example 5.';
