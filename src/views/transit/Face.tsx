import { UnstyledButton } from '@mantine/core';
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import type { DragEndEvent, DragOverEvent } from '@dnd-kit/core';
import { useState } from 'react';
import type { TransitSheet } from '../../core/record/types';
import type { OpeningState } from '../../core/rulebook/transit-records';
import { compressionOf, type BlockState } from '../../core/rulebook/transit-found';
import type { BlockAt } from '../../core/rulebook/transit-planned';
import { figure } from '../../core/words/en/format';
import { drawBlock } from '../../drawing/transit/block';
import { Pen } from '../../drawing/section/pen';
import { DrawingView } from '../../ui/heart/DrawingView';
import { SealGlyph, type GlyphState } from '../../ui/heart/SealGlyph';
import { blockWords, verdictFor, type DropVerdict } from './words';

interface Props {
  openings: readonly OpeningState[];
  sheet: TransitSheet;
  side: 'jacket' | 'armour';
  selected: BlockAt | null;
  /** Blocks that a check fails on. */
  failed: ReadonlySet<string>;
  onSelect: (at: BlockAt) => void;
  onMove: (from: BlockAt, to: BlockAt) => void;
}

export const keyOf = ({ opening, row, column, index }: BlockAt): string =>
  `${opening} ${row} ${column} ${index}`;
const atOf = (key: string): BlockAt => {
  const [index, column, row, ...label] = key.split(' ').reverse();
  return {
    opening: label.reverse().join(' '),
    row: Number(row),
    column: Number(column),
    index: Number(index),
  };
};

/** What all openings together may take beside the panel, and the highest of them, px. */
const WIDE_PX = 380;
const HIGH_PX = 500;
/** On a narrower page the face stands alone and takes its width. */
const NARROW_PX = 1240;
const FRAME_PX = 44;

/** The frame's face to scale: rows, plates, blocks and wedge; a cable is dragged to another block, by keyboard too. */
export function Face({ openings, sheet, side, selected, failed, onSelect, onMove }: Props) {
  const [over, setOver] = useState<DropVerdict | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  );
  const states = new Map(
    openings.flatMap(({ frame, blocks }) =>
      blocks.map((state) => [keyOf({ ...state, opening: frame.label }), state] as const),
    ),
  );
  const dragged = ({ active, over: on }: DragOverEvent | DragEndEvent) =>
    on && on.id !== active.id
      ? verdictFor(states.get(String(active.id)), states.get(String(on.id)), sheet)
      : null;
  const wideMm = openings.reduce((sum, { frame }) => sum + frame.widthMm, 0);
  const highMm = Math.max(...openings.map(({ frame }) => frame.heightMm), 1);
  const alone = window.innerWidth <= NARROW_PX;
  const roomPx = alone ? window.innerWidth - 60 : WIDE_PX;
  const pxPerMm = Math.min(
    (roomPx - FRAME_PX * openings.length) / Math.max(wideMm, 1),
    (alone ? HIGH_PX * 1.4 : HIGH_PX) / highMm,
  );
  return (
    <DndContext
      sensors={sensors}
      onDragOver={(event) => setOver(dragged(event))}
      onDragCancel={() => setOver(null)}
      onDragEnd={(event) => {
        setOver(null);
        if (dragged(event)) onMove(atOf(String(event.active.id)), atOf(String(event.over!.id)));
      }}
    >
      <div className="faces">
        {openings.map((opening) => (
          <OpeningFace
            key={opening.frame.label}
            opening={opening}
            sheet={sheet}
            side={side}
            selected={selected}
            failed={failed}
            onSelect={onSelect}
            pxPerMm={pxPerMm}
          />
        ))}
      </div>
      <p
        className={`drop-verdict ${over ? `tone-${over.good ? 'sound' : 'failed'}` : 'quiet'}`}
        aria-live="polite"
      >
        {over
          ? over.words
          : 'Drag a cable to another block, or choose one with Enter and move it with the arrow keys.'}
      </p>
    </DndContext>
  );
}

function OpeningFace({
  opening: { frame, packed, blocks },
  sheet,
  side,
  selected,
  failed,
  onSelect,
  pxPerMm,
}: { opening: OpeningState; pxPerMm: number } & Pick<
  Props,
  'sheet' | 'side' | 'selected' | 'failed' | 'onSelect'
>) {
  const compression = compressionOf(frame, packed, sheet, blocks);
  const px = (mm: number) => `${mm * pxPerMm}px`;
  return (
    <figure className="face" aria-label={`Opening ${frame.label}`}>
      <div className="face-frame" style={{ width: px(frame.widthMm), minHeight: px(frame.heightMm) }}>
        <div
          className={`face-wedge ${compression.state}`}
          style={{ height: px(Math.max(compression.leftMm, 8)) }}
        >
          {figure(compression.leftMm, 1)} mm for the wedge
        </div>
        {packed.rows
          .map((row, r) => ({ row, r }))
          .reverse()
          .map(({ row, r }) => (
            <div key={r} className="face-row">
              <div
                className={`face-plate${row.plate === false ? ' missing' : ''}`}
                style={{ height: px(sheet.stayPlateMm) }}
              />
              <div className="face-columns">
                {row.columns.map(({ widthMm, blocks: stack }, c) => (
                  <div key={c} className="face-column" style={{ width: px(widthMm) }}>
                    {stack
                      .map((_, i) => i)
                      .reverse()
                      .map((index) => {
                        const state = blocks.find(
                          (one) => one.row === r && one.column === c && one.index === index,
                        )!;
                        const at = { opening: frame.label, row: r, column: c, index };
                        return (
                          <BlockFace
                            key={index}
                            at={at}
                            state={state}
                            side={side}
                            px={widthMm * pxPerMm}
                            selected={selected !== null && keyOf(selected) === keyOf(at)}
                            failed={failed.has(keyOf(at))}
                            onSelect={() => onSelect(at)}
                          />
                        );
                      })}
                  </div>
                ))}
              </div>
            </div>
          ))}
      </div>
      <figcaption>Opening {frame.label}</figcaption>
    </figure>
  );
}

/** How a block was found, as the one status mark. */
function glyphOf({ block, sides }: BlockState, failed = false): GlyphState {
  if (failed) return 'large';
  if (block.cable === null) return block.core === null ? 'unread' : block.core ? 'na' : 'large';
  if (sides.some(({ faults }) => faults.length > 0)) return 'large';
  return sides.every(({ layers }) => layers !== null) && sides.length > 0 ? 'fits' : 'unread';
}

function BlockFace({
  at,
  state,
  side,
  px,
  selected,
  failed,
  onSelect,
}: {
  at: BlockAt;
  state: BlockState;
  side: 'jacket' | 'armour';
  px: number;
  selected: boolean;
  failed: boolean;
  onSelect: () => void;
}) {
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
