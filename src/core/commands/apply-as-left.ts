import { dossierOf } from '../rulebook/dossier';
import { holdsOf } from '../rulebook/asked';
import { holdIsMet } from '../rulebook/mineral-records';
import { TEST_HOLDS } from '../kinds/steps';
import { needOpen } from './apply-inspection';
import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { fingerprintOf } from '../record/fingerprint';
import { freeze } from './freeze';
import { finishMakeOff } from './apply-make-off';
import { KINDS } from '../kinds/kinds';
import { bare, hashOfSeal, SEAL_RULE } from '../record/seal';
import type { Pour } from '../record/types';

/** Compound or resin mixed and packed into an entry. */
export function applyPour(draft: Draft, payload: Payloads['pour.record']): void {
  draft.needFree('pour', payload.id);
  const entry = draft.need('entry', payload.entry, 'entry');
  needOpen(draft, payload.entry, payload.round);
  if (KINDS[entry.kind].pot === 'none') {
    throw new Refusal('invalid', 'entry', 'entry.no-pot');
  }
  needOrder(payload);
  draft.put('pour', { ...payload, site: draft.command.site, by: draft.person, at: draft.command.at });
}

/** What is known later: the lowest temperature since packing, and when it was opened for a look. */
export function applyPourEdit(draft: Draft, { id, set }: Payloads['pour.edit']): void {
  const pour = draft.need('pour', id, 'id');
  needOpen(draft, pour.entry, pour.round);
  const after = { ...pour, ...set };
  needOrder(after);
  draft.put('pour', after);
}

/** Mixed, packed, looked at: in this order. */
function needOrder({ mixedAt, packedAt, lookedAt }: Pick<Pour, 'mixedAt' | 'packedAt' | 'lookedAt'>): void {
  if (packedAt !== null && Date.parse(packedAt) < Date.parse(mixedAt)) {
    throw new Refusal('invalid', 'packedAt', 'pour.packed-before');
  }
  if (lookedAt === null) return;
  if (packedAt === null || Date.parse(lookedAt) < Date.parse(packedAt)) {
    throw new Refusal('invalid', 'lookedAt', 'pour.looked-before');
  }
}

/**
 * Seals how an entry was left when it was closed: readings, looks and compound of the round, the seals'
 * fate, the hold points that were skipped, hashed over all of it, what it rests on and the seal before.
 */
export function applyAsLeft(draft: Draft, payload: Payloads['asleft.seal']): void {
  draft.needFree('asleft', payload.id);
  const entry = draft.need('entry', payload.entry, 'entry');
  const round = needOpen(draft, payload.entry, payload.round);
  const site = draft.need('site', draft.command.site, 'site');
  const dossier = dossierOf(draft, payload.entry, round);
  if (!dossier) throw new Refusal('unknown-id', 'entry', 'entry.homeless');
  // Only what this round saw: an earlier record is not handed on by a later one.
  const looks = [...dossier.looks.values()].filter(({ look }) => !dossier.recorded.has(look));
  const answered = new Set<string>([
    ...dossier.readings.map(({ place }) => place),
    ...looks.map(({ look }) => look),
    ...TEST_HOLDS.filter((hold) =>
      holdIsMet(dossier.mineral, dossier.cable, entry.id, hold, Date.parse(draft.command.at)),
    ),
  ]);
  const skipped = holdsOf(dossier).filter((hold) => !answered.has(hold));
  const sealed = {
    ...payload,
    site: site.id,
    readings: dossier.readings.map(bare),
    looks: looks.map(bare),
    instruments: [...dossier.instruments.values()].map(bare),
    pours: dossier.pours.filter(({ round: of }) => of === round.id).map(bare),
    fingerprint: fingerprintOf(entry, dossier.cable),
    skipped,
    by: draft.person,
    at: draft.command.at,
    previous: site.lastSeal,
    rule: SEAL_RULE,
    frozen: freeze(draft, dossier),
  };
  const hash = hashOfSeal(sealed);
  draft.put('asleft', { ...sealed, hash });
  finishMakeOff(draft, entry.id, round.id);
  draft.put('site', { ...site, lastSeal: hash });
}
