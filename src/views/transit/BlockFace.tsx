import { UnstyledButton } from '@mantine/core';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import type { BlockState } from '../../core/rulebook/transit-found';
import type { BlockAt } from '../../core/rulebook/transit-planned';
import { Pen } from '../../drawing/section/pen';
import { drawBlock } from '../../drawing/transit/block';
import { DrawingView } from '../../ui/heart/DrawingView';
import { SealGlyph, type GlyphState } from '../../ui/heart/SealGlyph';
import { keyOf } from './block-key';
import { blockWords } from './words';

/** How a block was found, as the one status mark. */
function glyphOf({ block, sides }: BlockState, failed = false): GlyphState {
  if (failed) return 'large';
  if (block.cable === null) return block.core === null ? 'unread' : block.core ? 'na' : 'large';
  if (sides.some(({ faults }) => faults.length > 0)) return 'large';
  return sides.every(({ layers }) => layers !== null) && sides.length > 0 ? 'fits' : 'unread';
}

interface BlockFaceProps {
  at: BlockAt;
  state: BlockState;
  side: 'jacket' | 'armour';
  px: number;
  selected: boolean;
  failed: boolean;
  onSelect: () => void;
}

/** One block on the face: dragged where it holds a cable, dropped on by another's. */
export function BlockFace({ at, state, side, px, selected, failed, onSelect }: BlockFaceProps) {
  const id = keyOf(at);
  const drop = useDroppable({ id });
  const drag = useDraggable({ id, disabled: state.block.cable === null });
  const pen = new Pen();
  drawBlock(pen, state, [0, 0], side);
  const size = state.widthMm;
  const drawing = { shapes: pen.shapes, labels: [], anchors: [], box: [0, 0, size, size] as const, description: blockWords(state) }; // prettier-ignore
  const moved = drag.transform ? `translate(${drag.transform.x}px, ${drag.transform.y}px)` : undefined;
  return (
    <UnstyledButton
      ref={(node) => {
        drop.setNodeRef(node);
        drag.setNodeRef(node);
      }}
      type="button"
      className={`face-block${drop.isOver ? ' over' : ''}${drag.isDragging ? ' dragging' : ''}`}
      style={{ width: px, height: px, transform: moved }}
      title={blockWords(state)}
      {...drag.attributes}
      {...drag.listeners}
      aria-pressed={selected}
      onClick={onSelect}
    >
      <DrawingView drawing={drawing} states={{}} aspect={1} shownPx={px} />
      <span className="face-glyph">
        <SealGlyph
          state={glyphOf(state, failed)}
          size={px < 56 ? 14 : 18}
          label={failed ? `${blockWords(state)}, a check fails on it` : blockWords(state)}
        />
      </span>
    </UnstyledButton>
  );
}
