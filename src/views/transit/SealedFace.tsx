import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { UnstyledButton } from '@mantine/core';
import type { FrameOpening, SealantSheet } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { leastDistances, type Placed } from '../../core/rulebook/transit-sealed';
import { figure } from '../../core/words/en/format';

/** Pixels that the wider side of a face takes. */
const FACE_PX = 420;
/** What stands beside it on a narrow page: frame and margins, px. */
const EDGES_PX = 64;
/** How far an arrow key moves a cable, mm. */
const KEY_MM = 2;

interface SealedFaceProps {
  frame: FrameOpening;
  cables: readonly Placed[];
  sealant: SealantSheet;
  dossier: Dossier;
  onMove: (id: string, xMm: number, yMm: number) => void;
}

/** A sealed opening to scale with its cables, each dragged or moved by the arrow keys. */
export function SealedFace({ frame, cables, sealant, dossier, onMove }: SealedFaceProps) {
  const sensors = useSensors(useSensor(PointerSensor), useSensor(KeyboardSensor));
  const round = frame.shape === 'round';
  const [w, h] = [frame.widthMm, round ? frame.widthMm : frame.heightMm];
  const px = Math.min(FACE_PX, window.innerWidth - EDGES_PX) / Math.max(w, h);
  const tag = (id: string) => dossier.transit!.cables.get(id)?.tag ?? id;
  const least = leastDistances(frame, cables);
  const near = tooNear(least, sealant);
  return (
    <div>
      <DndContext
        sensors={sensors}
        onDragEnd={({ active, delta }) => {
          const cable = cables.find(({ id }) => id === active.id);
          if (cable) onMove(cable.id, round1(cable.xMm + delta.x / px), round1(cable.yMm - delta.y / px));
        }}
      >
        <div className={`sealed-face${round ? ' round' : ''}`} style={{ width: w * px, height: h * px }}>
          {cables.map((cable) => (
            <SealedDot
              key={cable.id}
              cable={cable}
              tag={tag(cable.id)}
              bad={near.has(cable.id)}
              left={((round ? w / 2 : 0) + cable.xMm) * px}
              top={(h - (round ? h / 2 : 0) - cable.yMm) * px}
              px={px}
              onStep={(dx, dy) => onMove(cable.id, cable.xMm + dx * KEY_MM, cable.yMm + dy * KEY_MM)}
            />
          ))}
        </div>
      </DndContext>
      <p role="status" className={near.size > 0 ? 'tone-failed' : 'quiet'}>
        {nearestWords(least, sealant, tag)}
      </p>
    </div>
  );
}

type Least = ReturnType<typeof leastDistances>;

/** Cables that are nearer to each other or to the wall than the sheet asks for. */
const tooNear = ({ cables, wall }: Least, { cableGapMm, wallGapMm }: SealantSheet): ReadonlySet<string> =>
  new Set([
    ...(cables && cables.mm < cableGapMm - 1e-9 ? cables.ids : []),
    ...(wall && wall.mm < wallGapMm - 1e-9 ? [wall.id] : []),
  ]);

function nearestWords({ cables, wall }: Least, sealant: SealantSheet, tag: (id: string) => string): string {
  const pair = cables && `Nearest to each other: ${tag(cables.ids[0])} and ${tag(cables.ids[1])}, ${figure(cables.mm, 1)} mm; ${figure(sealant.cableGapMm, 0)} mm is asked for.`; // prettier-ignore
  const edge = wall && `Nearest to the wall: ${tag(wall.id)}, ${figure(wall.mm, 1)} mm; ${figure(sealant.wallGapMm, 0)} mm is asked for.`; // prettier-ignore
  return [pair, edge].filter(Boolean).join(' ');
}

const round1 = (mm: number): number => Math.round(mm * 10) / 10;
const STEPS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }; // prettier-ignore

interface SealedDotProps {
  cable: Placed;
  tag: string;
  bad: boolean;
  left: number;
  top: number;
  px: number;
  onStep: (dx: number, dy: number) => void;
}

function SealedDot({ cable, tag, bad, left, top, px, onStep }: SealedDotProps) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: cable.id });
  const size = cable.diameterMm * px;
  return (
    <UnstyledButton
      ref={setNodeRef}
      type="button"
      className={`sealed-dot${bad ? ' bad' : ''}`}
      style={{
        width: size,
        height: size,
        left: left - size / 2 + (transform?.x ?? 0),
        top: top - size / 2 + (transform?.y ?? 0),
      }}
      title={`${tag}, ${figure(cable.diameterMm, 1)} mm`}
      aria-label={`${tag}, ${figure(cable.diameterMm, 1)} mm; arrow keys move it`}
      {...listeners}
      onKeyDown={(event) => {
        const step = STEPS[event.key];
        if (!step) return;
        event.preventDefault();
        onStep(...step);
      }}
    >
      {size > 46 && tag.split('-').pop()}
    </UnstyledButton>
  );
}
