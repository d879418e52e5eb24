import './drawing.css';
import { CORE_FILLS, pathOf } from '../../drawing/svg';
import type { Drawing, PartState, Shape } from '../../drawing/shapes';

interface Props {
  drawing: Drawing;
  states: Readonly<Record<string, PartState>>;
  selected?: string | null;
  /** Touching a part asks for its place; a picture that is only looked at has none. */
  onSelect?: (place: string) => void;
  /** Where along the lower edge, 0 to 1, the leader line of each place ends. */
  leaders?: Readonly<Record<string, number>>;
  /** Width over height of the frame it is shown in. */
  aspect: number;
  /** About how many pixels wide it is shown: pens and words keep their size on the screen. */
  shownPx?: number;
}

const NO_LEADERS: Readonly<Record<string, number>> = {};

/** A computed drawing on the screen: to scale, its parts touchable, leader lines down to the strips. */
export function DrawingView({
  drawing,
  states,
  selected = null,
  onSelect,
  leaders = NO_LEADERS,
  aspect,
  shownPx = 720,
}: Props) {
  const [left, top, width, height] = frame(drawing, aspect);
  const unit = width / shownPx;
  return (
    <svg
      className="drawing"
      viewBox={`${left} ${top} ${width} ${height}`}
      role="img"
      aria-label={drawing.description}
    >
      <defs>
        <pattern
          id="hatch-wall"
          width="2.4"
          height="2.4"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <line x1="0" y1="0" x2="0" y2="2.4" stroke="var(--steel)" strokeWidth="0.35" />
        </pattern>
        <pattern
          id="hatch-brass"
          width="2.4"
          height="2.4"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="2.4" stroke="var(--brass)" strokeWidth="0.35" />
        </pattern>
        <pattern id="dots-rubber" width="1.3" height="1.3" patternUnits="userSpaceOnUse">
          <circle cx="0.5" cy="0.5" r="0.16" fill="#ffffff" opacity="0.55" />
        </pattern>
      </defs>
      {drawing.shapes.map((shape, i) => (
        <ShapeView
          key={i}
          shape={shape}
          unit={unit}
          state={shape.place ? (states[shape.place] ?? null) : null}
          selected={shape.place !== undefined && shape.place === selected}
          onSelect={onSelect}
        />
      ))}
      {drawing.anchors.map(({ place, at }) => {
        const target = leaders[place];
        if (target === undefined) return null;
        return (
          <g key={place} className={`leader state-${states[place] ?? 'none'}`}>
            <circle cx={at[0]} cy={at[1]} r={2.6 * unit} />
            <line
              x1={at[0]}
              y1={at[1]}
              x2={left + target * width}
              y2={top + height}
              strokeWidth={1.5 * unit}
            />
          </g>
        );
      })}
      {drawing.labels.map(({ text, at, anchor, quiet }, i) => (
        <text
          key={i}
          x={at[0]}
          y={at[1]}
          textAnchor={anchor}
          fontSize={12.5 * unit}
          className={quiet ? 'label quiet' : 'label'}
        >
          {text}
        </text>
      ))}
    </svg>
  );
}

/** The drawing's box, widened to the shape of its frame so that nothing is stretched. */
function frame({ box }: Drawing, aspect: number): [number, number, number, number] {
  const [left, top, right, bottom] = box;
  const width = Math.max(right - left, (bottom - top) * aspect);
  const height = width / aspect;
  return [left - (width - (right - left)) / 2, top - (height - (bottom - top)) / 2, width, height];
}

function ShapeView({
  shape,
  unit,
  state,
  selected,
  onSelect,
}: {
  shape: Shape;
  unit: number;
  state: PartState;
  selected: boolean;
  onSelect: ((place: string) => void) | undefined;
}) {
  const { place, material } = shape;
  const marked = state !== null && (material === 'rubber' || (material === 'brass' && place !== undefined));
  const className = `m-${material}${marked ? ` marked state-${state}` : ''}${selected ? ' selected' : ''}`;
  const touch =
    place === undefined || !onSelect ? {} : { onClick: () => onSelect(place), 'data-place': place };
  if (shape.type === 'line') {
    // Armour and shroud are as thick as they are; other lines are as thick as a pen.
    const width = material === 'armour' || material === 'shroud' ? shape.width : (shape.width ?? 1) * unit;
    const dash = shape.dashed
      ? material === 'axis'
        ? `${9 * unit} ${3 * unit} ${2 * unit} ${3 * unit}`
        : `${6 * unit} ${1.5 * unit}`
      : undefined;
    return (
      <path
        d={pathOf(shape.points, false)}
        className={className}
        strokeWidth={width}
        strokeDasharray={dash}
        fill="none"
        {...touch}
      />
    );
  }
  const d = pathOf(shape.points, true);
  const fill = material === 'core' ? CORE_FILLS[(shape.index ?? 0) % CORE_FILLS.length] : undefined;
  const texture = TEXTURES[material];
  return (
    <>
      <path
        d={d}
        className={`${className} solid`}
        strokeWidth={(marked || selected ? 2.2 : 1.2) * unit}
        style={fill ? { fill } : undefined}
        {...touch}
      />
      {texture && <path d={d} fill={`url(#${texture})`} className="texture" />}
    </>
  );
}

const TEXTURES: Partial<Record<Shape['material'], string>> = {
  wall: 'hatch-wall',
  brass: 'hatch-brass',
  rubber: 'dots-rubber',
};
