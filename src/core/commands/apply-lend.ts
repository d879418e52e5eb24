import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { currentInstruments, registerIdOf } from '../record/instruments';

/** A version of an instrument of the register comes to the site: the first, or one after a recalibration. */
export function applyLend(draft: Draft, payload: Payloads['instrument.lend']): void {
  draft.needFree('instrument', payload.id);
  const { site, at } = draft.command;
  const twin = currentInstruments(draft, site).find(
    (one) => one.tag.trim() === payload.tag.trim() && registerIdOf(one) !== payload.of,
  );
  if (twin) {
    throw new Refusal('exists', 'tag', 'instrument.twin', { tag: twin.tag }); // prettier-ignore
  }
  draft.put('instrument', { ...payload, site, lentAt: at });
}
