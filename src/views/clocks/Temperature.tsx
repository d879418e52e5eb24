import { Button, Group, Text } from '@mantine/core';
import { useEffect } from 'react';
import { currentInstruments } from '../../core/record/instruments';
import { sends } from '../../core/instrument/simulator';
import { clocksOfSite } from '../../core/makeoff/clocks';
import type { Slice } from '../../core/record/slice';
import type { Id, Instrument } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { give } from '../hand/give';
import { device, instrument as hand, say, useInstrument } from '../hand/hand';

/** The temperature round everything that cures: the lowest since packing counts for each. */
export function Temperature({ slice, site }: { slice: Slice; site: Id }) {
  const thermometer =
    currentInstruments(slice, site).find((one) => one.kind === 'thermometer' && sends(one)) ?? null;
  useEffect(() => {
    hand.hold(thermometer);
    return () => hand.hold(null);
  }, [thermometer?.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const pours = curing(slice, site);
  if (pours.length === 0) return null;
  return (
    <section className="clock-temperature">
      <h2>Temperature where it cures</h2>
      <TemperatureForm pours={pours} thermometer={thermometer} />
    </section>
  );
}

/** Pours that the temperature still counts for. */
function curing(slice: Slice, site: Id): Id[] {
  const { clocks } = clocksOfSite(slice, site);
  const pours = clocks.flatMap(({ is, pour }) => (is === 'working-life' || pour === null ? [] : pour));
  return [...new Set(pours)];
}

function TemperatureForm({ pours, thermometer }: { pours: readonly Id[]; thermometer: Instrument | null }) {
  const line = useInstrument();
  const typed = useMeasure('temperature');
  const keep = () => {
    // An empty field takes what the thermometer shows once it rests.
    const value = typed.text.trim() === '' && line?.stable ? line.value : typed.need();
    if (value === null) return;
    const lower = keepLowest(pours, value);
    typed.clear();
    say(
      lower === 0
        ? `${figure(value, 1)} °C is no lower than what is recorded; nothing changes.`
        : `${figure(value, 1)} °C is the lowest since packing of ${lower} of ${pours.length}.`,
    );
  };
  return (
    <Group className="place-row" gap="0 12px" align="flex-end">
      <MeasureInput
        label="Read now"
        placeholder={line?.value != null ? figure(line.value, 1) : ''}
        {...fieldOf(typed)}
      />
      {thermometer && <LiveThermometer thermometer={thermometer} />}
      <Button onClick={keep}>Record it</Button>
    </Group>
  );
}

/** Keeps a temperature with every pour that has seen none lower; gives how many. */
function keepLowest(pours: readonly Id[], value: number): number {
  const { slice } = device.state();
  const above = pours.filter((id) => {
    const { lowestC } = slice.get('pour', id)!;
    return lowestC === null || lowestC > value;
  });
  return above.filter((id) => give('pour.edit', { id, set: { lowestC: value } })).length;
}

function LiveThermometer({ thermometer: { tag } }: { thermometer: Instrument }) {
  const line = useInstrument();
  const target = useMeasure('temperature', 18);
  return (
    <>
      <Text className="figures" miw={220}>
        {tag}: {line?.value != null ? `${figure(line.value, 1)} °C` : '– –'}
        {line && !line.stable && line.value !== null && ', creeping'}
      </Text>
      <MeasureInput label="The simulated sensor stands in" {...fieldOf(target)} />
      <Button
        variant="default"
        onClick={() => target.need() !== null && hand.handle({ target: target.value })}
      >
        Hold it there
      </Button>
    </>
  );
}
