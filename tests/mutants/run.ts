import { dossierOf, type Dossier } from '../../src/core/rulebook/dossier';
import type { Finding } from '../../src/core/record/finding';
import { contextOf, judge } from '../../src/core/rulebook/judge';
import { checksOf, ruleOf } from '../../src/core/rulebook/rules';
import { KIND_IDS } from '../../src/core/record/kind-ids';
import { KINDS } from '../../src/core/kinds/kinds';
import { BASES } from './bases';
import { HARMLESS } from './harmless';
import type { Mutation } from './mutation';
import { RECORD_MUTATIONS } from './mutate-records';
import { readingMutations } from './mutate-readings';
import { WORK_MUTATIONS } from './mutate-works';
import { again, copyOf, printOf, sliceOf, type Records } from './records';
import { recording } from './recorder';

/** When everything is judged. */
const AT = '2026-03-04T10:00:00.000Z';

/** One changed entry and what the rule book says of it. */
export interface Mutant extends Pick<Mutation, 'field' | 'change' | 'reason'> {
  base: string;
  findings: Finding[];
}

const looks = [...new Set(KIND_IDS.flatMap((kind) => KINDS[kind].looks.map(({ id }) => id))), 'condition-1', 'seen-clamp', 'seen-inner-seal', 'faces-clamp', 'faces-inner-seal', 'grip-pot', 'grip-resin-port', 'grip-outer-seal']; // prettier-ignore
/** Every way to spoil an entry. */
export const MUTATIONS: readonly Mutation[] = [
  ...readingMutations(looks),
  ...RECORD_MUTATIONS,
  ...WORK_MUTATIONS,
];

/** Whether nothing is wrong and nothing is open. */
export const isSound = (findings: readonly Finding[]): boolean =>
  findings.length > 0 &&
  findings.every(({ outcome }) => outcome === 'conforms' || outcome === 'not-applicable');

const dossier = (records: Records): Dossier | null => {
  const slice = sliceOf(records);
  return dossierOf(slice, 'e', slice.get('round', 'r'));
};
const judged = (records: Records): Finding[] | null => {
  const found = dossier(records);
  return found && judge(found, 'detailed', AT);
};

/** Sound entries with their records. */
export const bases = (): { name: string; records: Records; findings: Finding[] }[] =>
  BASES.map(([name, change]) => {
    const records = copyOf(change);
    return { name, records, findings: judged(records)! };
  });

/** Every `step`th mutant of a list of mutations, each set of records once. */
function* spoilt(mutations: readonly Mutation[], step: number): Generator<Mutant> {
  const seen = new Set<string>();
  let n = 0;
  for (const { name, records } of bases()) {
    seen.add(printOf(records));
    for (const { field, change, reason, edit } of mutations) {
      const copy = again(records);
      if (edit(copy) === false) continue;
      if (n++ % step !== 0) continue;
      const print = printOf(copy);
      if (seen.has(print)) continue;
      seen.add(print);
      const findings = judged(copy);
      if (findings) yield { base: name, field, change, reason, findings };
    }
  }
}

/** Unsafe or unknowable entries. */
export const mutants = (step = 1): Mutant[] => [...spoilt(MUTATIONS, step)];
/** Entries changed in ways that mean nothing. */
export const harmless = (step = 1): Mutant[] => [...spoilt(HARMLESS, step)];

/** What each check reads of the sound entries, of all kinds. */
export function readsOf(): Map<string, Set<string>> {
  const reads = new Map<string, Set<string>>();
  for (const { records } of bases()) {
    const context = contextOf(dossier(records)!, 'detailed', AT);
    for (const id of checksOf(context.entry.kind)) {
      const rule = ruleOf(id)!;
      const own = reads.get(id) ?? new Set();
      reads.set(id, own);
      const watched = recording(context, (field) => own.add(field));
      rule.run(watched);
      rule.consequence(watched);
    }
  }
  return reads;
}
