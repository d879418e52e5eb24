import type { Hazard, Severity } from '../defects/severity';
import type { Kind } from '../kinds/kind';
import type { Grade } from '../record/types';
import type { Context } from './dossier';
import type { Aspect, Facts, Outcome } from '../record/finding';

/** Where a check has its basis, per shipped set of references: document and clause, in our own words. */
interface Basis {
  'iec-2013': string;
  /** Where the set of the older barrier figure differs. */
  'iec-2013-barrier-2007'?: string;
  /** Where a site that classifies by divisions differs. */
  divisions?: string;
  /** Whether it also rests on the certificate and its assembly sheet. */
  certificate?: true;
}

/** A rule of the book: data and one function. Its title and its sentences are words, under its id. */
export interface Check {
  id: string;
  /** Whether entries of a kind are asked it, by the kind's traits. */
  kinds(kind: Kind): boolean;
  basis: Basis;
  /** Least grade at which it can be answered. */
  grade: Grade;
  /** Consequence 1 to 4; some checks weigh more on a flameproof enclosure. */
  consequence(context: Context): Severity;
  hazard: Hazard;
  /** Whether what was found is a shock hazard beside that one; left out where it never is. */
  shock?(worst: Aspect): boolean;
  /** Measured place or look that the check is about. */
  place: string | null;
  /** Its aspects; the worst speaks, the first does when all conform. */
  run(context: Context): Aspect[];
}

const aspect = (
  outcome: Outcome,
  key: string,
  facts: Facts,
  marginMm: number | null,
  settle: string | null,
): Aspect => ({ outcome, key, facts, marginMm, settle });

/** An aspect that holds. */
export const conforms = (key: string, facts: Facts = {}, marginMm: number | null = null): Aspect =>
  aspect('conforms', key, facts, marginMm, null);

/** An aspect that does not hold. */
export const fails = (key: string, facts: Facts = {}, marginMm: number | null = null): Aspect =>
  aspect('fails', key, facts, marginMm, null);

/** An aspect too near its limit; `settle` says what would decide it. */
export const marginal = (key: string, facts: Facts, settle: string, marginMm: number | null = null): Aspect =>
  aspect('marginal', key, facts, marginMm, settle);

/** An aspect that the record cannot answer; the sentence says what is missing. */
export const unread = (key: string, facts: Facts = {}, settle: string | null = null): Aspect =>
  aspect('unread', key, facts, null, settle);

/** A fact that nobody recorded, e.g. "the wall thickness" of "JB-204". */
export const blank = (what: string, of: string | { entry: string }, settle: string): Aspect =>
  unread(
    'record.blank',
    typeof of === 'string' ? { what, of } : { what, ...of },
    // The certificate is there; what it says has to be copied.
    settle === 'settle.certificate' ? 'settle.certificate-facts' : settle,
  );

/** An aspect that a positive fact of the record rules out. */
export const notApplicable = (key: string, facts: Facts = {}): Aspect =>
  aspect('not-applicable', key, facts, null, null);
