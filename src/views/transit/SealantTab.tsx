import { MeasuresInput, useMeasures } from '../../ui/MeasuresInput';
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { Button, Table, UnstyledButton } from '@mantine/core';
import { useMemo, useRef, useState } from 'react';
import { currentInstruments } from '../../core/record/instruments';
import { greedyPack } from '../../core/transit/pack/pack';
import { packCable, pickList, packedFrom } from '../../core/rulebook/transit-planned';
import { sealantNeed } from '../../core/transit/sealant';
import { leastDistances, placedIn, sealantOpening, type Placed } from '../../core/rulebook/transit-sealed';
import type { Slice } from '../../core/record/slice';
import type {
  FrameOpening,
  PackedOpening,
  SealantSheet,
  SealedCable,
  TransitSheet,
} from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { count, figure } from '../../core/words/en/format';
import { SealedReadings } from './SealedReadings';
import { Unpacked } from './Unpacked';

interface Props {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  onChange: (openings: PackedOpening[]) => void;
}

/** Cables on the face of a sealed opening, placed by dragging; what it takes to close it, and a block frame instead. */
export function SealantTab({ slice, dossier, sheet, onChange }: Props) {
  const sealant = sheet.sealant!;
  const openings = dossier.transit?.openings ?? [];
  const calipers = currentInstruments(slice, dossier.site.id).filter(({ kind }) => kind === 'caliper');
  const replace = (label: string, change: (opening: PackedOpening) => PackedOpening) =>
    onChange(openings.map(({ packed }) => (packed.label === label ? change(packed) : packed)));
  return (
    <>
      <Unpacked
        labels={dossier.transit?.unpacked ?? []}
        packed={openings.map(({ packed }) => packed)}
        onChange={onChange}
      />
      {openings.map(({ frame, packed }) => {
        const cables = placedIn(packed, dossier.transit!.cables);
        const move = (id: string, xMm: number, yMm: number) =>
          replace(frame.label, (opening) => ({
            ...opening,
            cables: opening.cables.map((one): SealedCable => (one.cable === id ? { ...one, xMm, yMm } : one)),
          }));
        return (
          <section key={frame.label} aria-label={`Opening ${frame.label}`}>
            <h2>
              Opening {frame.label},{' '}
              {frame.shape === 'round'
                ? `${figure(frame.widthMm, 0)} mm wide`
                : `${figure(frame.widthMm, 0)} × ${figure(frame.heightMm, 0)} mm`}
            </h2>
            <div className="sealant-columns">
              <SealedFace frame={frame} cables={cables} sealant={sealant} dossier={dossier} onMove={move} />
              <Need dossier={dossier} frame={frame} cables={cables} sealant={sealant} />
            </div>
            <SealedReadings
              packed={packed}
              cables={dossier.transit!.cables}
              calipers={calipers}
              onChange={(id, change) =>
                replace(frame.label, (opening) => ({
                  ...opening,
                  cables: opening.cables.map((one) => (one.cable === id ? change(one) : one)),
                }))
              }
            />
            <Recess
              key={packed.recessMm.join()}
              recessMm={packed.recessMm}
              side={dossier.entry.frame!.sides === 2 ? 'near side' : null}
              depthMm={sealant.depthMm}
              onKeep={(recessMm) => replace(frame.label, (opening) => ({ ...opening, recessMm }))}
            />
            {dossier.entry.frame!.sides === 2 && (
              <Recess
                key={`far ${packed.recessFarMm.join()}`}
                recessMm={packed.recessFarMm}
                side="far side"
                depthMm={sealant.depthMm}
                onKeep={(recessFarMm) => replace(frame.label, (opening) => ({ ...opening, recessFarMm }))}
              />
            )}
            <Instead slice={slice} dossier={dossier} frame={frame} cables={cables} />
          </section>
        );
      })}
    </>
  );
}

/** Pixels that the wider side of a face takes. */
const FACE_PX = 420;
/** What stands beside it on a narrow page: frame and margins, px. */
const EDGES_PX = 64;
/** How far an arrow key moves a cable, mm. */
const KEY_MM = 2;

