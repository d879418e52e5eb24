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

/** A sentence without facts. */
export type None = Record<string, never>;

/** Keys that end alike, with the same facts; the first part is whose they are. */
export type Keyed<First extends string, Last extends string, F = Facts> = {
  [L in Last as `${First}.${L}`]: F;
};

/** What a check can say: the facts of each key. The facts may be left out where there are none. */
type Told<S, K extends keyof S> = S[K] extends None ? [facts?: None] : [facts: S[K]];

/** Constructors of aspects, which take the keys and facts of one check and no others. */
interface Constructors<S> {
  /** An aspect that holds. */
  conforms<K extends keyof S & string>(
    key: K,
    ...rest: [...told: Told<S, K>, marginMm?: number | null]
  ): Aspect;
  /** An aspect that does not hold. */
  fails<K extends keyof S & string>(key: K, ...rest: [...told: Told<S, K>, marginMm?: number | null]): Aspect;
  /** An aspect too near its limit; `settle` says what would decide it. */
  marginal<K extends keyof S & string>(key: K, facts: S[K], settle: string, marginMm?: number | null): Aspect;
  /** An aspect that the record cannot answer; the sentence says what is missing. */
  unread<K extends keyof S & string>(key: K, ...rest: [...told: Told<S, K>, settle?: string | null]): Aspect;
  /** An aspect that a positive fact of the record rules out. */
  notApplicable<K extends keyof S & string>(key: K, ...rest: Told<S, K>): Aspect;
}

const CONSTRUCTORS = {
  conforms: (key: string, facts: Facts = {}, marginMm: number | null = null) =>
    aspect('conforms', key, facts, marginMm, null),
  fails: (key: string, facts: Facts = {}, marginMm: number | null = null) =>
    aspect('fails', key, facts, marginMm, null),
  marginal: (key: string, facts: Facts, settle: string, marginMm: number | null = null) =>
    aspect('marginal', key, facts, marginMm, settle),
  unread: (key: string, facts: Facts = {}, settle: string | null = null) =>
    aspect('unread', key, facts, null, settle),
  notApplicable: (key: string, facts: Facts = {}) => aspect('not-applicable', key, facts, null, null),
};

/** What makes the aspects of a check: `Says` names every key that it can say, and the facts of each. */
export const saying = <Says>(): Constructors<Says> => CONSTRUCTORS as unknown as Constructors<Says>;

/** A fact that nobody recorded, e.g. "the wall thickness" of "JB-204". */
export const blank = (what: string, of: string | { entry: string }, settle: string): Aspect =>
  CONSTRUCTORS.unread(
    'record.blank',
    typeof of === 'string' ? { what, of } : { what, ...of },
    // The certificate is there; what it says has to be copied.
    settle === 'settle.certificate' ? 'settle.certificate-facts' : settle,
  );
