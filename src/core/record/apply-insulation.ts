import { pairsOf } from '../mineral/insulation';
import { faultOf } from './apply-inspection';
import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';

/** Begins an insulation test of a mineral-insulated cable; its pairs are read one by one. */
export function applyInsulationStart(draft: Draft, payload: Payloads['insulation.start']): void {
  draft.needFree('insulation', payload.id);
  const cable = draft.need('cable', payload.cable, 'cable');
  if (!cable.mineral) {
    throw new Refusal(
      'invalid',
      'cable',
      'This cable is not recorded as mineral insulated. Complete its record first.',
    );
  }
  const instrument = draft.need('instrument', payload.instrument, 'instrument');
  if (instrument.kind !== 'insulation-tester') {
    throw new Refusal(
      'invalid',
      'instrument',
      `${instrument.tag} is no insulation tester. Choose another instrument.`,
    );
  }
  // A test whose instrument nobody has checked would be worth nothing; unlike a length it is quickly taken again.
  if (faultOf(instrument, instrument.span[0], draft.command.at) === 'past-calibration') {
    throw new Refusal(
      'invalid',
      'instrument',
      `${instrument.tag} is past its calibration date. Choose another tester.`,
    );
  }
  const { at, site } = draft.command;
  draft.put('insulation', { ...payload, site, readings: [], by: draft.person, at });
}

/** Adds the reading of one pair; an earlier one of the same pair stays beside it. */
export function applyInsulationRead(draft: Draft, { id, ...reading }: Payloads['insulation.read']): void {
  const test = draft.need('insulation', id, 'id');
  const { mineral } = draft.need('cable', test.cable, 'id');
  const pairs = mineral ? pairsOf(mineral.conductors, mineral.screened) : [];
  if (!pairs.includes(reading.pair)) {
    throw new Refusal('invalid', 'pair', `This cable has no such pair. Its pairs are: ${pairs.join(', ')}.`);
  }
  draft.put('insulation', {
    ...test,
    readings: [...test.readings, { ...reading, by: draft.person, at: draft.command.at }],
  });
}
