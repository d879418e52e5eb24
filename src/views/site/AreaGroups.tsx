import { useMemo } from 'react';
import type { AreaCounts } from '../../core/programme/lists';
import { ENTRY_STATES } from '../../core/record/finding';
import type { Area, Id } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { STATE_WORDS } from '../../core/words/en/labels';
import { layoutSite, type PlannedArea } from '../../drawing/site-plan';
import { glyphOfState } from '../../ui/glyph-state';
import { GlyphShapes } from '../../ui/heart/SealGlyph';
import { cut, zoneWords } from './plan-words';
import { ZoomedPlan } from './ZoomedPlan';

/** Room for a mark with its number, and for the words of an area, m at scale 1. */
const [GROUP, WORDS] = [5.4, 4.6] as const;

interface Props {
  areas: readonly Area[];
  counts: readonly AreaCounts[];
  chosen: Id | null;
  onChoose: (area: Id | null) => void;
}

/** The plan of a large site: its areas, each with how many of its entries are in which state. */
export function AreaGroups({ areas, counts, chosen, onChoose }: Props) {
  const plan = useMemo(() => layoutSite(areas, [], () => 0), [areas]);
  return (
    <ZoomedPlan view={plan.view} label="Plan of the site, by area">
      {() =>
        plan.areas.map((planned) => (
          <AreaGroup
            key={planned.area.id}
            planned={planned}
            counts={counts.find(({ area }) => area === planned.area.id) ?? null}
            chosen={chosen === planned.area.id}
            onChoose={() => onChoose(chosen === planned.area.id ? null : planned.area.id)}
          />
        ))
      }
    </ZoomedPlan>
  );
}

interface GroupProps {
  planned: PlannedArea;
  counts: AreaCounts | null;
  chosen: boolean;
  onChoose: () => void;
}

/** An area: pressed, the list shows its entries alone. */
function AreaGroup({ planned: { area, outline }, counts, chosen, onChoose }: GroupProps) {
  const states = counts ? ENTRY_STATES.filter((state) => counts.state[state] > 0) : [];
  const of = states.reduce((sum, state) => sum + counts!.state[state], 0);
  // Words and marks are as large as the area lets them.
  const scale = Math.min(2.2, outline.width / (2 * GROUP), outline.height / (WORDS + 3));
  const across = Math.max(1, Math.floor(outline.width / (GROUP * scale)));
  const said = states
    .map((state) => `${counts!.state[state]} ${STATE_WORDS[state].toLowerCase()}`)
    .join(', ');
  return (
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
        style={chosen ? { stroke: 'var(--action)', strokeWidth: 0.4 } : { cursor: 'pointer' }}
      />
      <g transform={`translate(${outline.x} ${outline.y}) scale(${scale})`}>
        <text x="0.7" y="1.7" fontSize="1.25" fontWeight={700}>
          {cut(area.name, outline.width / scale, 1.25)}
        </text>
        <text x="0.7" y="3" fontSize="1.05" className="area-zone">
          {cut(zoneWords(area), outline.width / scale, 1.05)}
        </text>
        {states.map((state, i) => (
          <g
            key={state}
            transform={`translate(${1.6 + (i % across) * GROUP} ${WORDS + 0.6 + Math.floor(i / across) * 2.6})`}
          >
            <g transform="scale(0.085)">
              <GlyphShapes state={glyphOfState(state)} />
            </g>
            <text x="1.4" y="0.45" fontSize="1.3" className="figures">
              {counts!.state[state]}
            </text>
          </g>
        ))}
      </g>
    </g>
  );
}
