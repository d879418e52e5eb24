import { faultOf } from './calibration';
import type { InstrumentFields } from './instrument';
import { clamp } from '../quantity/compare';
import type { InstrumentLine } from './line';
import { normalAt } from '../quantity/random';

/** What lies between the jaws: an oval thing, mm. */
export interface Workpiece {
  minorMm: number;
  majorMm: number;
}

/** A caliper in use. */
export interface CaliperState {
  /** Opening of the jaws, mm. */
  jawMm: number;
  /** Where the jaws are driven to, mm. */
  targetMm: number;
  /** Turn of the jaws round the cable, degrees. */
  angleDeg: number;
  workpiece: Workpiece | null;
  /** Counts the samples; the noise depends on it and on the seed. */
  sample: number;
  seed: number;
}

/** What the user does to the caliper; a field left out stays. */
export interface CaliperInput {
  jaws?: 'open' | 'close';
  angleDeg?: number;
  workpiece?: Workpiece | null;
}

/** Jaws travel this far per sample, mm. Chosen: a hand closes 20 mm in about a quarter of a second. */
const TRAVEL_MM = 9;
/** Noise of the electronics of an instrument whose repeatability nobody knows, in steps of its resolution. Chosen: the last digit flickers. */
const UNKNOWN_NOISE_STEPS = 1;

/** A caliper with its jaws open on nothing. */
export const restingCaliper = (instrument: InstrumentFields, seed: number): CaliperState => ({
  jawMm: instrument.span[0],
  targetMm: instrument.span[0],
  angleDeg: 0,
  workpiece: null,
  sample: 0,
  seed,
});

/** Width of an oval between parallel jaws turned by an angle, mm. */
export function widthAt({ minorMm, majorMm }: Workpiece, angleDeg: number): number {
  const angle = (angleDeg * Math.PI) / 180;
  return Math.hypot(majorMm * Math.cos(angle), minorMm * Math.sin(angle));
}

/** The caliper after the user's hand and one sample's time. Pure: same state and input, same result. */
export function stepCaliper(
  state: CaliperState,
  input: CaliperInput,
  span: readonly [number, number],
): CaliperState {
  const angleDeg = input.angleDeg ?? state.angleDeg;
  const workpiece = input.workpiece === undefined ? state.workpiece : input.workpiece;
  const rest = workpiece ? widthAt(workpiece, angleDeg) : span[0];
  const closing =
    input.jaws === 'close' || (input.jaws === undefined && state.targetMm <= restOf(state, span));
  const targetMm = closing ? rest : clamp(rest + 12, span[0], span[1]);
  const jawMm = state.jawMm + clamp(targetMm - state.jawMm, -TRAVEL_MM, TRAVEL_MM);
  return { ...state, jawMm, targetMm, angleDeg, workpiece, sample: state.sample + 1 };
}

const restOf = ({ workpiece, angleDeg }: CaliperState, span: readonly [number, number]): number =>
  workpiece ? widthAt(workpiece, angleDeg) : span[0];

/**
 * What the caliper sends: its opening with repeatability noise, in steps of its resolution.
 * Past its calibration date it sends no value, but the reason.
 *
 * @param at time of the sample, ISO 8601
 */
export function readCaliper(state: CaliperState, instrument: InstrumentFields, at: string): InstrumentLine {
  const { resolution, repeatability, id } = instrument;
  const touching = state.workpiece !== null && Math.abs(state.jawMm - restOf(state, instrument.span)) < 1e-6;
  const sigma = touching ? (repeatability ?? UNKNOWN_NOISE_STEPS * resolution) : 0;
  const raw = state.jawMm + sigma * normalAt(state.seed, state.sample);
  const shown = Math.round(raw / resolution) * resolution;
  const value = Number(Math.max(0, shown).toFixed(6));
  const fault = faultOf(instrument, value, at);
  return {
    instrument: id,
    sample: state.sample,
    value: fault ? null : value,
    unit: instrument.unit,
    stable: touching && !fault,
    fault,
    over: false,
    angle_deg: state.angleDeg,
  };
}
