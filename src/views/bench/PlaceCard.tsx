import { UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import type { Reading, ReadingFault, Unit } from '../../core/record/types';
import { moment } from '../../core/words/en/format';
import { READING_FAULT_WORDS } from '../../core/words/en/labels';
import { FitStrip } from '../../ui/heart/FitStrip';
import { SealGlyph, toneOf } from '../../ui/heart/SealGlyph';
import { give } from '../hand/give';
import type { PlaceView } from './place-view';
import { placeHow } from '../../core/words/en/kinds/places';
import { titleOf } from '../../core/words/en/kinds/titles';

interface Props {
  view: PlaceView;
  guarded: boolean;
  selected: boolean;
  sealed: boolean;
  onSelect: () => void;
}

/** How a unit is shown. */
const SHOWN: Record<Unit, { unit: string; factor: number; decimals: number }> = {
  mm: { unit: 'mm', factor: 1, decimals: 2 },
  ohm: { unit: 'mΩ', factor: 1000, decimals: 1 },
  turns: { unit: 'turns', factor: 1, decimals: 2 },
  Nm: { unit: 'N·m', factor: 1, decimals: 1 },
  megohm: { unit: 'MΩ', factor: 1, decimals: 1 },
  degC: { unit: '°C', factor: 1, decimals: 1 },
};

/** A measured place: its strip, its readings, and the next one. */
export function PlaceCard({ view, guarded, selected, sealed, onSelect }: Props) {
  const { place, readings, faults, limits, mean, uncertainty, glyph, word } = view;
  const title = titleOf(place);
  const { unit, factor, decimals } = SHOWN[place.unit];
  const figure = (value: number) => (value * factor).toFixed(decimals);
  return (
    <section className={`place edge-${glyph}${selected ? ' selected' : ''}`} aria-label={title}>
      <UnstyledButton className="plain place-head" onClick={onSelect} aria-pressed={selected}>
        <SealGlyph state={glyph} label={`${title}: ${word}`} />
        <b>{title}</b>
        <b className={toneOf(glyph)}>{word}</b>
      </UnstyledButton>
      {selected && <p className="how quiet">{placeHow(place)}</p>}
      <FitStrip
        unit={unit}
        limits={limits}
        readings={readings.map(({ value }) => value)}
        mean={mean}
        uncertainty={uncertainty}
        guarded={guarded}
        state={glyph}
        factor={factor}
        decimals={decimals}
      />
      <ul className="readings">
        {readings.map((reading) => (
          <Chip
            key={reading.id}
            reading={reading}
            text={figure(reading.value)}
            tag={view.tags.get(reading.instrument) ?? 'an instrument that is not on file'}
            fault={faults.get(reading.id) ?? null}
            sealed={sealed}
          />
        ))}
        {!sealed && (
          <li>
            <UnstyledButton className="chip next" onClick={onSelect} aria-label={`Next reading of ${title}`}>
              next
            </UnstyledButton>
          </li>
        )}
      </ul>
    </section>
  );
}

/** One reading: how it came, with what, by whom and when, and striking it out. */
function Chip({
  reading,
  text,
  tag,
  fault,
  sealed,
}: {
  reading: Reading;
  text: string;
  /** Tag of the instrument. */
  tag: string;
  fault: ReadingFault | null;
  sealed: boolean;
}) {
  const { id, typed, source, by, at } = reading;
  const [open, setOpen] = useState(false);
  const note = fault ? `, does not count: ${READING_FAULT_WORDS[fault]}` : '';
  return (
    <li>
      <UnstyledButton
        className={`chip${fault ? ' faulty' : ''}`}
        onClick={() => setOpen(!open)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' || !open) return;
          event.stopPropagation();
          setOpen(false);
        }}
        aria-expanded={open}
        aria-label={`Reading ${text}${note}`}
      >
        {text}
        {fault && <span aria-hidden="true"> !</span>}
      </UnstyledButton>
      {open && (
        <div className="chip-menu">
          <span>
            {source === 'instrument' ? `Sent by ${tag}: ${typed}` : `Typed “${typed}”, read on ${tag}`}, {by},{' '}
            {moment(at)}
            {note}
          </span>
          {!sealed && (
            <UnstyledButton
              onClick={() => {
                setOpen(false);
                give(
                  'reading.strike',
                  { id, reason: fault ? READING_FAULT_WORDS[fault] : 'misreading' },
                  `Reading ${text} is struck out.`,
                );
              }}
            >
              Strike out
            </UnstyledButton>
          )}
        </div>
      )}
    </li>
  );
}