function SealedFace({
  frame,
  cables,
  sealant,
  dossier,
  onMove,
}: {
  frame: FrameOpening;
  cables: readonly Placed[];
  sealant: SealantSheet;
  dossier: Dossier;
  onMove: (id: string, xMm: number, yMm: number) => void;
}) {
  const sensors = useSensors(useSensor(PointerSensor), useSensor(KeyboardSensor));
  const round = frame.shape === 'round';
  const [w, h] = [frame.widthMm, round ? frame.widthMm : frame.heightMm];
  const px = Math.min(FACE_PX, window.innerWidth - EDGES_PX) / Math.max(w, h);
  const { cables: pair, wall } = leastDistances(frame, cables);
  const tag = (id: string) => dossier.transit!.cables.get(id)?.tag ?? id;
  const near = new Set([
    ...(pair && pair.mm < sealant.cableGapMm - 1e-9 ? pair.ids : []),
    ...(wall && wall.mm < sealant.wallGapMm - 1e-9 ? [wall.id] : []),
  ]);
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
        {pair &&
          `Nearest to each other: ${tag(pair.ids[0])} and ${tag(pair.ids[1])}, ${figure(pair.mm, 1)} mm; ${figure(sealant.cableGapMm, 0)} mm is asked for. `}
        {wall &&
          `Nearest to the wall: ${tag(wall.id)}, ${figure(wall.mm, 1)} mm; ${figure(sealant.wallGapMm, 0)} mm is asked for.`}
      </p>
    </div>
  );
}

const round1 = (mm: number): number => Math.round(mm * 10) / 10;
const STEPS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }; // prettier-ignore

