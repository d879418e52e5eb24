import type { Slice } from '../record/slice';
import type { Defect, EntryStatus, Grade, HeldDefect, Id, Inspection, Round } from '../record/types';
import { askedLooks, askedPlaces } from './asked';
import { currentRound, dossierOf, groupsOf, type Dossier } from './dossier';
import { countOutcomes, stateOf, type Aspect, type Finding } from '../record/finding';
import { asksFor } from './grades';
import { judge } from './judge';
import { ruleOf } from './rules';

/** An entry judged with its history: what failed before and was not asked since, what is not proven. */
export interface Assessment {
  dossier: Dossier;
  /** The entry in earlier rounds that were left open, whose failures count still. */
  earlier: readonly Dossier[];
  findings: Finding[];
  status: EntryStatus;
}

/** Levels from which an observation that is not proven holds an entry at failed. Chosen: levels that ask for mending within days. */
const HOLDING_LEVEL = 3;

/**
 * Judges an entry as it stands: the findings of its newest round, the failures of earlier ones that nobody has
 * asked for again, and the defects that hold it.
 *
 * @param at time of judging, ISO 8601
 * @param grade judged at this grade instead of the round's; detailed before the first round
 * @returns null when the entry or the place it belongs to does not exist
 */
export function assess(slice: Slice, entry: Id, site: Id, at: string, grade?: Grade): Assessment | null {
  const round = currentRound(slice, entry, site);
  const dossier = dossierOf(slice, entry, round);
  return dossier && assessDossier(slice, dossier, at, grade);
}

/** The same of a dossier that was collected already. */
export function assessDossier(slice: Slice, dossier: Dossier, at: string, grade?: Grade): Assessment {
  const asked = grade ?? dossier.round?.grade ?? 'detailed';
  const found = judge(dossier, asked, at);
  // A seal that does not match says nothing; the dossier names it.
  const every = slice.by('inspection', 'entry', dossier.entry.id);
  const sealed = every.filter(({ id }) => !dossier.broken.some((one) => one.id === id)).sort(byTime);
  const earlier = leftOpen(slice, dossier, sealed);
  const findings = withOldFailures(oldFailures(dossier, earlier, sealed, at), found);
  const held = heldBy(slice.by('defect', 'entry', dossier.entry.id));
  return { dossier, earlier, findings, status: statusOf(dossier, findings, asked, { sealed, held }) };
}

const byTime = (a: { at: string; id: Id }, b: { at: string; id: Id }): number =>
  a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1;

/** A check that failed in a round, and when. */
interface OldFailure {
  finding: Finding;
  at: string;
}

/**
 * Adds the checks that failed when they were last asked and have not been answered since: a glance of a lower
 * grade does not lift them.
 */
function withOldFailures(failed: ReadonlyMap<string, OldFailure>, findings: Finding[]): Finding[] {
  if (failed.size === 0) return findings;
  const kept = new Set(findings.map(({ check }) => check));
  const all = findings.map((finding) => {
    const old = finding.outcome === 'unread' ? failed.get(finding.check) : undefined;
    return old ? carried(old, [finding]) : finding;
  });
  for (const [check, old] of failed) if (!kept.has(check) && ruleOf(check)) all.push(carried(old, []));
  return all;
}

/** An old failure as it is told now; its own sentence stands behind it. */
const carried = ({ finding, at }: OldFailure, beside: readonly Aspect[]): Finding => ({
  ...finding,
  shock: finding.shock ?? false,
  key: 'old.failed',
  facts: { at },
  also: [aspectOf(finding), ...beside.map(aspectOf)],
});

const aspectOf = ({ outcome, key, facts, marginMm, settle }: Aspect): Aspect => ({
  outcome,
  key,
  facts,
  marginMm,
  settle,
});

/** What an earlier round says of an entry. */
interface Earlier {
  round: Id;
  at: string;
  findings: readonly Finding[];
}

/** The entry in the rounds before its own that were answered and never sealed. */
function leftOpen(slice: Slice, { entry, round }: Dossier, sealed: readonly Inspection[]): Dossier[] {
  return roundsBefore(slice, entry.id, entry.site, round).flatMap((other) => {
    if (sealed.some((one) => one.round === other.id)) return [];
    const left = dossierOf(slice, entry.id, other);
    return left && hasAnswers(left) ? [left] : [];
  });
}

