import { Button, NativeSelect, Group } from '@mantine/core';
import { useEffect, useState } from 'react';
import { currentInstruments } from '../../core/record/instruments';
import { sends } from '../../core/instrument/simulator';
import type { Place } from '../../core/kinds/place';
import { shownQuantity } from '../../core/quantity/quantity';
import type { MakeOff, Unit } from '../../core/record/types';
import { groupsOf, type Dossier } from '../../core/rulebook/dossier';
import { limitsOf, nominalOf } from '../../core/rulebook/fit-task';
import { figure } from '../../core/words/en/format';
import { device, instrument as hand, useInstrument } from '../hand/hand';
import { instrumentsFor } from '../hand/instruments-for';
import { pieceOf } from '../hand/piece';
import { MeasureInput } from '../../ui/MeasureInput';
import { QUANTITY_OF, takeLive, takeTyped, unitShown } from '../hand/take';
import { placeHow } from '../../core/words/en/kinds/places';
import { titleOf } from '../../core/words/en/kinds/titles';

interface PlaceFieldProps {
  dossier: Dossier;
  work: MakeOff;
  place: Place;
}

/** One measured place at the step: its limits, its readings, and the next one, sent or typed. */
export function PlaceField(props: PlaceFieldProps) {
  const { known, instrument, setChosen, live, hold, target, nominal } = useInstrumentFor(props);
  const { place } = props;
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<{ text: string; said: string } | null>(null);
  const enter = () => {
    if (!target) return;
    const said = takeTyped(target, typed);
    if (said === null) setTyped('');
    setProblem(said ? { text: typed, said } : null);
  };
  return (
    <form
      className="place-field"
      onFocus={hold}
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      <Asked {...props} />
      {!instrument && (
        <p className="tone-failed">
          No instrument on file measures this. Add one under Dossier, Instruments.
        </p>
      )}
      {instrument && (
        <Group className="place-row" gap="0 12px" align="flex-end">
          <MeasureInput
            quantity={QUANTITY_OF[place.unit]}
            label={titleOf(place)}
            value={typed}
            error={problem?.text === typed ? problem.said : null}
            onText={setTyped}
          />
          <Button type="submit" variant="default">
            Enter
          </Button>
          <NativeSelect
            mb="xs"
            label="Instrument"
            value={instrument.id}
            data={known.map(({ id, tag }) => ({ value: id, label: tag }))}
            onChange={(event) => setChosen(event.currentTarget.value)}
          />
          {live && (
            <Button variant="default" onClick={() => target && takeLive(target, hand.line, nominal)}>
              <span>
                Take <LiveValue of={live.id} />
              </span>
            </Button>
          )}
        </Group>
      )}
    </form>
  );
}

/** The instrument that a place is read with. Of several places at one step, that of the one that is touched is in the hand. */
function useInstrumentFor({ dossier, work, place }: PlaceFieldProps) {
  const { slice } = device.state();
  const [chosen, setChosen] = useState('');
  const known = instrumentsFor(currentInstruments(slice, work.site), place.instruments);
  const instrument = known.find(({ id }) => id === chosen) ?? known[0] ?? null;
  const nominal = nominalOf(dossier, place.id);
  const live = instrument && sends(instrument) ? instrument : null;
  const hold = () => {
    if (!live || hand.held === live.id) return;
    hand.hold(live);
    if (live.kind === 'caliper') hand.handle({ jaws: 'open', workpiece: pieceOf(nominal, 0), angleDeg: 0 });
  };
  useEffect(() => {
    if (hand.held === null) hold();
    return () => hand.hold(null);
  }, [live?.id, place.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const round = slice.get('round', work.round)!;
  const target = instrument && { entry: work.entry, round, place, instrument };
  return { known, instrument, setChosen, live, hold, target, nominal };
}

/** What is asked of the place, and what was read there. */
function Asked({ dossier, place }: PlaceFieldProps) {
  const limits = limitsOf(dossier, place.id);
  const readings = dossier.recorded.has(place.id)
    ? []
    : groupsOf(dossier, place.id).flatMap((group) => group.readings);
  return (
    <p>
      {titleOf(place)}: {limits ? limitWords(limits, place.unit) : 'no limit on the sheet'}.{' '}
      {readings.length > 0 ? (
        <b className="figures">Read: {readings.map(({ value }) => shownIn(value, place.unit)).join(', ')}</b>
      ) : (
        <span className="quiet">{placeHow(place)}</span>
      )}
    </p>
  );
}

/** What the instrument in the hand shows; eight times a second, and nothing else is drawn again for it. */
export function LiveValue({ of }: { of: string }) {
  const line = useInstrument();
  if (line?.instrument !== of) return <output className="figures">– –</output>;
  return (
    <output className="figures">
      {line.value === null ? 'refuses' : figure(line.value, line.unit === 'mm' ? 2 : 1)}
    </output>
  );
}

/** A value in the unit that is shown, without it. */
const shownIn = (value: number, unit: Unit): string =>
  figure(Number(shownQuantity(value, QUANTITY_OF[unit])));

function limitWords([low, high]: readonly [number | null, number | null], unit: Unit): string {
  const said = unitShown(unit);
  if (low !== null && high !== null) return `${shownIn(low, unit)} to ${shownIn(high, unit)} ${said}`;
  return low !== null
    ? `at least ${shownIn(low, unit)} ${said}`
    : `at most ${shownIn(high ?? 0, unit)} ${said}`;
}
