import { instrumentNow } from '../record/instruments';
import { pairsOf, restPairsOf } from '../mineral/insulation';
import { isSealedAtAllEnds, needUnsealedRound } from './apply-inspection';
import { faultOf } from '../instrument/calibration';
import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import type { Id, InsulationTest } from '../record/types';

/** Begins an insulation test of a mineral-insulated cable; its pairs are read one by one. */
export function applyInsulationStart(draft: Draft, payload: Payloads['insulation.start']): void {
  draft.needFree('insulation', payload.id);
  const cable = draft.need('cable', payload.cable, 'cable');
  if (!cable.mineral) {
    throw new Refusal('invalid', 'cable', 'cable.not-mineral');
  }
  draft.need('instrument', payload.instrument, 'instrument');
  const instrument = instrumentNow(draft, payload.instrument)!;
  if (instrument.kind !== 'insulation-tester') {
    throw new Refusal('invalid', 'instrument', 'instrument.no-tester', { tag: instrument.tag });
  }
  // A test whose instrument nobody has checked would be worth nothing; unlike a length it is quickly taken again.
  if (faultOf(instrument, instrument.span[0], draft.command.at) === 'past-calibration') {
    throw new Refusal('invalid', 'instrument', 'instrument.tester-past', { tag: instrument.tag });
  }
  // What is tested before or after a sealing belongs to the end's inspection; in service a cable is tested any time.
  if (payload.entry !== null) needUnsealedRound(draft, payload.entry);
  if (payload.entry !== null && draft.need('entry', payload.entry, 'entry').cable !== cable.id) {
    throw new Refusal('invalid', 'entry', 'entry.other-cable');
  }
  const { at, site } = draft.command;
  draft.put('insulation', { ...payload, site, readings: [], by: draft.person, at });
}

/** Refuses to trace a cable whose ends are all sealed. */
function needOpenEnd(draft: Draft, cable: Id): void {
  if (!isSealedAtAllEnds(draft, cable)) return;
  throw new Refusal('sealed', 'cable', 'cable.ends-sealed');
}

/** Refuses to add to a test that a seal rests on: a new test is begun instead. */
function needNotSealedSince(draft: Draft, test: InsulationTest): void {
  for (const { id } of draft.by('entry', 'cable', test.cable)) {
    const seals = [...draft.by('inspection', 'entry', id), ...draft.by('asleft', 'entry', id)];
    if (!seals.some(({ at }) => at > test.at)) continue;
    throw new Refusal('sealed', 'id', 'test.sealed');
  }
}

/** Keeps which conductor came through under which sleeve at the far end; each sleeve once at either end. */
export function applyContinuity(draft: Draft, payload: Payloads['continuity.record']): void {
  draft.needFree('continuity', payload.id);
  const { mineral } = draft.need('cable', payload.cable, 'cable');
  needOpenEnd(draft, payload.cable);
  const names = mineral?.conductors ?? [];
  payload.found.forEach(({ near, far }, i) => {
    for (const [end, name] of [
      ['near', near],
      ['far', far],
    ] as const) {
      if (name !== null && !names.includes(name)) {
        throw new Refusal('invalid', `found.${i}.${end}`, 'sleeve.none', { names: names.join(', ') });
      }
    }
    const before = payload.found.slice(0, i);
    if (before.some((one) => one.near === near || (far !== null && one.far === far))) {
      throw new Refusal('invalid', `found.${i}`, 'sleeve.twice');
    }
  });
  const { at, site } = draft.command;
  draft.put('continuity', { ...payload, site, by: draft.person, at });
}

/** Adds the reading of one pair; an earlier one of the same pair stays beside it. */
export function applyInsulationRead(draft: Draft, { id, ...reading }: Payloads['insulation.read']): void {
  const test = draft.need('insulation', id, 'id');
  needNotSealedSince(draft, test);
  const { mineral } = draft.need('cable', test.cable, 'id');
  const pairs = mineral ? pairsOf(mineral.conductors, mineral.screened) : [];
  const rest = mineral ? restPairsOf(mineral.conductors, mineral.screened) : [];
  if (!pairs.includes(reading.pair) && !rest.includes(reading.pair)) {
    throw new Refusal('invalid', 'pair', 'pair.none', { pairs: pairs.join(', ') });
  }
  draft.put('insulation', {
    ...test,
    readings: [...test.readings, { ...reading, by: draft.person, at: draft.command.at }],
  });
}
