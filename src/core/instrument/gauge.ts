import { faultOf } from './calibration';
import type { InstrumentFields } from './instrument';
import { THREADS } from '../gland/thread-table';
import type { InstrumentLine } from './line';
import { normalAt } from '../quantity/random';

/** An instrument that shows one value: what it is held against and what it shows now, in its unit. */
export interface GaugeState {
  /** True value of what it is held against; null when it is held against nothing. */
  target: number | null;
  /** Value that it has come to. */
  shown: number;
  sample: number;
  seed: number;
}

/** What the user does to it: holds it against something, or takes it away. */
export interface GaugeInput {
  target?: number | null;
}

/** How a gauge behaves. */
interface Behaviour {
  /** Value with nothing to show. */
  idle: number;
  /** The value that it comes to for a true one. */
  settles(target: number, instrument: InstrumentFields): number;
  /** One sample's way from a value to where it settles. */
  approach(from: number, to: number): number;
  /** How near to where it settles it counts as at rest. */
  restWithin(instrument: InstrumentFields): number;
}

/** Share of the way that a thermometer's sensor makes in one sample: it lags by about two seconds. Chosen: a contact probe on metal. */
const THERMOMETER_SHARE = 0.12;
/** Torque that a hand adds per sample before the driver clicks, N·m. Chosen: a steady pull. */
const TORQUE_PER_SAMPLE = 4;
/** Share of the way to its end value that charging insulation makes in one sample. Chosen: a short cable charges in about three seconds. */
const CHARGE_SHARE = 0.08;
/** Share of the way that a milliohm meter makes in one sample. Chosen: such a meter rests within a second. */
const METER_SHARE = 0.4;
/** Leaves of a feeler gauge, mm: every twentieth of a millimetre. Chosen: the usual set of leaves. */
const LEAF_MM = 0.05;

const PITCHES = [...new Set(THREADS.map(({ pitchMm }) => pitchMm))];
const atOnce = (_from: number, to: number): number => to;

export const GAUGES = {
  /** Creeps towards the temperature. */
  thermometer: {
    idle: 20,
    settles: (target) => target,
    approach: (from, to) => from + (to - from) * THERMOMETER_SHARE,
    restWithin: ({ resolution }) => Math.max(resolution, 0.1),
  },
  /** Rises with the hand and holds the torque at which it moved on. */
  'torque-driver': {
    idle: 0,
    settles: (target) => target,
    approach: (from, to) => Math.min(to, from + TORQUE_PER_SAMPLE),
    restWithin: () => 1e-9,
  },
  /** The thickest leaf that still goes in. */
  feeler: {
    idle: 0,
    settles: (target) => Math.max(0, Math.floor(target / LEAF_MM + 1e-9) * LEAF_MM),
    approach: atOnce,
    restWithin: () => 1e-9,
  },
  /** Rises as the insulation takes its charge, shows no more than its span, and falls when it is discharged. */
  'insulation-tester': {
    idle: 0,
    settles: (target, { span }) => Math.min(target, span[1]),
    approach: (from, to) =>
      to === 0
        ? from * (1 - CHARGE_SHARE)
        : Math.max(from, to * 0.3) + (to - Math.max(from, to * 0.3)) * CHARGE_SHARE,
    restWithin: ({ span }) => span[1] * 0.002,
  },
  /** Four wires on a joint: it comes to rest quickly. */
  'milliohm-meter': {
    idle: 0,
    settles: (target) => target,
    approach: (from, to) => from + (to - from) * METER_SHARE,
    restWithin: ({ resolution }) => resolution,
  },
  /** The leaf that lies on the thread. */
  'pitch-gauge': {
    idle: 0,
    settles: (target) =>
      PITCHES.reduce((best, p) => (Math.abs(p - target) < Math.abs(best - target) ? p : best)),
    approach: atOnce,
    restWithin: () => 1e-9,
  },
} satisfies Partial<Record<InstrumentFields['kind'], Behaviour>> as Record<GaugeKind, Behaviour>;

export type GaugeKind =
  'thermometer' | 'torque-driver' | 'feeler' | 'insulation-tester' | 'milliohm-meter' | 'pitch-gauge';

const behaviourOf = ({ kind }: InstrumentFields): Behaviour => GAUGES[kind as GaugeKind];

/** A gauge in its case. */
export const restingGauge = (instrument: InstrumentFields, seed: number): GaugeState => ({
  target: null,
  shown: behaviourOf(instrument).idle,
  sample: 0,
  seed,
});

/** The gauge after the user's hand and one sample's time. Pure: same state and input, same result. */
export function stepGauge(state: GaugeState, input: GaugeInput, instrument: InstrumentFields): GaugeState {
  const { idle, settles, approach } = behaviourOf(instrument);
  const target = input.target === undefined ? state.target : input.target;
  // What is charged discharges first; the others show nothing at once.
  const away = instrument.kind === 'insulation-tester' ? approach(state.shown, idle) : idle;
  const shown = target === null ? away : approach(state.shown, settles(target, instrument));
  return { ...state, target, shown, sample: state.sample + 1 };
}

/**
 * What the gauge sends, in steps of its resolution, with its repeatability as noise. Past its calibration date
 * it sends no value, but the reason.
 *
 * @param at time of the sample, ISO 8601
 */
export function readGauge(state: GaugeState, instrument: InstrumentFields, at: string): InstrumentLine {
  const { resolution, repeatability, id, kind, unit } = instrument;
  const { settles, restWithin } = behaviourOf(instrument);
  const { target, shown, sample, seed } = state;
  const resting = target !== null && Math.abs(shown - settles(target, instrument)) <= restWithin(instrument);
  // A leaf either goes in or it does not; what is read off a scale scatters.
  const scatters =
    resting && (kind === 'thermometer' || kind === 'torque-driver' || kind === 'milliohm-meter');
  const raw = shown + (scatters ? (repeatability ?? 0) * normalAt(seed, sample) : 0);
  const rounded = scatters ? Math.round(raw / resolution) * resolution : raw;
  const value = Number(rounded.toFixed(6));
  const fault = faultOf(instrument, value, at);
  return {
    instrument: id,
    sample,
    value: fault ? null : value,
    unit,
    stable: resting && !fault,
    fault,
    over: kind === 'insulation-tester' && target !== null && target > instrument.span[1] && resting,
    angle_deg: null,
  };
}
