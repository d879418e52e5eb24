import { NEXT_STATES } from '../record/defect-states';
import { levelOf, severity } from '../defects/severity';
import { levelHere } from '../rulebook/classified';
import { currentRound, dossierOf, type Dossier } from '../rulebook/dossier';
import { judge } from '../rulebook/judge';
import { basisOf } from '../rulebook/basis';
import { addDays, dayIn } from '../record/calendar';
import { Refusal, type Payloads } from './commands';
import type { Draft } from './draft';
import { merged } from './merged';
import type { Finding } from '../record/finding';
import type { Defect, Site } from '../record/types';

type Raise = Payloads['defect.raise'];

/** A defect from a check that fails in the records as they stand, or from an observation. */
export function applyDefectRaise(draft: Draft, payload: Raise): void {
  draft.needFree('defect', payload.id);
  const facts = factsOf(draft, payload);
  const site = draft.need('site', draft.command.site, 'site');
  const { at } = draft.command;
  const earlier = draft
    .by('defect', 'entry', payload.entry)
    .find(({ check }) => check !== null && check === payload.check);
  if (earlier && earlier.state !== 'done' && earlier.state !== 'proven') {
    throw new Refusal('exists', 'check', 'defect.open');
  }
  const fresh = {
    ...facts,
    round: payload.round,
    severity: facts.computed,
    severityReason: null,
    foundAt: at,
    foundBy: draft.person,
    action: payload.action,
    due: dueOf(site, facts.computed, at),
    state: 'open' as const,
  };
  if (earlier) {
    const photos = [...earlier.photos, ...payload.photos];
    draft.put('defect', { ...earlier, ...fresh, photos, repeats: earlier.repeats + 1 });
    return;
  }
  const { id, entry, check, photos } = payload;
  draft.put('defect', { id, site: site.id, entry, check, photos, ...fresh, owner: null, repeats: 0 });
}

/** Days that the site allows for a severity, from the day in its time zone. */
const dueOf = (site: Site, level: Defect['severity'], at: string): string =>
  addDays(dayIn(at, site.timeZone), site.severityDays[level]);

type Facts = Pick<Defect, 'finding' | 'statement' | 'language' | 'basis' | 'hazard' | 'computed'>;

/** Language of the sentence that nobody has put into words. */
const NO_WORDS = { statement: '', language: 'en' };

function factsOf(draft: Draft, payload: Raise): Facts {
  draft.need('entry', payload.entry, 'entry');
  const dossier = dossierOf(draft, payload.entry, draft.need('round', payload.round, 'round'));
  if (!dossier) throw new Refusal('unknown-id', 'entry', 'entry.homeless');
  const level = levelHere(dossier.site, dossier.area, dossier.otherArea);
  if (payload.observation) {
    const { statement: said, consequence, hazard } = payload.observation;
    const basis = 'Observation beside the rule book';
    const computed = severity(consequence, hazard, level);
    return { ...NO_WORDS, finding: null, statement: said, basis, hazard, computed };
  }
  const finding = failedFinding(dossier, payload, draft.command.at);
  if (!finding) {
    throw new Refusal('invalid', 'check', 'check.not-failed');
  }
  const sentence = payload.said?.sentences.find(({ check }) => check === finding.check);
  const words = sentence ? { statement: sentence.text, language: payload.said!.language } : NO_WORDS;
  return {
    finding,
    ...words,
    basis: basisOf(finding.check, dossier),
    hazard: finding.hazard,
    computed: levelOf(finding, level),
  };
}

/** The finding that a defect is raised on; null where its check does not fail in the records. */
export function failedFinding(
  dossier: Dossier,
  { check, grade }: Pick<Raise, 'check' | 'grade'>,
  at: string,
): Finding | null {
  const finding = judge(dossier, grade, at).find((one) => one.check === check);
  return finding?.outcome === 'fails' ? finding : null;
}

/** Owner, state, action, level (with a reason) and due day of a defect. */
export function applyDefectEdit(draft: Draft, { id, set, was }: Payloads['defect.edit']): void {
  const before = draft.need('defect', id, 'id');
  const after = merged(draft, 'defect', before, set as Partial<Defect>, was as Partial<Defect> | undefined);
  if (set.severity !== undefined && set.severity !== before.severity && after.severity !== before.severity) {
    if (!set.severityReason?.trim()) {
      throw new Refusal('invalid', 'set.severityReason', 'severity.reason');
    }
    const site = draft.need('site', draft.command.site, 'site');
    after.due = set.due ?? dueOf(site, set.severity, before.foundAt);
  }
  if (set.state !== undefined && after.state !== before.state) needStep(draft, before, after);
  draft.put('defect', after);
}

function needStep(draft: Draft, before: Defect, after: Defect): void {
  if (!NEXT_STATES[before.state].includes(after.state)) {
    const allowed = NEXT_STATES[before.state].join(' or ');
    throw new Refusal('invalid', 'set.state', 'defect.step', { state: before.state, allowed });
  }
  if (after.state === 'assigned' && !after.owner) {
    throw new Refusal('invalid', 'set.owner', 'defect.owner');
  }
  if (after.state === 'proven' && !isProven(draft, before)) {
    throw new Refusal('invalid', 'set.state', 'defect.proof');
  }
}

/** Whether the check conforms in a later round than the one that found the defect. */
function isProven(draft: Draft, defect: Defect): boolean {
  const round = currentRound(draft, defect.entry, defect.site);
  if (!round || round.id === defect.round) return false;
  if (defect.check === null) return true;
  const dossier = dossierOf(draft, defect.entry, round);
  if (!dossier) return false;
  const finding = judge(dossier, round.grade, draft.command.at).find(({ check }) => check === defect.check);
  return finding?.outcome === 'conforms';
}
