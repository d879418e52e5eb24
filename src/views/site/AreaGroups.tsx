import { Button, NativeSelect } from '@mantine/core';
import { useMemo, useState } from 'react';
import { lists } from '../../client/lists';
import type { AreaCounts } from '../../core/programme/lists';
import { ENTRY_STATES, type EntryState } from '../../core/record/finding';
import type { Area, Id } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { STATE_WORDS } from '../../core/words/en/labels';
import { layoutSite, type PlannedArea, type RectM } from '../../drawing/site-plan';
import { glyphOfState } from '../../ui/glyph-state';
import { GlyphShapes } from '../../ui/heart/SealGlyph';
import { surfaceOf } from '../hand/surface';
import { useAsked } from '../hand/use-asked';
import { cut, zoneWords } from './plan-words';
import { ZoomedPlan } from './ZoomedPlan';

/** Room for a mark with its number, and for the words of an area, m at scale 1. */
const [GROUP, WORDS] = [5.4, 4.6] as const;

/** Room around an area that is looked at, a share of its width: its name stands there. */
const AROUND = 0.1;
/** Room for a mark, m at scale 1. */
const MARK = 2.4;

interface Props {
  areas: readonly Area[];
  counts: readonly AreaCounts[];
  /** What of it can be asked grows with this. */
  version: number;
  chosen: Id | null;
  onChoose: (area: Id | null) => void;
}

/**
 * The plan of a large site: its areas, level by level, each with how many of its entries are in which state. An area
 * that is chosen is looked at from near: each of its enclosures by the worst of its entries.
 */
export function AreaGroups({ areas, counts, version, chosen, onChoose }: Props) {
  const levels = useMemo(() => [...new Set(areas.map(({ levelM }) => levelM))].sort((a, b) => a - b), [areas]);
  const [level, setLevel] = useState('all');
  const shown = useMemo(
    () => areas.filter(({ levelM }) => level === 'all' || `${levelM}` === level),
    [areas, level],
  );
  const plan = useMemo(() => layoutSite(shown, [], () => 0), [shown]);
  const near = plan.areas.find(({ area }) => area.id === chosen) ?? null;
  const drawn = near ? plan.areas.filter(({ outline }) => meets(outline, padded(near.outline))) : plan.areas;
  const choose = (area: Id) => onChoose(chosen === area ? null : area);
  return (
    <ZoomedPlan
      view={near ? padded(near.outline) : plan.view}
      label="Plan of the site, by area"
      beside={
        <>
          {levels.length > 1 && (
            <NativeSelect
              aria-label="Level"
              value={level}
              onChange={({ currentTarget }) => setLevel(currentTarget.value)}
              data={[{ value: 'all', label: 'All levels' }, ...levels.map((m) => ({ value: `${m}`, label: `Level ${m} m` }))]}
            />
          )}
          {near && (
            <Button variant="default" onClick={() => onChoose(null)}>
              All areas
            </Button>
          )}
        </>
      }
    >
      {() =>
        drawn.map((planned) => (
          <AreaGroup
            key={planned.area.id}
            planned={planned}
            counts={counts.find(({ area }) => area === planned.area.id) ?? null}
            near={planned === near ? version : null}
            onChoose={() => choose(planned.area.id)}
          />
        ))
      }
    </ZoomedPlan>
  );
} // prettier-ignore

const padded = ({ x, y, width, height }: RectM): RectM => {
  const room = AROUND * width;
  return { x: x - room, y: y - room, width: width + 2 * room, height: height + 2 * room };
};

const meets = (one: RectM, other: RectM): boolean =>
  one.x < other.x + other.width && other.x < one.x + one.width && one.y < other.y + other.height && other.y < one.y + one.height; // prettier-ignore

interface GroupProps {
  planned: PlannedArea;
  counts: AreaCounts | null;
  /** Looked at from near, as its enclosures stand by now; null: one of many. */
  near: number | null;
  onChoose: () => void;
}

