import type { Slice } from '../../core/record/slice';
import type { Entry, EntryStatus, Grade } from '../../core/record/types';
import { currentRound, dossierOf, type Dossier } from '../../core/rulebook/dossier';
import type { Finding } from '../../core/rulebook/finding';
import { judge, statusOf } from '../../core/rulebook/judge';
import { basisOf } from '../../core/rulebook/references';
import { ruleOf } from '../../core/rulebook/rules';
import { settling, statement } from '../../core/words/findings';

/** An entry with its judgement. */
export interface Judged {
  entry: Entry;
  dossier: Dossier;
  findings: Finding[];
  status: EntryStatus;
}

/** Judges every entry of a site, each at the grade of its newest round, or all at one grade. */
export function judgeSite(slice: Slice, site: string, at: string, grade: Grade | null = null): Judged[] {
  return slice.by('entry', 'site', site).flatMap((entry) => {
    const round = currentRound(slice, entry.id, site);
    const dossier = dossierOf(slice, entry.id, round);
    if (!dossier) return [];
    const asked = grade ?? round?.grade ?? 'detailed';
    const findings = judge(dossier, asked, at);
    return [{ entry, dossier, findings, status: statusOf(dossier, findings, asked) }];
  });
}

/** A finding as it is written out: words and numbers, one flat record. */
export function findingRecord({ entry, dossier, status }: Judged, finding: Finding) {
  return {
    site: dossier.site.name,
    area: dossier.area.name,
    enclosure: dossier.enclosure.tag,
    entry: entry.id,
    label: entry.label,
    check: finding.check,
    title: ruleOf(finding.check)?.title ?? finding.check,
    grade: status.grade,
    verdict: finding.outcome,
    statement: statement(finding),
    margin_mm: finding.marginMm,
    settle: settling(finding),
    basis: basisOf(finding.check, dossier),
    numbers: finding.facts,
  };
}
