import { MeasuresInput, useMeasures } from '../../ui/MeasuresInput';
import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { now } from '../../client/clock';
import type { Cable, Id, Instrument, PackedOpening, SealedCable } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { device, say } from '../hand/hand';

/** The cables of an opening in sealant, each measured where it goes in: its record does not stand in for that. */
export function SealedReadings({
  packed,
  cables,
  calipers,
  onChange,
}: {
  packed: PackedOpening;
  cables: ReadonlyMap<Id, Cable>;
  calipers: readonly Instrument[];
  onChange: (cable: Id, change: (one: SealedCable) => SealedCable) => void;
}) {
  const [caliper, setCaliper] = useState(calipers[0]?.id ?? '');
  if (packed.cables.length === 0) return null;
  return (
    <details className="sealed-readings">
      <summary>Cables as measured, three readings each</summary>
      <NativeSelect
        label="Caliper"
        value={caliper}
        onChange={(event) => setCaliper(event.target.value)}
        data={calipers.map(({ id, tag }) => ({ value: id, label: tag }))}
      />
      {packed.cables.map((one) => (
        <Row
          key={one.cable}
          tag={cables.get(one.cable)?.tag ?? one.cable}
          recordMm={cables.get(one.cable)?.outerMm ?? null}
          sealed={one}
          onKeep={(readingsMm) => {
            if (caliper === '') return say('No caliper is on file. Add one under Dossier, Instruments.');
            const by = device.state().person?.name ?? '';
            const reading = { readingsMm, instrument: caliper, by, at: now() };
            onChange(one.cable, (cable) => ({
              ...cable,
              readings: [
                ...cable.readings.filter((old) => old.by !== by || old.instrument !== caliper),
                reading,
              ],
            }));
          }}
        />
      ))}
    </details>
  );
}

function Row({
  tag,
  recordMm,
  sealed,
  onKeep,
}: {
  tag: string;
  recordMm: number | null;
  sealed: SealedCable;
  onKeep: (readingsMm: number[]) => void;
}) {
  const measures = useMeasures();
  const said = sealed.readings
    .map(({ readingsMm }) => readingsMm.map((mm) => figure(mm)).join(', '))
    .join('; ');
  const keep = () => {
    const values = measures.need();
    if (!values) return;
    onKeep(values);
    measures.clear();
  };
  return (
    <form
      className="side-fields"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <MeasuresInput
        label={`${tag}, mm`}
        description={
          said
            ? `Measured ${said} mm`
            : recordMm === null
              ? 'Not on record'
              : `${figure(recordMm)} mm by its record`
        }
        measures={measures}
      />
      <Button type="submit" variant="default">
        Keep the readings
      </Button>
    </form>
  );
}
