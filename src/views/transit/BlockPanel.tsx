import { Button } from '@mantine/core';
import { useState } from 'react';
import type { BlockSide, Instrument, PackedBlock, TransitSheet } from '../../core/record/types';
import type { BlockState, SideState } from '../../core/transit/found';
import { figure, ohm } from '../../core/words/format';
import { instrument as hand, say, useInstrument } from '../device';
import { sends } from '../../core/instrument/simulator';
import { FAULT_WORDS, neighbourWords } from './words';

interface Props {
  state: BlockState;
  sheet: TransitSheet;
  calipers: readonly Instrument[];
  meters: readonly Instrument[];
  expectedOhm: number;
  limitOhm: number;
  onChange: (change: (block: PackedBlock) => PackedBlock) => void;
}

/** One block: layers counted per half, the cable measured, daylight, core, and the path of its armour to earth. */
export function BlockPanel({ state, sheet, calipers, meters, expectedOhm, limitOhm, onChange }: Props) {
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
          onChange={(bondOhm) => onChange((one) => ({ ...one, bondOhm }))}
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
  onChange,
}: {
  side: SideState;
  record: BlockSide;
  sheet: TransitSheet;
  widthMm: number;
  calipers: readonly Instrument[];
  onChange: (change: Partial<BlockSide>) => void;
}) {
  const [first, setFirst] = useState(String(record.layers?.[0] ?? ''));
  const [second, setSecond] = useState(String(record.layers?.[1] ?? ''));
  const [mm, setMm] = useState(record.readingsMm.join(', '));
  const name = side.side === 'jacket' ? 'Jacket side' : 'Armour side';
  const keep = () => {
    const layers = [first, second].map((text) => (/^\d{1,2}$/.test(text.trim()) ? Number(text) : null));
    if (layers.some((n) => n === null))
      return say('Count the layers taken out of each half, for example 5 and 5.');
    const readings = mm.trim() === '' ? [] : mm.split(/[;\s]+|,(?=\s)/).filter(Boolean).map((text) => Number(text.replace(',', '.'))); // prettier-ignore
    if (readings.some((value) => !(value > 0)))
      return say('Type diameters in mm with spaces between, for example 21.4 21.5 21.4.');
    const instrument = readings.length > 0 ? (calipers[0]?.id ?? null) : null;
    if (readings.length > 0 && instrument === null)
      return say('No caliper is on file. Add one under Dossier, Instruments.');
    onChange({ layers: layers as [number, number], readingsMm: readings, instrument });
  };
  const { found, right, cable, measured, faults } = side;
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
          ? `Cable ${figure(cable.meanMm)} ± ${figure(cable.expandedUncertaintyMm)} mm ${measured ? 'measured' : 'by its record'}.`
          : 'Its diameter is not known: measure it.'}{' '}
        {right
          ? `${right.layers.join(' + ')} layers leave a gap of ${figure(right.gapMm)} mm; ${figure(gapMm[0])} to ${figure(gapMm[1])} mm is asked for.`
          : cable && `No number of layers fits this block; ${neighbourWords(sheet, widthMm, cable)}`}
      </p>
      <div className="side-fields">
        <label className="field">
          <span>Layers out, first half</span>
          <input
            className="figures"
            inputMode="numeric"
            value={first}
            onChange={(event) => setFirst(event.target.value)}
          />
        </label>
        <label className="field">
          <span>Second half</span>
          <input
            className="figures"
            inputMode="numeric"
            value={second}
            onChange={(event) => setSecond(event.target.value)}
          />
        </label>
        <label className="field">
          <span>Cable measured, mm (optional)</span>
          <input
            className="figures"
            inputMode="decimal"
            value={mm}
            onChange={(event) => setMm(event.target.value)}
          />
        </label>
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
  expectedOhm: number;
  limitOhm: number;
  onChange: (ohm: number) => void;
}) {
  const line = useInstrument();
  const [typed, setTyped] = useState('');
  const [truth, setTruth] = useState(String(Math.round(expectedOhm * 1000)));
  const live = meters.find(sends) ?? null;
  const keep = () => {
    const milli = typed.trim() === '' && live && line?.stable && line.value !== null ? line.value * 1000 : Number(typed.trim().replace(',', '.')); // prettier-ignore
    if (!(milli >= 0) || (typed.trim() === '' && !line?.stable))
      return say('Type milliohms, for example 12, or wait until the meter rests.');
    onChange(milli / 1000);
    setTyped('');
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
        {value === null ? 'Not measured.' : `${ohm(value)} measured.`} {ohm(expectedOhm)} is predicted for the
        joint, {ohm(limitOhm)} is the site’s limit.
      </p>
      <div className="side-fields">
        <label className="field">
          <span>Resistance, mΩ</span>
          <input
            className="figures"
            inputMode="decimal"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        {live && (
          <label className="field">
            <span>The simulated leads are on, mΩ</span>
            <input
              className="figures"
              inputMode="decimal"
              value={truth}
              onChange={(event) => setTruth(event.target.value)}
            />
          </label>
        )}
      </div>
      {live && (
        <p className="figures">
          {live.tag}: {line?.instrument === live.id && line.value !== null ? ohm(line.value) : '– –'}{' '}
          <Button
            type="button"
            variant="default"
            onClick={() => {
              hand.hold(live);
              hand.handle({ target: Number(truth) / 1000 });
            }}
          >
            Leads on
          </Button>
        </p>
      )}
      <Button type="submit">Keep the resistance</Button>
    </form>
  );
}
