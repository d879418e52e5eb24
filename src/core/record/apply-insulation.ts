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
  if (payload.entry !== null && draft.need('entry', payload.entry, 'entry').cable !== cable.id) {
    throw new Refusal('invalid', 'entry', 'This entry holds another cable. Test the cable that is in it.');
  }
  const { at, site } = draft.command;
  draft.put('insulation', { ...payload, site, readings: [], by: draft.person, at });
}

/** Keeps which conductor came through under which sleeve at the far end; each sleeve once at either end. */
export function applyContinuity(draft: Draft, payload: Payloads['continuity.record']): void {
  draft.needFree('continuity', payload.id);
  const { mineral } = draft.need('cable', payload.cable, 'cable');
  const names = mineral?.conductors ?? [];
  payload.found.forEach(({ near, far }, i) => {
    for (const [end, name] of [
      ['near', near],
      ['far', far],
    ] as const) {
      if (name !== null && !names.includes(name)) {
        throw new Refusal(
          'invalid',
          `found.${i}.${end}`,
          `This cable has no such sleeve. It has: ${names.join(', ')}.`,
        );
      }
    }
    const before = payload.found.slice(0, i);
    if (before.some((one) => one.near === near || (far !== null && one.far === far))) {
      throw new Refusal('invalid', `found.${i}`, 'A sleeve is named twice. Trace that conductor again.');
    }
  });
  const { at, site } = draft.command;
  draft.put('continuity', { ...payload, site, by: draft.person, at });
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