/** An area: pressed, the list shows its entries alone. */
function AreaGroup({ planned: { area, outline }, counts, near, onChoose }: GroupProps) {
  const chosen = near !== null;
  const states = counts ? ENTRY_STATES.filter((state) => counts.state[state] > 0) : [];
  const of = states.reduce((sum, state) => sum + counts!.state[state], 0);
  // Words and marks are as large as the area lets them; from near its name stands over it.
  const scale = chosen
    ? (AROUND * outline.width) / WORDS
    : Math.min(2.2, outline.width / (2 * GROUP), outline.height / (WORDS + 3));
  const words = chosen ? outline.y - 3.6 * scale : outline.y;
  const across = Math.max(1, Math.floor(outline.width / (GROUP * scale)));
  const said = states
    .map((state) => `${counts!.state[state]} ${STATE_WORDS[state].toLowerCase()}`)
    .join(', ');
  const button = (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={`${area.name}: ${count(of, 'entry', 'entries')}${said && `, ${said}`}`}
      onClick={onChoose}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onChoose();
      }}
    >
      <rect
        {...outline}
        className={`area zone-${area.zone ?? 'none'}`}
        style={chosen ? { stroke: 'var(--action)', strokeWidth: outline.width / 150 } : { cursor: 'pointer' }}
      />
      <g transform={`translate(${outline.x} ${words}) scale(${scale})`}>
        <text x="0.7" y="1.7" fontSize="1.25" fontWeight={700}>
          {cut(area.name, outline.width / scale, 1.25)}
        </text>
        <text x="0.7" y="3" fontSize="1.05" className="area-zone">
          {cut(zoneWords(area), outline.width / scale, 1.05)}
        </text>
        {!chosen && <States states={states} counts={counts!} across={across} />}
      </g>
    </g>
  );
  return (
    <>
      {button}
      {chosen && <Marks area={area} outline={outline} version={near} />}
    </>
  );
} // prettier-ignore

interface StatesProps {
  states: readonly EntryState[];
  counts: AreaCounts;
  /** How many stand side by side. */
  across: number;
}

/** How many entries are in which state. */
const States = ({ states, counts, across }: StatesProps) =>
  states.map((state, i) => (
    <g key={state} transform={`translate(${1.6 + (i % across) * GROUP} ${WORDS + 0.6 + Math.floor(i / across) * 2.6})`}>
      <g transform="scale(0.085)">
        <GlyphShapes state={glyphOfState(state)} />
      </g>
      <text x="1.4" y="0.45" fontSize="1.3" className="figures">
        {counts.state[state]}
      </text>
    </g>
  )); // prettier-ignore

interface MarksProps {
  area: Area;
  outline: RectM;
  version: number;
}

/** The enclosures of an area where they hang, each by the worst of its entries. */
function Marks({ area, outline, version }: MarksProps) {
  const { answer, problem } = useAsked((signal) => lists.marks(area.site, area.id, signal), `${area.id} ${version}`);
  const letters = outline.width / 40;
  if (!answer)
    return (
      <text x={outline.x + letters} y={outline.y + 2 * letters} fontSize={letters}>
        {problem ?? 'Fetching its enclosures …'}
      </text>
    );
  const { marks, of } = answer;
  const scale = Math.min(1, Math.sqrt((outline.width * outline.height) / Math.max(marks.length, 1)) / MARK);
  const within = (at: number, from: number, room: number) => Math.min(Math.max(at, from + scale), from + room - scale);
  return (
    <>
      {of > marks.length && (
        <text x={outline.x + outline.width} y={outline.y - letters} fontSize={letters} textAnchor="end">
          {marks.length} of {of} enclosures, the worst first
        </text>
      )}
      {/* The worst lie on top. */}
      {marks.toReversed().map(({ id, tag, x, y, entries, worst }) => (
        <a key={id} href={surfaceOf({ id: worst.id, site: area.site, kind: worst.kind })} aria-label={markWords(tag, entries, worst.state)}>
          <g transform={`translate(${within(x, outline.x, outline.width)} ${within(y, outline.y, outline.height)}) scale(${0.06 * scale})`}>
            <GlyphShapes state={glyphOfState(worst.state)} />
          </g>
        </a>
      ))}
    </>
  );
} // prettier-ignore

const markWords = (tag: string, entries: number, worst: EntryState): string =>
  `${tag}, ${count(entries, 'entry', 'entries')}, the worst: ${STATE_WORDS[worst].toLowerCase()}`;
