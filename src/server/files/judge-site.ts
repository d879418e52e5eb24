import { checkTitle } from '../../core/words/en/checks/index';
import type { Slice } from '../../core/record/slice';
import type { Entry, EntryStatus, Grade } from '../../core/record/types';
import { assess } from '../../core/rulebook/assess';
import type { Dossier } from '../../core/rulebook/dossier';
import type { Finding } from '../../core/record/finding';
import { basisOf } from '../../core/rulebook/basis';
import { settling, statement } from '../../core/words/en/findings';

/** An entry with its judgement. */
export interface Judged {
  entry: Entry;
  dossier: Dossier;
  findings: Finding[];
  status: EntryStatus;
}

/** Judges every entry of a site, each at the grade of its newest round, or all at one grade. */
export function judgeSite(slice: Slice, site: string, at: string, grade: Grade | null = null): Judged[] {
  return slice.by('entry', 'site', site).flatMap((entry) => judgeOne(slice, entry, at, grade) ?? []);
}

/** Judges one entry; null where the place that it belongs to does not exist. */
export function judgeOne(slice: Slice, entry: Entry, at: string, grade: Grade | null = null): Judged | null {
  const found = assess(slice, entry.id, entry.site, at, grade ?? undefined);
  return found && { entry, ...found };
}

/** From which round a finding is, what it rests on, who looked or measured, with what, and when. */
function provenance({ round, certificate, groups, looks }: Dossier, { place, facts }: Finding) {
  const of = place === null ? [] : (groups.get(place) ?? []);
  const look = looks.get(typeof facts.look === 'string' ? facts.look : (place ?? ''));
  const taken = [...of.flatMap(({ readings }) => readings), ...(look ? [look] : [])];
  const newest = taken.reduce<string | null>((at, one) => (at === null || one.at > at ? one.at : at), null);
  const said = (names: readonly string[]) => [...new Set(names)].join(', ') || null;
  return {
    round: round?.name ?? null,
    date: newest,
    inspector: said(taken.map(({ by }) => by)),
    instrument: said(of.map(({ instrument }) => instrument.tag)),
    certificate: certificate?.number ?? null,
  };
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
    title: checkTitle(finding.check),
    grade: status.grade,
    verdict: finding.outcome,
    statement: statement(finding),
    margin_mm: finding.marginMm,
    settle: settling(finding),
    basis: basisOf(finding.check, dossier),
    ...provenance(dossier, finding),
    numbers: finding.facts,
  };
}