/** Checks whose last answer before the dossier's round was a failure: of sealed inspections, and of rounds left open. */
function oldFailures(
  { round }: Dossier,
  left: readonly Dossier[],
  sealed: readonly Inspection[],
  at: string,
): ReadonlyMap<string, OldFailure> {
  const earlier: Earlier[] = sealed.filter((one) => one.round !== round?.id);
  for (const one of left)
    earlier.push({ round: one.round!.id, at: newestAnswer(one), findings: judge(one, one.round!.grade, at) });
  if (earlier.length === 0) return NONE;
  earlier.sort((a, b) => (a.at < b.at ? -1 : 1));
  const failed = new Map<string, OldFailure>();
  for (const { at: when, findings } of earlier) {
    for (const finding of findings) {
      if (finding.outcome === 'fails') failed.set(finding.check, { finding, at: when });
      else if (finding.outcome !== 'unread') failed.delete(finding.check);
    }
  }
  return failed;
}

const NONE: ReadonlyMap<string, OldFailure> = new Map();

const hasAnswers = ({ readings, looks, recorded }: Dossier): boolean =>
  readings.length > 0 || looks.size > recorded.size;

function newestAnswer({ readings, looks }: Dossier): string {
  let newest = '';
  for (const { at } of readings) if (at > newest) newest = at;
  for (const { at } of looks.values()) if (at > newest) newest = at;
  return newest;
}

function roundsBefore(slice: Slice, entry: Id, site: Id, current: Round | null): Round[] {
  const all = slice.by('round', 'entries', entry).filter((round) => round.site === site);
  return all.filter((round) => round.id !== current?.id && (!current || round.started <= current.started));
}

/** Defects that hold an entry at failed: those of a check, and observations of a high level, until they are proven. */
function heldBy(defects: readonly Defect[]): HeldDefect[] {
  return defects
    .filter(
      ({ state, check, severity }) => state !== 'proven' && (check !== null || severity >= HOLDING_LEVEL),
    )
    .map(({ id, check, severity, foundAt }) => ({ id, check, severity, foundAt }));
}

/** Where an entry stands: its state with grade and the date of the newest reading or look. */
export function statusOf(
  dossier: Dossier,
  findings: readonly Finding[],
  grade: Grade,
  { sealed, held }: { sealed: readonly Inspection[]; held: HeldDefect[] } = { sealed: [], held: [] },
): EntryStatus {
  const { entry, round } = dossier;
  const last = sealed[sealed.length - 1] ?? null;
  const state = held.length > 0 ? 'failed' : stateOf(findings);
  const runs = round !== null && !sealed.some((one) => one.round === round.id);
  const { asked, answered } = runs ? progressOf(dossier, grade) : { asked: 0, answered: 0 };
  return {
    entry: entry.id,
    site: entry.site,
    round: round?.id ?? null,
    grade,
    at: newestAnswer(dossier) || null,
    state,
    counts: countOutcomes(findings),
    sealed_round: last?.round ?? null,
    sealed_grade: last?.grade ?? null,
    sealed_at: last?.at ?? null,
    sealed_state: last?.state ?? null,
    running_round: runs ? round.id : null,
    running_grade: runs ? grade : null,
    running_state: runs ? state : null,
    running_asked: asked,
    running_answered: answered,
    held,
  };
}

/** How many of the places and looks that a grade asks for are answered. */
function progressOf(dossier: Dossier, grade: Grade): { asked: number; answered: number } {
  const places = askedPlaces(dossier).filter((place) => place.wanted > 0 && asksFor(grade, place.grade));
  const looks = askedLooks(dossier).filter((look) => asksFor(grade, look.grade));
  const answered =
    places.filter(({ id }) => groupsOf(dossier, id).length > 0).length +
    looks.filter(({ id }) => dossier.looks.has(id)).length;
  return { asked: places.length + looks.length, answered };
}

/** Checks above a grade that nothing answers yet: what opening the entry would settle. */
export function openingSettles(dossier: Dossier, grade: Grade, at: string): Finding[] {
  if (grade === 'detailed') return [];
  return judge(dossier, 'detailed', at).filter(
    ({ check, outcome }) => outcome === 'unread' && !asksFor(grade, ruleOf(check)!.grade),
  );
}
