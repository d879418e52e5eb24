import { Box, Button, Group } from '@mantine/core';
import { useState } from 'react';
import { currentInstruments } from '../../core/record/instruments';
import type { Finding } from '../../core/record/finding';
import type { Slice } from '../../core/record/slice';
import type { PackedOpening, TransitSheet } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { changeBlock, moveCable, type BlockAt } from '../../core/rulebook/transit-planned';
import { Toggle } from '../../ui/Toggle';
import { say } from '../hand/hand';
import { keyOf } from './block-key';
import { BlockPanel } from './BlockPanel';
import { Face } from './Face';
import { blocksOf } from './failed-blocks';
import { Stack } from './Stack';
import { Unpacked } from './Unpacked';

interface BoardProps {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  findings: readonly Finding[];
  selected: BlockAt | null;
  onSelect: (at: BlockAt | null) => void;
  onChange: (openings: PackedOpening[]) => void;
  onPlan: () => void;
}

/** The face of a block frame as packed and as found; a touched block is counted and measured beside it. */
export default function Board(props: BoardProps) {
  const { dossier, sheet, findings, selected, onSelect, onChange, onPlan } = props;
  const openings = dossier.transit?.openings ?? [];
  const [side, setSide] = useState<'jacket' | 'armour'>('jacket');
  if (openings.length === 0)
    return (
      <>
        <p>Nothing is packed yet. Let the planner pack the cables, then count and measure here.</p>
        <Button onClick={onPlan}>Open the planner</Button>
      </>
    );
  const packed = openings.map((one) => one.packed);
  return (
    <Group className="board" gap={20} align="flex-start">
      <Box flex="0 1 390px">
        {kindOf(dossier).transit === 'bonded' && (
          <Group gap={0} mb="sm" role="group" aria-label="Side">
            {(['jacket', 'armour'] as const).map((one) => (
              <Toggle key={one} on={one === side} onClick={() => setSide(one)}>
                {one === 'jacket' ? 'Jacket side' : 'Armour side'}
              </Toggle>
            ))}
          </Group>
        )}
        <Face
          openings={openings.filter((one) => !one.packed.plug)}
          sheet={sheet}
          side={side}
          selected={selected}
          failed={new Set(findings.flatMap(blocksOf).map(keyOf))}
          onSelect={onSelect}
          onMove={(from, to) => {
            onChange(moveCable(packed, from, to));
            say('Moved. Its layers have to be peeled anew.');
          }}
        />
      </Box>
      <Box flex="1 1 230px">
        <BesideFace {...props} packed={packed} />
      </Box>
    </Group>
  );
}

function BesideFace(props: BoardProps & { packed: readonly PackedOpening[] }) {
  const { dossier, sheet, selected, onChange, packed } = props;
  const openings = dossier.transit!.openings;
  return (
    <div>
      {selected && <Chosen {...props} at={selected} key={keyOf(selected)} />}
      {!selected && <p>Touch a block to count its layers and measure its cable.</p>}
      <Unpacked labels={dossier.transit!.unpacked} packed={packed} onChange={onChange} />
      {openings.map((opening) => {
        const { label } = opening.frame;
        if (opening.packed.plug) return <p key={label}>Opening {label} is closed by a plug.</p>;
        return (
          <Stack
            key={label}
            opening={opening}
            sheet={sheet}
            onChange={(change) => onChange(packed.map((one) => (one.label === label ? change(one) : one)))}
          />
        );
      })}
    </div>
  );
}

/** The block that was touched. */
function Chosen({ at, packed, ...props }: BoardProps & { at: BlockAt; packed: readonly PackedOpening[] }) {
  const { slice, dossier, sheet, onChange } = props;
  const state = dossier
    .transit!.openings.flatMap(({ frame, blocks }) =>
      blocks.map((block) => ({ block, key: keyOf({ ...block, opening: frame.label }) })),
    )
    .find(({ key }) => key === keyOf(at))?.block;
  if (!state) return <p>Touch a block to count its layers and measure its cable.</p>;
  const instruments = currentInstruments(slice, dossier.entry.site);
  return (
    <BlockPanel
      state={state}
      sheet={sheet}
      calipers={instruments.filter(({ kind }) => kind === 'caliper')}
      meters={instruments.filter(({ kind }) => kind === 'milliohm-meter')}
      taken={dossier.transit!}
      expectedOhm={dossier.certificate!.sheet.expectedBondOhm}
      limitOhm={dossier.site.bondLimitOhm}
      onChange={(change) => onChange(changeBlock(packed, at, change))}
    />
  );
}
