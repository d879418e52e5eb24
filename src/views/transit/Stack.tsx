import { Button, Group } from '@mantine/core';
import type { PackedOpening, TransitSheet } from '../../core/record/types';
import { compressionOf } from '../../core/rulebook/transit-found';
import type { OpeningState } from '../../core/rulebook/transit-records';
import { count, figure } from '../../core/words/en/format';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';

interface StackProps {
  opening: OpeningState;
  sheet: TransitSheet;
  onChange: (change: (opening: PackedOpening) => PackedOpening) => void;
}

/** The stack of one opening: plates, what is left for the wedge, its reading. */
export function Stack({ opening: { frame, packed, blocks }, sheet, onChange }: StackProps) {
  const left = compressionOf(frame, packed, sheet, blocks);
  return (
    <section className="stack" aria-label={`Stack of opening ${frame.label}`}>
      <h2>
        Opening {frame.label}: {count(packed.rows.length, 'row')}
      </h2>
      <Travel left={left} window={sheet.compressionMm} />
      <Wedge
        readMm={packed.wedgeMm}
        homeMm={sheet.wedgeMm}
        onKeep={(wedgeMm) => onChange((one) => ({ ...one, wedgeMm }))}
      />
      <Plates packed={packed} onChange={onChange} />
    </section>
  );
}

interface TravelProps {
  left: ReturnType<typeof compressionOf>;
  window: readonly [number, number];
}

/** What is left for the wedge beside what it needs. */
function Travel({ left: { leftMm, firstRoomMm, state }, window: [low, high] }: TravelProps) {
  const most = Math.max(high * 1.4, leftMm, 1);
  const share = (mm: number) => `${(100 * Math.min(Math.max(mm, 0), most)) / most}%`;
  return (
    <>
      <div
        className="travel"
        role="img"
        aria-label={`${figure(leftMm, 1)} mm are left for the wedge, ${low} to ${high} mm are needed`}
      >
        <span
          className="travel-window"
          style={{ left: share(low), width: `calc(${share(high)} - ${share(low)})` }}
        />
        <span className={`travel-left ${state}`} style={{ left: share(leftMm) }} />
      </div>
      <p className={state === 'fits' ? '' : 'tone-failed'}>
        {figure(leftMm, 1)} mm left, {figure(low, 0)} to {figure(high, 0)} mm needed
        {state === 'too-little' && ': a row or a plate too many'}
        {state === 'too-much' && ': a row or a plate too few'}. Before compression the wedge finds{' '}
        {figure(firstRoomMm, 1)} mm{firstRoomMm < low ? ': press the stack together first' : ''}.
      </p>
    </>
  );
}

interface WedgeProps {
  readMm: number | null;
  homeMm: readonly [number, number];
  onKeep: (mm: number) => void;
}

/** What the wedge reads, and whether it is home. */
function Wedge({ readMm, homeMm: [from, to], onKeep }: WedgeProps) {
  const wedge = useMeasure('length', readMm);
  const home = readMm === null || (readMm >= from - 1e-9 && readMm <= to + 1e-9);
  return (
    <>
      <Group
        component="form"
        gap="0 12px"
        align="flex-end"
        onSubmit={(event) => {
          event.preventDefault();
          const mm = wedge.need();
          if (mm !== null) onKeep(mm);
        }}
      >
        <MeasureInput
          label={`Wedge or clip reads (${figure(from, 1)} to ${figure(to, 1)} mm is home)`}
          {...fieldOf(wedge)}
        />
        <Button type="submit" variant="default">
          Keep it
        </Button>
      </Group>
      {!home && (
        <p className="tone-failed">
          {readMm > to
            ? 'It travelled too far: a row, a plate or a block is missing.'
            : 'It is not home: a row too many, or blocks not home.'}
        </p>
      )}
    </>
  );
}

function Plates({ packed, onChange }: { packed: PackedOpening; onChange: StackProps['onChange'] }) {
  const turn = (r: number) =>
    onChange((one) => ({
      ...one,
      rows: one.rows.map((row, i) => (i === r ? { ...row, plate: row.plate === true ? false : true } : row)),
    }));
  return (
    <fieldset>
      <legend>Stay plates, from the far end</legend>
      {packed.rows.map(({ heightMm, plate }, r) => (
        <Button
          variant="default"
          key={r}
          className={plate === false ? 'tone-failed' : undefined}
          aria-label={`Plate on row ${r + 1}: ${plate === null ? 'not looked at' : plate ? 'in' : 'missing'}`}
          onClick={() => turn(r)}
        >
          {r + 1} ({heightMm} mm): {plate === null ? 'look' : plate ? 'in' : 'missing'}
        </Button>
      ))}
    </fieldset>
  );
}
