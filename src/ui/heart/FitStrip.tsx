import './fit-strip.css';
import { figure } from '../../core/words/en/format';
import { toneOf, type GlyphState } from './SealGlyph';

/** What a strip shows, in one unit. */
export interface FitStripProps {
  unit: string;
  /** Certified range; an end that is open is null; null when nothing limits the place. */
  limits: [low: number | null, high: number | null] | null;
  readings: readonly number[];
  mean: number | null;
  uncertainty: number | null;
  /** Guard zones are shaded when acceptance is guarded. */
  guarded: boolean;
  state: GlyphState;
  /** Scales the shown figures, e.g. 1000 for Ω shown in mΩ. */
  factor?: number;
  decimals?: number;
}

const WIDTH = 200;

/** The fit strip: range as a slot, guard zones, a tick per reading, the uncertainty as a bar. To scale. */
export function FitStrip(props: FitStripProps) {
  const { unit, limits, mean, uncertainty, state, factor = 1, decimals = 2 } = props;
  const [low, high] = limits ?? [null, null];
  const show = (value: number) => figure(value * factor, decimals);
  const said =
    mean === null
      ? 'not read'
      : `${(mean * factor).toFixed(decimals)}${uncertainty === null ? '' : ` ± ${(uncertainty * factor).toFixed(decimals)}`} ${unit}`;
  return (
    <div className="strip">
      <svg
        viewBox={`0 0 ${WIDTH} 30`}
        className={toneOf(state)}
        role="img"
        aria-label={ariaOf(low, high, unit, said, show)}
        preserveAspectRatio="none"
      >
        <line
          x1="0"
          x2={WIDTH}
          y1="22"
          y2="22"
          stroke="var(--ink-2)"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
        <Scale {...props} />
      </svg>
      <div className="strip-figures figures" aria-hidden="true">
        <span>{low === null ? '' : show(low)}</span>
        <b className={toneOf(state)}>{said}</b>
        <span>{high === null ? '' : show(high)}</span>
      </div>
    </div>
  );
}

function Scale(props: FitStripProps) {
  const { limits, readings, mean, uncertainty } = props;
  const [from, to] = domainOf(limits?.[0] ?? null, limits?.[1] ?? null, readings);
  const x = (value: number) => ((value - from) / (to - from)) * WIDTH;
  return (
    <>
      {limits && <Slot {...props} limits={limits} x={x} perUnit={WIDTH / (to - from)} />}
      {mean !== null && uncertainty !== null && (
        <rect
          x={x(mean - uncertainty)}
          y="12.5"
          width={Math.max(x(mean + uncertainty) - x(mean - uncertainty), 1)}
          height="5"
          fill="currentColor"
        />
      )}
      {readings.map((value, i) => (
        <line
          key={i}
          x1={x(value)}
          x2={x(value)}
          y1="4"
          y2="26"
          stroke="currentColor"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </>
  );
}

interface SlotProps extends FitStripProps {
  limits: [low: number | null, high: number | null];
  x: (value: number) => number;
  /** Length of a unit on the strip. */
  perUnit: number;
}

/** The certified range; where acceptance is guarded, the zones at its ends are shaded. */
function Slot({ limits: [low, high], uncertainty, guarded, x, perUnit }: SlotProps) {
  const from = low === null ? 0 : x(low);
  const to = high === null ? WIDTH : x(high);
  const guard = guarded && uncertainty ? Math.min(uncertainty * perUnit, (to - from) / 2) : 0;
  return (
    <>
      <rect
        x={from}
        y="8"
        width={Math.max(to - from, 0)}
        height="14"
        fill="var(--brass-fill)"
        stroke="var(--brass)"
        vectorEffect="non-scaling-stroke"
      />
      {guard > 0 && low !== null && (
        <rect x={from} y="8" width={guard} height="14" fill="var(--brass)" opacity="0.65" />
      )}
      {guard > 0 && high !== null && (
        <rect x={to - guard} y="8" width={guard} height="14" fill="var(--brass)" opacity="0.65" />
      )}
    </>
  );
}

function domainOf(low: number | null, high: number | null, readings: readonly number[]): [number, number] {
  const ends = [...readings, ...(low === null ? [] : [low]), ...(high === null ? [] : [high])];
  if (ends.length === 0) return [0, 1];
  const least = Math.min(...ends);
  const most = Math.max(...ends);
  const pad = Math.max((most - least) * 0.18, most * 0.02, 1e-6);
  return [least - pad, most + pad];
}

function ariaOf(
  low: number | null,
  high: number | null,
  unit: string,
  said: string,
  show: (v: number) => string,
): string {
  const range =
    low !== null && high !== null
      ? `range ${show(low)} to ${show(high)} ${unit}`
      : low !== null
        ? `at least ${show(low)} ${unit}`
        : high !== null
          ? `at most ${show(high)} ${unit}`
          : 'no limits';
  return `${range}, ${said}`;
}
