import { isLater } from '../instrument/calibration';
import type { Grade } from '../record/types';
import type { Check } from './check';
import type { Context, Dossier } from './dossier';
import { isWorse, type Aspect, type Finding } from '../record/finding';
import { asksFor } from './grades';
import { withoutFuture } from './readings';
import { rulesOf } from './rules';

/**
 * Judges one entry: every check that its kind has and the grade calls for.
 * Pure; a check above the grade is left out, never called conforming, unless a sealed as-left record of
 * the same gland and cable answers it, or what is known already makes it fail.
 *
 * @param at time of judging, ISO 8601
 */
export function judge(dossier: Dossier, grade: Grade, at: string): Finding[] {
  const context = contextOf(dossier, grade, at);
  const findings: Finding[] = [];
  for (const rule of rulesOf(dossier.entry.kind)) {
    const finding = findingOf(rule, context);
    if (asksFor(grade, rule.grade) || isKnown(finding, context)) findings.push(finding);
  }
  return findings;
}

/**
 * Whether a check that the grade does not ask for is told all the same: what is known to be bad counts at every
 * grade, and a sealed record speaks for what the closed entry hides, its skipped hold points included.
 */
function isKnown({ outcome, key, record }: Finding, context: Context): boolean {
  if (outcome === 'fails') return true;
  if (!context.record) return false;
  return outcome === 'unread' ? key === 'hold.skipped' : record !== null;
}

/**
 * What checks are run with: the dossier, the grade and the time.
 * Field by field, like the finding below: a spread would be the dearest step of a judgement.
 */
export function contextOf(d: Dossier, grade: Grade, at: string): Context {
  const late = isLater(d.newest, at);
  return {
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
    groups: late ? withoutFuture(d.groups, at) : d.groups,
    pours: d.pours,
    record: d.record,
    recorded: d.recorded,
    skipped: d.skipped,
    newest: d.newest,
    madeOffHere: d.madeOffHere,
    otherEnds: d.otherEnds,
    otherArea: d.otherArea,
    lastSealed: d.lastSealed,
    broken: d.broken,
    askedAt: d.askedAt,
    mineral: d.mineral,
    transit: d.transit,
    references: d.references,
    grade,
    at,
    late,
    diameters: new Map(),
  };
}

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
  const shock = rule.shock?.(worst) ?? false;
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
    shock,
    record: context.recorded.size === 0 ? null : recordOf(rule, context),
    also: open <= 1 ? NONE : aspects.filter((aspect) => aspect !== worst && isOpen(aspect)),
  };
}
