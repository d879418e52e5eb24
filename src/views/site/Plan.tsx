import type { Area, Enclosure } from '../../core/record/types';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { GlyphShapes } from '../../ui/heart/SealGlyph';
import type { Stop } from './stop';

/** Size of a mark and the step between the marks of one enclosure, m. */
const MARK_M = 0.085;
const STEP_M = 2.2;

/** The plan of the site: its areas, and every entry as a seal glyph where its enclosure hangs. In metres. */
export function Plan({
  areas,
  enclosures,
  stops,
}: {
  areas: readonly Area[];
  enclosures: readonly Enclosure[];
  stops: readonly Stop[];
}) {
  const [left, top, right, bottom] = boundsOf(areas);
  return (
    <svg
      className="plan"
      viewBox={`${left - 1.5} ${top - 1.5} ${right - left + 3} ${bottom - top + 3}`}
      role="group"
      aria-label="Plan of the site"
    >
      {areas.map((area) => (
        <g key={area.id}>
          <rect {...area.outlineM} className={`area zone-${area.zone ?? 'none'}`} />
          <text x={area.outlineM.x + 0.7} y={area.outlineM.y + 1.7} className="area-name">
            {area.name}
          </text>
          <text x={area.outlineM.x + 0.7} y={area.outlineM.y + 3} className="area-zone">
            {zoneWords(area)}
          </text>
        </g>
      ))}
      {enclosures.map((enclosure) => {
        const { x, y } = enclosure.positionM;
        const own = stops.filter((stop) => stop.enclosure.id === enclosure.id);
        const width = Math.max(own.length, 1) * STEP_M + 0.4;
        return (
          <g key={enclosure.id} transform={`translate(${x} ${y})`}>
            <rect x={-1.3} y={-1.2} width={width} height={2.4} className="box" />
            <text x={-1.2} y={-1.6} className="tag">
              {enclosure.tag}
            </text>
            {own.map(({ entry, standing }, i) => (
              <a
                key={entry.id}
                href={`/bench/?entry=${entry.id}&site=${entry.site}`}
                aria-label={`${enclosure.tag}, entry ${entry.label}: ${STATE_WORDS[standing]}`}
              >
                <g transform={`translate(${i * STEP_M} 0) scale(${MARK_M})`}>
                  <circle r="13" fill="var(--sheet)" />
                  <GlyphShapes state={glyphOfState(standing)} />
                </g>
              </a>
            ))}
          </g>
        );
      })}
    </svg>
  );
}

function boundsOf(areas: readonly Area[]): [number, number, number, number] {
  if (areas.length === 0) return [0, 0, 30, 20];
  return [
    Math.min(...areas.map(({ outlineM }) => outlineM.x)),
    Math.min(...areas.map(({ outlineM }) => outlineM.y)),
    Math.max(...areas.map(({ outlineM }) => outlineM.x + outlineM.width)),
    Math.max(...areas.map(({ outlineM }) => outlineM.y + outlineM.height)),
  ];
}

function zoneWords({ zone, group, temperatureClass, levelM }: Area): string {
  const what =
    zone === null
      ? 'zone not recorded'
      : zone === 'unclassified'
        ? 'unclassified'
        : `zone ${zone}, ${group ?? 'group not recorded'}${temperatureClass ? ` ${temperatureClass}` : ''}`;
  return levelM === 0 ? what : `${what}, level ${levelM} m`;
}
