import type { InstrumentFields } from './instrument';
import { readCaliper, restingCaliper, stepCaliper, type CaliperInput, type CaliperState } from './caliper';
import { GAUGES, readGauge, restingGauge, stepGauge, type GaugeInput, type GaugeState } from './gauge';
import type { InstrumentLine } from './line';

/** A simulated instrument in use: what it is doing, and how it goes on. Server and page drive the same one. */
export type Simulated =
  | { is: 'caliper'; instrument: InstrumentFields; state: CaliperState }
  | { is: 'gauge'; instrument: InstrumentFields; state: GaugeState };

/** The user's hand on any simulated instrument; what does not concern it is left out. */
export type InstrumentInput = CaliperInput & GaugeInput;

/** Whether an instrument can send by itself. */
export const sends = ({ simulated, kind }: InstrumentFields): boolean =>
  simulated && (kind === 'caliper' || kind in GAUGES);

/** An instrument taken out of its case; it has to be one that sends. */
export function takeOut(instrument: InstrumentFields, seed: number): Simulated {
  return instrument.kind === 'caliper'
    ? { is: 'caliper', instrument, state: restingCaliper(instrument, seed) }
    : { is: 'gauge', instrument, state: restingGauge(instrument, seed) };
}

/** The instrument after the user's hand and one sample's time. Pure. */
export function step(simulated: Simulated, input: InstrumentInput): Simulated {
  const { instrument } = simulated;
  return simulated.is === 'caliper'
    ? { ...simulated, state: stepCaliper(simulated.state, input, instrument.span) }
    : { ...simulated, state: stepGauge(simulated.state, input, instrument) };
}

/** What it sends. @param at time of the sample, ISO 8601 */
export const read = (simulated: Simulated, at: string): InstrumentLine =>
  simulated.is === 'caliper'
    ? readCaliper(simulated.state, simulated.instrument, at)
    : readGauge(simulated.state, simulated.instrument, at);
