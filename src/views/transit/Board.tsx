import { currentInstruments } from '../../core/record/instruments';
import type { Finding } from '../../core/record/finding';
import { blocksOf } from './failed-blocks';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { Button } from '@mantine/core';
import { Toggle } from '../../ui/Toggle';
import { useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { PackedOpening, TransitSheet } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import type { OpeningState } from '../../core/rulebook/transit-records';
import { compressionOf } from '../../core/rulebook/transit-found';
import { changeBlock, moveCable, type BlockAt } from '../../core/rulebook/transit-planned';
import { count, figure } from '../../core/words/en/format';
import { say } from '../hand/hand';
import { BlockPanel } from './BlockPanel';
import { Face, keyOf } from './Face';
import { Unpacked } from './Unpacked';

/** The face of a block frame as packed and as found; a touched block is counted and measured beside it. */
export function Board({
  slice,
  dossier,
  sheet,
  findings,
  selected,
  onSelect: setSelected,
  onChange,
  onPlan,
}: {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  findings: readonly Finding[];
  selected: BlockAt | null;
  onSelect: (at: BlockAt | null) => void;
  onChange: (openings: PackedOpening[]) => void;
  onPlan: () => void;
}) {
  const { entry, certificate, site } = dossier;
  const openings = dossier.transit?.openings ?? [];
  const bonded = kindOf(dossier).transit === 'bonded';
  const [side, setSide] = useState<'jacket' | 'armour'>('jacket');
  if (openings.length === 0) {
    return (
      <>
        <p>Nothing is packed yet. Let the planner pack the cables, then count and measure here.</p>
        <Button onClick={onPlan}>Open the planner</Button>
      </>
    );
  }
  const packed = openings.map((one) => one.packed);
  const instruments = currentInstruments(slice, entry.site);
  const chosen = selected
    ? openings.flatMap(({ frame, blocks }) =>
        blocks.filter((b) => keyOf({ ...b, opening: frame.label }) === keyOf(selected)),
      )[0]
    : undefined;
  return (
    <div className="board">
      <div>
        {bonded && (
          <div className="side-switch" role="group" aria-label="Side">
            {(['jacket', 'armour'] as const).map((one) => (
              <Toggle key={one} on={one === side} onClick={() => setSide(one)}>
                {one === 'jacket' ? 'Jacket side' : 'Armour side'}
              </Toggle>
            ))}
          </div>
        )}
        <Face
          openings={openings.filter((one) => !one.packed.plug)}
          sheet={sheet}
          side={side}
          selected={selected}
          failed={new Set(findings.flatMap(blocksOf).map(keyOf))}
          onSelect={setSelected}
          onMove={(from, to) => {
            onChange(moveCable(packed, from, to));
            say('Moved. Its layers have to be peeled anew.');
          }}
        />
      </div>
      <div>
        {chosen && selected ? (
          <BlockPanel
            key={keyOf(selected)}
            state={chosen}
            sheet={sheet}
            calipers={instruments.filter(({ kind }) => kind === 'caliper')}
            meters={instruments.filter(({ kind }) => kind === 'milliohm-meter')}
            taken={dossier.transit!}
            expectedOhm={certificate!.sheet.expectedBondOhm}
            limitOhm={site.bondLimitOhm}
            onChange={(change) => onChange(changeBlock(packed, selected, change))}
          />
        ) : (
          <p>Touch a block to count its layers and measure its cable.</p>
        )}
        <Unpacked labels={dossier.transit?.unpacked ?? []} packed={packed} onChange={onChange} />
        {openings
          .filter((one) => one.packed.plug)
          .map(({ frame }) => (
            <p key={frame.label}>Opening {frame.label} is closed by a plug.</p>
          ))}
        {openings
          .filter((one) => !one.packed.plug)
          .map((opening) => (
            <Stack
              key={opening.frame.label}
              opening={opening}
              sheet={sheet}
              onChange={(change) =>
                onChange(packed.map((one) => (one.label === opening.frame.label ? change(one) : one)))
              }
            />
          ))}
      </div>
    </div>
  );
}

/** The stack of one opening: plates, what is left for the wedge, its reading. */
function Stack({
  opening: { frame, packed, blocks },
  sheet,
  onChange,
}: {
  opening: OpeningState;
  sheet: TransitSheet;
  onChange: (change: (opening: PackedOpening) => PackedOpening) => void;
}) {
  const wedge = useMeasure('length', packed.wedgeMm);
  const { leftMm, firstRoomMm, state } = compressionOf(frame, packed, sheet, blocks);
  const [low, high] = sheet.compressionMm;
  const most = Math.max(high * 1.4, leftMm, 1);
  const share = (mm: number) => `${(100 * Math.min(Math.max(mm, 0), most)) / most}%`;
  const [from, to] = sheet.wedgeMm;
  const wedgeGood = packed.wedgeMm !== null && packed.wedgeMm >= from - 1e-9 && packed.wedgeMm <= to + 1e-9;
  return (
    <section className="stack" aria-label={`Stack of opening ${frame.label}`}>
      <h2>
        Opening {frame.label}: {count(packed.rows.length, 'row')}
      </h2>
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
      <form
        className="recess"
        onSubmit={(event) => {
          event.preventDefault();
          const mm = wedge.need();
          if (mm === null) return;
          onChange((one) => ({ ...one, wedgeMm: mm }));
        }}
      >
        <MeasureInput
          label={`Wedge or clip reads (${figure(from, 1)} to ${figure(to, 1)} mm is home)`}
          {...fieldOf(wedge)}
        />
        <Button type="submit" variant="default">
          Keep it
        </Button>
      </form>
      {packed.wedgeMm !== null && !wedgeGood && (
        <p className="tone-failed">
          {packed.wedgeMm > to
            ? 'It travelled too far: a row, a plate or a block is missing.'
            : 'It is not home: a row too many, or blocks not home.'}
        </p>
      )}
      <fieldset>
        <legend>Stay plates, from the far end</legend>
        {packed.rows.map(({ heightMm, plate }, r) => (
          <Button
            variant="default"
            key={r}
            className={`plate-button${plate === false ? ' tone-failed' : ''}`}
            aria-label={`Plate on row ${r + 1}: ${plate === null ? 'not looked at' : plate ? 'in' : 'missing'}`}
            onClick={() =>
              onChange((one) => ({
                ...one,
                rows: one.rows.map((row, i) =>
                  i === r ? { ...row, plate: row.plate === true ? false : true } : row,
                ),
              }))
            }
          >
            {r + 1} ({heightMm} mm): {plate === null ? 'look' : plate ? 'in' : 'missing'}
          </Button>
        ))}
      </fieldset>
    </section>
  );
}
