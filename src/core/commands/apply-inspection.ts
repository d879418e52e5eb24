import { currentRound, dossierOf } from '../rulebook/dossier';
import { assessDossier } from '../rulebook/assess';
import { faultOf } from '../instrument/calibration';
import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { freeze } from './freeze';
import { instrumentNow } from '../record/instruments';
import { lookOf, placeOf } from '../kinds/kinds';
import { conditionLook, conditionNumber } from '../kinds/worked-looks';
import { DIAMETERS } from '../kinds/places';
import { hashOfSeal, SEAL_RULE } from '../record/seal';
import type { Slice } from '../record/slice';
import { asItShould, type LookQuestion } from '../kinds/look';
import type { Entry, Id } from '../record/types';
import { titleFacts } from '../kinds/worded';

export function applyTake(draft: Draft, payload: Payloads['reading.take']): void {
  draft.needFree('reading', payload.id);
  const entry = draft.need('entry', payload.entry, 'entry');
  needOpen(draft, payload.entry, payload.round);
  draft.need('instrument', payload.instrument, 'instrument');
  const instrument = instrumentNow(draft, payload.instrument)!;
  const place = placeOf(entry.kind, payload.place);
  if (!place) throw new Refusal('invalid', 'place', 'place.none');
  if (!place.instruments.includes(instrument.kind)) {
    throw new Refusal('invalid', 'instrument', 'place.instrument', {
      ...titleFacts(place),
      instruments: place.instruments.join(', '),
    });
  }
  if (DIAMETERS.has(place.id) && payload.value <= 0) {
    throw new Refusal('invalid', 'value', 'place.above-zero', titleFacts(place));
  }
  const { at, site } = draft.command;
  const fault = faultOf(instrument, payload.value, at);
  if ((fault === 'past-calibration' || fault === 'found-out') && payload.source === 'instrument') {
    throw new Refusal('invalid', 'instrument', 'instrument.past', { tag: instrument.tag });
  }
  draft.put('reading', { ...payload, site, by: draft.person, at, fault, struck: null });
}

export function applyStrike(draft: Draft, { id, reason }: Payloads['reading.strike']): void {
  const reading = draft.need('reading', id, 'id');
  needOpen(draft, reading.entry, reading.round);
  if (reading.struck) throw new Refusal('invalid', 'id', 'reading.struck');
  draft.put('reading', { ...reading, struck: { by: draft.person, at: draft.command.at, reason } });
}

export function applyLook(draft: Draft, payload: Payloads['look.answer']): void {
  draft.needFree('look', payload.id);
  const entry = draft.need('entry', payload.entry, 'entry');
  needOpen(draft, payload.entry, payload.round);
  const look = questionOf(draft, entry, payload.look);
  if (!look.answers.some(({ id }) => id === payload.answer)) {
    const known = look.answers.map(({ id }) => id).join(', ');
    throw new Refusal('invalid', 'answer', 'look.answers', { known });
  }
  draft.put('look', {
    ...payload,
    note: payload.note ?? '',
    site: draft.command.site,
    by: draft.person,
    at: draft.command.at,
  });
}

/** Several looks of one spot, each answered as it should be. */
export function applyLooksTogether(
  draft: Draft,
  { entry: id, round, spot, answers }: Payloads['look.together'],
): void {
  const entry = draft.need('entry', id, 'entry');
  needOpen(draft, id, round);
  const { site, at } = draft.command;
  for (const own of answers) {
    draft.needFree('look', own.id);
    const question = questionOf(draft, entry, own.look);
    const answer = asItShould(question);
    if (answer === null || question.spot !== spot) {
      throw new Refusal('invalid', 'answers', 'look.by-itself', titleFacts(question));
    }
    const said = { answer, photo: null, note: '', together: spot };
    draft.put('look', { ...own, entry: id, round, ...said, site, by: draft.person, at });
  }
}

/** The question of a look that an entry has. */
function questionOf(draft: Draft, entry: Entry, look: string): LookQuestion {
  const question = lookOf(entry.kind, look) ?? conditionOf(draft, entry, look);
  if (!question) throw new Refusal('invalid', 'look', 'look.none');
  return question;
}

/** The tick of a special condition, when the entry's certificate has so many. */
function conditionOf(draft: Draft, { certificate }: Entry, look: string): LookQuestion | null {
  const number = conditionNumber(look);
  const conditions = (certificate && draft.get('certificate', certificate)?.specialConditions) || [];
  const text = number === null ? undefined : conditions[number - 1];
  return text === undefined ? null : conditionLook(number!, text);
}

/** Seals an entry's inspection: findings as they stand, everything they rest on by its content, and the seal before. */
export function applySeal(draft: Draft, payload: Payloads['inspection.seal']): void {
  draft.needFree('inspection', payload.id);
  draft.need('entry', payload.entry, 'entry');
  const round = needOpen(draft, payload.entry, payload.round);
  const site = draft.need('site', draft.command.site, 'site');
  const dossier = dossierOf(draft, payload.entry, round);
  if (!dossier) throw new Refusal('unknown-id', 'entry', 'entry.homeless');
  const { at } = draft.command;
  const { findings, status } = assessDossier(draft, dossier, at, round.grade);
  const sealed = {
    ...payload,
    site: site.id,
    grade: round.grade,
    by: draft.person,
    at,
    state: status.state,
    findings,
    references: site.references,
    previous: site.lastSeal,
    rule: SEAL_RULE,
    frozen: freeze(draft, dossier),
  };
  const hash = hashOfSeal(sealed);
  draft.put('inspection', { ...sealed, hash });
  draft.put('site', { ...site, lastSeal: hash });
}

/** Whether an entry's inspection in a round is sealed. */
export const isSealed = (slice: Slice, entry: Id, round: Id): boolean =>
  slice.by('inspection', 'entry', entry).some((inspection) => inspection.round === round);

/** Refuses to change what a sealed inspection rests on: the newest round of the entry has to be open. */
export function needUnsealedRound(draft: Draft, entry: Id): void {
  const round = currentRound(draft, entry, draft.command.site);
  if (round && isSealed(draft, entry, round.id)) {
    throw new Refusal('sealed', 'entry', 'entry.sealed');
  }
}

/** Whether every end of a cable that belongs to a round is sealed there, at least one of them. */
export function isSealedAtAllEnds(draft: Draft, cable: Id): boolean {
  const ends = draft.by('entry', 'cable', cable).flatMap(({ id }) => {
    const round = currentRound(draft, id, draft.command.site);
    return round ? [isSealed(draft, id, round.id)] : [];
  });
  return ends.length > 0 && ends.every(Boolean);
}

/** The round, if the entry belongs to it and nothing is sealed or closed. */
export function needOpen(draft: Draft, entry: Id, roundId: Id) {
  const round = draft.need('round', roundId, 'round');
  if (!round.entries.includes(entry)) {
    throw new Refusal('invalid', 'round', 'round.not-in');
  }
  if (round.closed) throw new Refusal('sealed', 'round', 'round.closed');
  if (isSealed(draft, entry, roundId)) {
    throw new Refusal('sealed', 'entry', 'inspection.sealed');
  }
  return round;
}
