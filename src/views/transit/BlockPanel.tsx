import type { Instrument, PackedBlock, TransitSheet } from '../../core/record/types';
import type { BlockState } from '../../core/rulebook/transit-found';
import { figure } from '../../core/words/en/format';
import { Bond } from './Bond';
import { SideForm } from './SideForm';
import { TwoAnswers } from './TwoAnswers';

interface BlockPanelProps {
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
export function BlockPanel(props: BlockPanelProps) {
  const { state, sheet, calipers, meters, taken, expectedOhm, limitOhm, onChange } = props;
  const { block, cable, widthMm, sides } = state;
  if (block.cable === null)
    return (
      <section className="block-panel" aria-label="Block">
        <h2>Spare block, {figure(widthMm, 0)} mm</h2>
        <TwoAnswers
          legend="Its core"
          value={block.core}
          answers={[
            [true, 'It is in'],
            [false, 'It is missing'],
          ]}
          onAnswer={(core) => onChange((one) => ({ ...one, core }))}
        />
      </section>
    );
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