function SealedDot({
  cable,
  tag,
  bad,
  left,
  top,
  px,
  onStep,
}: {
  cable: Placed;
  tag: string;
  bad: boolean;
  left: number;
  top: number;
  px: number;
  onStep: (dx: number, dy: number) => void;
}) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: cable.id });
  const size = cable.diameterMm * px;
  const held = useRef<HTMLButtonElement | null>(null);
  return (
    <UnstyledButton
      ref={(node) => {
        held.current = node;
        setNodeRef(node);
      }}
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

/** What closing the opening takes. */
function Need({
  dossier,
  frame,
  cables,
  sealant,
}: {
  dossier: Dossier;
  frame: FrameOpening;
  cables: readonly Placed[];
  sealant: SealantSheet;
}) {
  const { sides, wallDepthMm } = dossier.entry.frame!;
  const need = sealantNeed({
    opening: sealantOpening(frame),
    cablesMm: cables.map(({ diameterMm }) => diameterMm),
    depthMm: sealant.depthMm,
    sides,
    wallDepthMm,
    wastePct: sealant.wastePct,
    cartridgeMl: sealant.cartridgeMl,
    sleeve: sealant.sleeve,
    maxFillPct: sealant.maxFillPct,
  });
  const rows: [string, string, boolean][] = [
    [
      'Filled by cables',
      `${figure(need.fillPct, 1)} %, at most ${figure(sealant.maxFillPct, 0)} %`,
      need.fillConforms,
    ],
    ['Cables with their sleeves', need.fits ? 'fit the opening' : 'need more than the opening', need.fits],
    ['Sleeves round cables, per side', String(need.wrapSleevesPerSide), true],
    ['Filler sleeves, per side', String(need.fillerSleevesPerSide), true],
    [
      'Sealant',
      `${figure(need.sealantMl, 0)} ml, ${count(need.cartridges, 'cartridge')} of ${figure(sealant.cartridgeMl, 0)} ml`,
      true,
    ],
    [
      'Depth of the wall',
      need.depthConforms
        ? `${figure(wallDepthMm, 0)} mm is enough for sleeves and recess`
        : `cut the sleeves to ${figure(need.cutSleevesToMm ?? 0, 0)} mm`,
      need.depthConforms,
    ],
  ];
  return (
    <Table className="need">
      <Table.Tbody>
        {rows.map(([title, words, good]) => (
          <Table.Tr key={title}>
            <Table.Th scope="row">{title}</Table.Th>
            <Table.Td className={good ? '' : 'tone-failed'}>{words}</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

/** The depth of the sealant at several points, as it was found. */
function Recess({
  recessMm,
  side,
  depthMm,
  onKeep,
}: {
  recessMm: readonly number[];
  /** Which side of the wall; null where only one is closed. */
  side: string | null;
  depthMm: number;
  onKeep: (mm: number[]) => void;
}) {
  const depths = useMeasures(recessMm);
  const keep = () => {
    const values = depths.need();
    if (values) onKeep(values);
  };
  const shallow = recessMm.some((mm) => mm < depthMm - 1e-9);
  return (
    <form
      className="recess"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <MeasuresInput
        label={`Depth of the sealant as found${side ? `, ${side}` : ''}, mm, at three points or more (${figure(depthMm, 0)} mm is asked for)`}
        measures={depths}
      />
      <Button type="submit" variant="default">
        Keep the depths
      </Button>
      {shallow && (
        <p className="tone-failed">Too shallow at one point: cut it out there and press in more.</p>
      )}
    </form>
  );
}

/** The same cables in a block frame of that opening: space, parts, steps and the effort of the next cable. */
function Instead({
  slice,
  dossier,
  frame,
  cables,
}: {
  slice: Slice;
  dossier: Dossier;
  frame: FrameOpening;
  cables: readonly Placed[];
}) {
  const [open, setOpen] = useState(false);
  const system = slice
    .by('certificate', 'site', dossier.entry.site)
    .find(({ sheet }) => (sheet.transit?.blocks.length ?? 0) > 0);
  const words = useMemo(
    () => (open && system ? compare(system.sheet.transit!, frame, cables, dossier) : []),
    [open, system, frame, cables, dossier],
  );
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>A block frame instead, for the same cables</summary>
      {system ? (
        <>
          <p className="quiet">
            By sheet {system.sheet.number}, in a rectangular frame that goes into this opening.
          </p>
          <ul>
            {words.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </>
      ) : (
        <p>No block system is on file. Add one under Dossier, Certificates.</p>
      )}
    </details>
  );
}

function compare(
  sheet: TransitSheet,
  frame: FrameOpening,
  cables: readonly Placed[],
  dossier: Dossier,
): string[] {
  // Of a round opening only the square inside it takes a frame.
  const side = frame.shape === 'round' ? frame.widthMm / Math.SQRT2 : null;
  const grid = Math.min(...sheet.blocks.map(({ sizeMm }) => sizeMm));
  const widthMm = Math.floor((side ?? frame.widthMm) / grid) * grid;
  const heightMm = side ?? frame.heightMm;
  const records = cables.flatMap(({ id }) => dossier.transit!.cables.get(id) ?? []);
  const result = greedyPack({
    openings: [
      { id: '1', widthMm, heightMm, plateMm: sheet.stayPlateMm, compressionMm: sheet.compressionMm },
    ],
    blocks: sheet.blocks,
    cables: records.map((cable) => packCable(cable, false)),
    sparePct: 20,
  });
  if (!result) {
    return [
      `Blocks do not take these cables in ${figure(widthMm, 0)} × ${figure(heightMm, 0)} mm. Sealant does.`,
      'Next cable in sealant: one hole is cored, one side is closed again.',
    ];
  }
  const list = pickList(packedFrom(result, false));
  const pairs = list.blocks.reduce((sum, { withCable, spare }) => sum + withCable + spare, 0);
  return [
    `Space left: ${figure(result.sparePct, 1)} % of the blocks are spare.`,
    `Parts: ${count(pairs, 'block pair')}, ${count(list.plates, 'stay plate')}, one compression unit.`,
    `Steps: ${count(cables.length, 'block')} peeled, ${count(list.plates, 'row')} built, one wedge; in sealant: wrap, fill, seal ${dossier.entry.frame!.sides === 2 ? 'both sides' : 'one side'}, wait for it to set.`,
    'Next cable in blocks: the wedge and the rows before a spare come out; in sealant: one hole is cored and closed.',
  ];
}
