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
export function DrawingView(props: Props) {
  const { drawing, states, selected = null, onSelect, aspect, shownPx = 720 } = props;
  const box = frame(drawing, aspect);
  const unit = box[2] / shownPx;
  return (
    <svg className="drawing" viewBox={box.join(' ')} role="img" aria-label={drawing.description}>
      <Textures />
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
      <Leaders {...props} box={box} unit={unit} />
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

/** Hatchings by which materials are told apart without colour. */
const Textures = () => (
  <defs>
    <Hatch id="hatch-wall" deg={-45} colour="var(--steel)" />
    <Hatch id="hatch-brass" deg={45} colour="var(--brass)" />
    <pattern id="dots-rubber" width="1.3" height="1.3" patternUnits="userSpaceOnUse">
      <circle cx="0.5" cy="0.5" r="0.16" fill="#ffffff" opacity="0.55" />
    </pattern>
  </defs>
);

const Hatch = ({ id, deg, colour }: { id: string; deg: number; colour: string }) => (
  <pattern id={id} width="2.4" height="2.4" patternUnits="userSpaceOnUse" patternTransform={`rotate(${deg})`}>
    <line x1="0" y1="0" x2="0" y2="2.4" stroke={colour} strokeWidth="0.35" />
  </pattern>
);

type Box = readonly [left: number, top: number, width: number, height: number];

/** Lines from the places of the drawing down to their strips. */
function Leaders({ drawing, states, leaders = NO_LEADERS, box, unit }: Props & { box: Box; unit: number }) {
  const [left, top, width, height] = box;
  return drawing.anchors.map(({ place, at }) => {
    const target = leaders[place];
    if (target === undefined) return null;
    return (
      <g key={place} className={`leader state-${states[place] ?? 'none'}`}>
        <circle cx={at[0]} cy={at[1]} r={2.6 * unit} />
        <line x1={at[0]} y1={at[1]} x2={left + target * width} y2={top + height} strokeWidth={1.5 * unit} />
      </g>
    );
  });
}

/** The drawing's box, widened to the shape of its frame so that nothing is stretched. */
function frame({ box }: Drawing, aspect: number): Box {
  const [left, top, right, bottom] = box;
  const width = Math.max(right - left, (bottom - top) * aspect);
  const height = width / aspect;
  return [left - (width - (right - left)) / 2, top - (height - (bottom - top)) / 2, width, height];
}

interface ShapeViewProps {
  shape: Shape;
  unit: number;
  state: PartState;
  selected: boolean;
  onSelect: ((place: string) => void) | undefined;
}

function ShapeView({ shape, unit, state, selected, onSelect }: ShapeViewProps) {
  const { place, material } = shape;
  const marked = state !== null && (material === 'rubber' || (material === 'brass' && place !== undefined));
  const className = `m-${material}${marked ? ` marked state-${state}` : ''}${selected ? ' selected' : ''}`;
  const touch =
    place === undefined || !onSelect ? {} : { onClick: () => onSelect(place), 'data-place': place };
  if (shape.type === 'line')
    return <path d={pathOf(shape.points, false)} className={className} {...strokeOf(shape, unit)} fill="none" {...touch} />; // prettier-ignore
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

/** Armour and shroud are as thick as they are; other lines are as thick as a pen. */
function strokeOf({ material, width = 1, dashed }: Shape & { type: 'line' }, unit: number) {
  const toScale = material === 'armour' || material === 'shroud';
  const axis = `${9 * unit} ${3 * unit} ${2 * unit} ${3 * unit}`;
  const hidden = `${6 * unit} ${1.5 * unit}`;
  return {
    strokeWidth: toScale ? width : width * unit,
    strokeDasharray: dashed ? (material === 'axis' ? axis : hidden) : undefined,
  };
}

const TEXTURES: Partial<Record<Shape['material'], string>> = {
  wall: 'hatch-wall',
  brass: 'hatch-brass',
  rubber: 'dots-rubber',
};
