import { Box, Button, Group, Text, UnstyledButton } from '@mantine/core';
import { memo, useEffect, useRef, useState } from 'react';
import type { Reading, ReadingFault, Unit } from '../../core/record/types';
import { moment } from '../../core/words/en/format';
import { placeHow } from '../../core/words/en/kinds/places';
import { titleOf } from '../../core/words/en/kinds/titles';
import { READING_FAULT_WORDS } from '../../core/words/en/labels';
import { FitStrip } from '../../ui/heart/FitStrip';
import { SealGlyph, toneOf } from '../../ui/heart/SealGlyph';
import { useFresh } from '../hand/fresh';
import { give } from '../hand/give';
import { countedOf, type PlaceView } from './place-view';

interface Props {
  view: PlaceView;
  guarded: boolean;
  selected: boolean;
  /** It was gone to: it is brought on the screen. */
  eye?: boolean;
  sealed: boolean;
  onSelect: (place: string) => void;
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

/** A measured place: its strip, its readings, and the next one. Drawn again only when it shows something else. */
export const PlaceCard = memo(function PlaceCard({
  view,
  guarded,
  selected,
  eye = false,
  sealed,
  onSelect,
}: Props) {
  const { place, readings, limits, mean, uncertainty, glyph, word } = view;
  const title = titleOf(place);
  const { unit, factor, decimals } = SHOWN[place.unit];
  const card = useRef<HTMLElement>(null);
  useEffect(() => {
    if (eye) card.current?.scrollIntoView({ block: 'nearest' });
    // It grows with its readings.
  }, [eye, readings.length]);
  return (
    <section ref={card} className={`place state-${glyph}${selected ? ' selected' : ''}`} aria-label={title}>
      <UnstyledButton
        className="line place-head"
        w="100%"
        onClick={() => onSelect(place.id)}
        aria-pressed={selected}
      >
        <SealGlyph state={glyph} label={`${title}: ${word}`} />
        <Box component="b" flex={1}>
          {title}
        </Box>
        <b className={toneOf(glyph)}>{word}</b>
      </UnstyledButton>
      {selected && (
        <Text size="xs" c="dimmed" mb={6}>
          {placeHow(place)}
        </Text>
      )}
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
      <Readings view={view} sealed={sealed} onSelect={onSelect} />
    </section>
  );
}, isSame);

/** The readings of a place, and where the next one goes. */
function Readings({ view, sealed, onSelect }: Pick<Props, 'view' | 'sealed' | 'onSelect'>) {
  const { place, readings, faults } = view;
  const counted = countedOf(view);
  const { factor, decimals } = SHOWN[place.unit];
  const fresh = useFresh(place.id);
  const next = place.wanted > counted ? `Read ${counted + 1} of ${place.wanted}` : 'Read again';
  return (
    <Group component="ul" className="bare" gap={6}>
      {readings.map((reading) => (
        <Chip
          key={reading.id}
          reading={reading}
          text={(reading.value * factor).toFixed(decimals)}
          tag={view.tags.get(reading.instrument) ?? 'an instrument that is not on file'}
          fault={faults.get(reading.id) ?? null}
          sealed={sealed}
        />
      ))}
      {!sealed && (
        <li>
          <Button
            variant="default"
            className="chip next"
            onClick={() => onSelect(place.id)}
            aria-label={`${next}, ${titleOf(place)}`}
          >
            {fresh === null ? next : (fresh * factor).toFixed(decimals)}
          </Button>
        </li>
      )}
    </Group>
  );
}

/** A reading elsewhere leaves a place as it is. */
function isSame(a: Props, b: Props): boolean {
  return (
    a.selected === b.selected && a.eye === b.eye && a.sealed === b.sealed && a.guarded === b.guarded && shown(a.view) === shown(b.view)
  ); // prettier-ignore
}

/** Everything that a card shows of a place, as one text. */
const shown = ({ place, readings, faults, tags, limits, mean, uncertainty, glyph, word }: PlaceView): string =>
  JSON.stringify([
    place.id, place.wanted, readings.map(({ id, value }) => [id, value]), [...faults], [...tags], limits, mean,
    uncertainty, glyph, word,
  ]); // prettier-ignore

interface ChipProps {
  reading: Reading;
  text: string;
  /** Tag of the instrument. */
  tag: string;
  fault: ReadingFault | null;
  sealed: boolean;
}

/** One reading; pressed, it tells how it came. */
function Chip({ reading, text, tag, fault, sealed }: ChipProps) {
  const [open, setOpen] = useState(false);
  const note = fault ? `, does not count: ${READING_FAULT_WORDS[fault]}` : '';
  return (
    <Box component="li" pos="relative">
      <Button
        variant="default"
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
      </Button>
      {open && (
        <Box
          className="chip-menu"
          pos="absolute"
          style={{ zIndex: 5 }}
          left={0}
          top={50}
          w={220}
          p={10}
          fz="sm"
          bd="var(--hair) solid var(--ink)"
        >
          <Provenance reading={reading} tag={tag} note={note} />
          {!sealed && (
            <Button
              variant="default"
              fullWidth
              mt="xs"
              onClick={() => {
                setOpen(false);
                const reason = fault ? READING_FAULT_WORDS[fault] : 'misreading';
                give('reading.strike', { id: reading.id, reason }, `Reading ${text} is struck out.`);
              }}
            >
              Strike out
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}

/** How a reading came: the instrument, the time, who, and in which way. */
function Provenance({ reading, tag, note }: { reading: Reading; tag: string; note: string }) {
  const { typed, source, method, by, at } = reading;
  const how = method === 'tape' ? ', wrapped round' : '';
  return (
    <span>
      {source === 'instrument' ? `Sent by ${tag}: ${typed}` : `Typed “${typed}”, read on ${tag}`}
      {how}, {by}, {moment(at)}
      {note}
    </span>
  );
}
