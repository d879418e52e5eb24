import { Group, Text } from '@mantine/core';
import { DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent, DragOverEvent } from '@dnd-kit/core';
import { useState } from 'react';
import type { OpeningState } from '../../core/rulebook/transit-records';
import type { BlockAt } from '../../core/rulebook/transit-planned';
import { atOf, keyOf } from './block-key';
import { OpeningFace, type FaceShown } from './OpeningFace';
import { verdictFor, type DropVerdict } from './words';

interface FaceProps extends FaceShown {
  openings: readonly OpeningState[];
  onMove: (from: BlockAt, to: BlockAt) => void;
}

/** What all openings together may take beside the panel, and the highest of them, px. */
const WIDE_PX = 380;
const HIGH_PX = 500;
/** On a narrower page the face stands alone and takes its width. */
const NARROW_PX = 1240;
const FRAME_PX = 44;

/** The frame's face to scale: rows, plates, blocks and wedge; a cable is dragged to another block, by keyboard too. */
export function Face(props: FaceProps) {
  const { openings, sheet, onMove } = props;
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
  const pxPerMm = scaleFor(openings);
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
      <Group gap={18} align="flex-end">
        {openings.map((opening) => (
          <OpeningFace key={opening.frame.label} {...props} opening={opening} pxPerMm={pxPerMm} />
        ))}
      </Group>
      <Text
        mih={44}
        maw={380}
        my="sm"
        className={`drop-verdict ${over ? `tone-${over.good ? 'sound' : 'failed'}` : 'quiet'}`}
        aria-live="polite"
      >
        {over
          ? over.words
          : 'Drag a cable to another block, or choose one with Enter and move it with the arrow keys.'}
      </Text>
    </DndContext>
  );
}

/** One scale for all openings, so that they can be compared. */
function scaleFor(openings: readonly OpeningState[]): number {
  const wideMm = openings.reduce((sum, { frame }) => sum + frame.widthMm, 0);
  const highMm = Math.max(...openings.map(({ frame }) => frame.heightMm), 1);
  const alone = window.innerWidth <= NARROW_PX;
  const roomPx = alone ? window.innerWidth - 60 : WIDE_PX;
  return Math.min(
    (roomPx - FRAME_PX * openings.length) / Math.max(wideMm, 1),
    (alone ? HIGH_PX * 1.4 : HIGH_PX) / highMm,
  );
}
