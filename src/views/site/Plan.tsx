import { SegmentedControl } from '@mantine/core';
import { useMemo, useState } from 'react';
import { ENTRY_STATES, type EntryState } from '../../core/record/finding';
import type { Area, Enclosure, Id } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { STATE_WORDS } from '../../core/words/en/labels';
import { layoutSite, type PlannedArea, type PlannedBox } from '../../drawing/site-plan';
import { glyphOfState } from '../../ui/glyph-state';
import { GlyphShapes } from '../../ui/heart/SealGlyph';
import { surfaceOf } from '../hand/surface';
import type { Stop } from './stop';
import { cut, zoneWords } from './plan-words';
import { ZoomedPlan } from './ZoomedPlan';

/** Size of a mark, m per unit of its drawing. */
const MARK_M = 0.085;
/** Under so many pixels a mark is no mark any more: one stands for its enclosure. */
const LEAST_MARK_PX = 11;

/** What is laid over the plan. */
type Overlay = 'state' | 'defects' | 'overdue';
const OVERLAYS: { value: Overlay; label: string }[] = [
  { value: 'state', label: 'State' },
  { value: 'defects', label: 'Open defects' },
  { value: 'overdue', label: 'Overdue' },
];

/** How many of what is laid over the plan an entry has. */
export type Counts = ReadonlyMap<Id, { open: number; overdue: number }>;

interface PlanProps {
  areas: readonly Area[];
  enclosures: readonly Enclosure[];
  stops: readonly Stop[];
  /** Whether an entry is shown; the plan stays as it is. */
  shows: (stop: Stop) => boolean;
  counts: Counts;
}

/**
 * The plan of the site in metres: its areas, and every entry as a seal glyph where its enclosure hangs. It is moved and
 * zoomed; far away one mark stands for an enclosure.
 */
export function Plan({ areas, enclosures, stops, shows, counts }: PlanProps) {
  const [overlay, setOverlay] = useState<Overlay>('state');
  const byEnclosure = useMemo(() => grouped(stops), [stops]);
  const plan = useMemo(
    () => layoutSite(areas, enclosures, (id) => byEnclosure.get(id)?.length ?? 0),
    [areas, enclosures, byEnclosure],
  );
  const shown = (box: PlannedBox) => byEnclosure.get(box.enclosure.id) ?? [];
  const overlays = (
    <SegmentedControl
      aria-label="Laid over the plan"
      value={overlay}
      data={OVERLAYS}
      onChange={(value) => setOverlay(value as Overlay)}
    />
  );
  return (
    <ZoomedPlan view={plan.view} label="Plan of the site" beside={overlays}>
      {(pxPerM) =>
        plan.areas.map((planned) => (
          <AreaShape key={planned.area.id} planned={planned}>
            {planned.boxes.map((box) => (
              <BoxShape
                key={box.enclosure.id}
                box={box}
                stops={shown(box)}
                scale={planned.scale}
                far={pxPerM * planned.scale * 2 < LEAST_MARK_PX}
                shows={shows}
                overlay={overlay}
                counts={counts}
              />
            ))}
          </AreaShape>
        ))
      }
    </ZoomedPlan>
  );
}

function AreaShape({ planned, children }: { planned: PlannedArea; children: React.ReactNode }) {
  const { area, outline, scale } = planned;
  return (
    <g>
      <rect {...outline} className={`area zone-${area.zone ?? 'none'}`} />
      <text x={outline.x + 0.7 * scale} y={outline.y + 1.7 * scale} fontSize={1.25 * scale} fontWeight={700}>
        {cut(area.name, outline.width / scale, 1.25)}
      </text>
      <text
        x={outline.x + 0.7 * scale}
        y={outline.y + 3 * scale}
        fontSize={1.05 * scale}
        className="area-zone"
      >
        {cut(zoneWords(area), outline.width / scale, 1.05)}
      </text>
      {children}
    </g>
  );
}

interface BoxProps {
  box: PlannedBox;
  stops: readonly Stop[];
  scale: number;
  /** Too far away for a mark per entry. */
  far: boolean;
  shows: (stop: Stop) => boolean;
  overlay: Overlay;
  counts: Counts;
}

/** An enclosure with its entries; far away one mark says how the worst of them stands. */
function BoxShape({ box, stops, scale, far, shows, overlay, counts }: BoxProps) {
  const { enclosure, x, y, width, height, tagAt, marks } = box;
  const worst = worstOf(stops.filter(shows));
  return (
    <g>
      <rect x={x} y={y + 1.2 * scale} width={width} height={height - 1.2 * scale} className="box" />
      {!far && (
        <text x={tagAt[0]} y={tagAt[1]} fontSize={1.05 * scale} className="tag figures">
          {cut(enclosure.tag, width / scale + 0.6, 1.05)}
        </text>
      )}
      {far && worst ? (
        <Mark stop={worst} at={[x + width / 2, y + 0.6 * scale + height / 2]} scale={scale * 1.5} beside={stops.length} />
      ) : (
        stops.map((stop, i) => shows(stop) && (
          <Mark key={stop.entry.id} stop={stop} at={marks[i]!} scale={scale}>
            <Badge n={counted(counts, stop.entry.id, overlay)} tone={overlay} />
          </Mark>
        ))
      )}
    </g>
  ); // prettier-ignore
}

function grouped(stops: readonly Stop[]): ReadonlyMap<Id, Stop[]> {
  const groups = new Map<Id, Stop[]>();
  for (const stop of stops) {
    const own = groups.get(stop.enclosure.id);
    if (own) own.push(stop);
    else groups.set(stop.enclosure.id, [stop]);
  }
  return groups;
}

const worstOf = (stops: readonly Stop[]): Stop | null =>
  stops.reduce<Stop | null>(
    (worst, one) =>
      !worst || ENTRY_STATES.indexOf(one.standing) < ENTRY_STATES.indexOf(worst.standing) ? one : worst,
    null,
  );

function counted(counts: Counts, entry: Id, overlay: Overlay): number {
  const own = counts.get(entry);
  if (!own || overlay === 'state') return 0;
  return overlay === 'defects' ? own.open : own.overdue;
}

/** The mark of an entry, or of an enclosure of several, with where it leads. */
function Mark({
  stop,
  at: [x, y],
  scale,
  beside = 1,
  children,
}: {
  stop: Stop;
  at: readonly [number, number];
  scale: number;
  /** How many entries it stands for. */
  beside?: number;
  children?: React.ReactNode;
}) {
  const { entry, enclosure, standing } = stop;
  return (
    <a href={surfaceOf(entry)} aria-label={markWords(enclosure.tag, entry.label, standing, beside)}>
      <g transform={`translate(${x} ${y}) scale(${MARK_M * scale})`}>
        <circle r="13" fill="var(--sheet)" />
        <GlyphShapes state={glyphOfState(standing)} />
        {children}
      </g>
    </a>
  );
}

const markWords = (tag: string, label: string, state: EntryState, entries: number): string =>
  entries > 1
    ? `${tag}, ${count(entries, 'entry', 'entries')}, the worst: ${STATE_WORDS[state]}`
    : `${tag}, entry ${label}: ${STATE_WORDS[state]}`;

/** How many defects an entry has, over its mark. */
function Badge({ n, tone }: { n: number; tone: Overlay }) {
  if (n === 0) return null;
  return (
    <g className={`badge badge-${tone}`} transform="translate(9 -9)">
      <circle r="7.5" />
      <text textAnchor="middle" y="4" fontSize="11" fontWeight={700}>
        {n}
      </text>
    </g>
  );
}
