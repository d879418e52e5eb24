import type { KindId } from '../record/kind-ids';
import { KINDS } from '../record/kinds';
import type { EntryStatus, Grade } from '../record/types';
import type { Check } from './check';
import type { Context, Dossier } from './dossier';
import { countOutcomes, isWorse, stateOf, type Aspect, type Finding } from './finding';
import { asksFor } from './grades';
import { ruleOf } from './rules';

/** Rules of a kind in the order of its checks, looked up once. */
function rulesOf(kind: KindId): readonly Check[] {
  let rules = RULES_OF.get(kind);
  if (!rules) RULES_OF.set(kind, (rules = KINDS[kind].checks.flatMap((id) => ruleOf(id) ?? [])));
  return rules;
}
const RULES_OF = new Map<KindId, readonly Check[]>();

/**
 * Judges one entry: every check that its kind has and the grade calls for.
 * Pure; a check above the grade is left out, never called conforming, unless a sealed as-left record of
 * the same gland and cable answers it.
 *
 * @param at time of judging, ISO 8601
 */
export function judge(dossier: Dossier, grade: Grade, at: string): Finding[] {
  const context = contextOf(dossier, grade, at);
  const findings: Finding[] = [];
  for (const rule of rulesOf(dossier.entry.kind)) {
    // What the closed entry hides is judged below its grade only where a sealed record speaks for it.
    if (asksFor(grade, rule.grade) || dossier.record) findings.push(findingOf(rule, context));
  }
  return findings;
}

/**
 * What checks are run with: the dossier, the grade and the time.
 * Field by field, like the finding below: a spread would be the dearest step of a judgement.
 */
export const contextOf = (d: Dossier, grade: Grade, at: string): Context => ({
  site: d.site,
  area: d.area,
  enclosure: d.enclosure,
  entry: d.entry,
  cable: d.cable,
  certificate: d.certificate,
  size: d.size,
  round: d.round,
  readings: d.readings,
  looks: d.looks,
  instruments: d.instruments,
  groups: d.groups,
  pours: d.pours,
  record: d.record,
  recorded: d.recorded,
  skipped: d.skipped,
  lastSealed: d.lastSealed,
  askedAt: d.askedAt,
  mineral: d.mineral,
  transit: d.transit,
  references: d.references,
  grade,
  at,
  diameters: new Map(),
});

/** Day of the sealed record that a check leans on; null when the round itself answers. */
function recordOf({ place, grade }: Check, { record, recorded }: Context): string | null {
  if (!record) return null;
  const leans = (place !== null && recorded.has(place)) || (grade === 'detailed' && place === null);
  return leans ? record.at : null;
}

const NONE: Aspect[] = [];

/** Whether an aspect has to be told beside the worst one. */
const isOpen = ({ outcome }: Aspect): boolean => outcome !== 'conforms' && outcome !== 'not-applicable';

function findingOf(rule: Check, context: Context): Finding {
  const aspects = rule.run(context);
  let worst: Aspect = aspects[0]!;
  let open = 0;
  for (let i = 0; i < aspects.length; i++) {
    const aspect = aspects[i]!;
    if (isWorse(aspect.outcome, worst.outcome)) worst = aspect;
    if (isOpen(aspect)) open++;
  }
  // Field by field: a spread here costs more than the whole judgement.
  return {
    outcome: worst.outcome,
    key: worst.key,
    facts: worst.facts,
    marginMm: worst.marginMm,
    settle: worst.settle,
    check: rule.id,
    place: rule.place,
    consequence: rule.consequence(context),
    hazard: rule.hazard,
    record: context.recorded.size === 0 ? null : recordOf(rule, context),
    also: open <= 1 ? NONE : aspects.filter((aspect) => aspect !== worst && isOpen(aspect)),
  };
}

/** Where an entry stands: its state with grade and the date of the newest reading or look. */
export function statusOf(dossier: Dossier, findings: readonly Finding[], grade: Grade): EntryStatus {
  let at: string | null = null;
  const newest = (time: string) => {
    if (at === null || time > at) at = time;
  };
  for (const reading of dossier.readings) newest(reading.at);
  for (const look of dossier.looks.values()) newest(look.at);
  return {
    entry: dossier.entry.id,
    site: dossier.entry.site,
    round: dossier.round?.id ?? null,
    grade,
    at,
    state: stateOf(findings),
    counts: countOutcomes(findings),
  };
}
