import { isSoft } from '../measuring/soft';
import type { Certificate, Entry, GlandSize, Id, Range } from '../record/types';
import { KINDS } from '../kinds/kinds';
import type { Check } from '../rulebook/check';
import { e01 } from '../rulebook/checks/e01-identified';
import { e02 } from '../rulebook/checks/e02-level';
import { e03 } from '../rulebook/checks/e03-group';
import { e04 } from '../rulebook/checks/e04-temperature';
import { e05 } from '../rulebook/checks/e05-ingress';
import { e06 } from '../rulebook/checks/e06-protection';
import { e08 } from '../rulebook/checks/e08-engagement';
import { e11 } from '../rulebook/checks/e11-outer-seal';
import { e12 } from '../rulebook/checks/e12-inner-seal';
import { e13 } from '../rulebook/checks/e13-clamp';
import { e15 } from '../rulebook/checks/e15-barrier';
import { e16 } from '../rulebook/checks/e16-cable-kind';
import { diameterOf, type Context } from '../rulebook/dossier';
import type { Aspect } from '../record/finding';
import { fitTaskOf } from '../rulebook/fit-task';
import { contextOf } from '../rulebook/judge';
import { washerReasons, type WasherReason } from '../rulebook/washer';
import { connectionOf, type Connection } from './connection';
import type { Need, Source } from './need';
import type { FitTask } from '../kinds/situation';

/** Something that a check says about a candidate. */
export interface Said extends Aspect {
  check: string;
}

/** One dimension of the cable in one seal, clamp or bore of the candidate. */
export interface Dimension {
  place: string;
  /** Key of what the range belongs to, with the face and the armour that it is for. */
  part: string;
  on: FitTask['on'];
  rangeMm: Range;
  meanMm: number;
  minMm: number;
  maxMm: number;
  expandedUncertaintyMm: number;
  source: Source;
  /** 0 at the lower limit, 1 at the upper. */
  position: number;
}

/** One size of one certificate, held against a need. */
export interface Candidate {
  certificate: Certificate;
  size: GlandSize;
  /** Ring face that is to be used; null where the kind has none to choose. */
  ringFace: string | null;
  verdict: 'fits' | 'close' | 'open' | 'no';
  /** What speaks against it, what is too near a limit, and what nobody knows yet. */
  said: Said[];
  dimensions: Dimension[];
  connection: Connection;
  /** Why a sealing washer is needed; empty when none is. */
  washer: WasherReason[];
  /** Whether it is a barrier gland. */
  barrier: boolean;
  /** 1 with every dimension in the middle of its range, 0 with one at a limit; below 0 outside. */
  centrality: number;
  /** How many things speak against it. */
  fails: number;
}

/** Rules that ask only for certificate, enclosure and area: the same for every size of a certificate. */
const OF_CERTIFICATE: readonly Check[] = [e02, e03, e05, e06, e15];
/** Rules that ask for the size and the cable. */
const OF_SIZE: readonly Check[] = [e01, e04, e11, e12, e13, e16];
/** The same where the gland goes straight into the hole: its thread has to engage. */
const OF_SIZE_DIRECT: readonly Check[] = [...OF_SIZE, e08];
/** Those of them that need no place. */
const OF_CABLE: readonly Check[] = [e11, e12, e13, e16];
/** Looks are asked for at the finished entry, not of a gland that is still in its bag. */
const NOT_YET = new Set(['look.none', 'fit.no-readings']);

const counts = ({ outcome, key }: Aspect): boolean =>
  outcome !== 'conforms' && outcome !== 'not-applicable' && !NOT_YET.has(key);

function says(checks: readonly Check[], context: Context, said: Said[]): void {
  for (const { id, run } of checks) {
    for (const aspect of run(context)) {
      // Field by field: a spread would be the dearest step of judging a candidate.
      const { outcome, key, facts, marginMm, settle } = aspect;
      if (counts(aspect)) said.push({ check: id, outcome, key, facts, marginMm, settle });
    }
  }
}

/** Judges candidates for one need; what does not depend on the size is asked once per certificate. */
export class CandidateJudge {
  readonly #ofCertificate = new Map<Id, Said[]>();
  readonly #base: Context;
  readonly #scratch: { context: Context; entry: Entry };

  /** @param at time of judging, ISO 8601 */
  constructor(
    private readonly need: Need,
    at: string,
  ) {
    const { dossier, groups } = need;
    this.#base = contextOf({ ...dossier, groups, looks: new Map(), record: null }, 'detailed', at);
    const entry = { ...dossier.entry, cable: need.cable.id };
    this.#scratch = { context: { ...this.#base, entry }, entry };
  }

  /** Holds one size of one certificate against the need, by the rules that will judge the finished entry. */
  judge(certificate: Certificate, size: GlandSize): Candidate {
    const { need } = this;
    const kind = KINDS[certificate.kind];
    const ringFace = faceFor(size, need.cable.armour?.type ?? null, kind.ring);
    const context = this.#contextFor(certificate, size, ringFace);
    const connection = need.placed
      ? connectionOf(need.dossier.entry, need.dossier.enclosure, size.thread)
      : { how: 'direct' as const, adaptor: null, note: null };
    const said = need.placed ? [...this.#certificateSays(certificate, context)] : [];
    const direct = connection.how === 'direct' && !need.dossier.entry.adaptors?.length;
    says(need.placed ? (direct ? OF_SIZE_DIRECT : OF_SIZE) : OF_CABLE, context, said);
    const against = failsOf(certificate, said, connection);
    const verdict = verdictOf(against, said);
    const dimensions: Dimension[] = [];
    let centrality = 1;
    for (const place of PLACES) {
      const dimension = this.#dimension(context, place);
      if (!dimension) continue;
      dimensions.push(dimension);
      centrality = Math.min(centrality, centred(dimension.position));
    }
    return {
      certificate,
      size,
      ringFace,
      verdict,
      said,
      dimensions,
      connection,
      washer: need.placed && verdict !== 'no' ? washerReasons(context) : [],
      barrier: kind.pot !== 'none',
      centrality,
      fails: against,
    };
  }

  /** Whether the outer seal can take the cable at all: cheap, so that a whole schedule need not be judged in full. */
  mayTake({ outer }: GlandSize): boolean {
    if (outer.rangeMm === null) return true;
    for (const group of this.need.groups.get('outer-sheath') ?? []) {
      const { minMm, maxMm } = diameterOf(this.#base, group, isSoft(this.need.cable));
      if (minMm < outer.rangeMm[0] - SLACK_MM || maxMm > outer.rangeMm[1] + SLACK_MM) return false;
    }
    return true;
  }

  #contextFor(certificate: Certificate, size: GlandSize, ringFace: string | null): Context {
    // One context and one entry are written again for each candidate: checks read them and keep nothing.
    const { context, entry } = this.#scratch;
    entry.kind = certificate.kind;
    entry.certificate = certificate.id;
    entry.size = size.size;
    entry.ringFace = ringFace;
    context.certificate = certificate;
    context.size = size;
    return context;
  }

  #certificateSays(certificate: Certificate, context: Context): Said[] {
    let said = this.#ofCertificate.get(certificate.id);
    if (!said) {
      said = [];
      says(OF_CERTIFICATE, context, said);
      this.#ofCertificate.set(certificate.id, said);
    }
    return said;
  }

  #dimension(context: Context, place: string): Dimension | null {
    const task = fitTaskOf(context, place);
    const group = this.need.groups.get(place)?.[0];
    if (!task || !group) return null;
    const d = diameterOf(context, group, task.soft);
    const [low, high] = task.rangeMm;
    const { meanMm, minMm, maxMm, expandedUncertaintyMm } = d;
    return {
      place,
      part: task.part,
      on: task.on,
      rangeMm: task.rangeMm,
      meanMm,
      minMm,
      maxMm,
      expandedUncertaintyMm,
      source: this.need.sources[place]!,
      position: (meanMm - low) / (high - low),
    };
  }
}

/** Room for the benefit that a site's rule may give at a limit, mm. Chosen: wider than any instrument’s uncertainty, so that no size is left out before it is judged. */
const SLACK_MM = 2;
const PLACES = ['outer-sheath', 'inner-sheath', 'armour', 'over-cores'];

/** 1 in the middle, 0 at a limit, negative outside. */
const centred = (position: number): number => 1 - 2 * Math.abs(position - 0.5);

function failsOf({ state }: Certificate, said: readonly Said[], { how }: Connection): number {
  let count = (state === 'valid' ? 0 : 1) + (how === 'impossible' ? 1 : 0);
  for (const { outcome } of said) if (outcome === 'fails') count++;
  return count;
}

function verdictOf(against: number, said: readonly Said[]): Candidate['verdict'] {
  if (against > 0) return 'no';
  if (said.some(({ outcome }) => outcome === 'unread')) return 'open';
  return said.length > 0 ? 'close' : 'fits';
}

/** The ring face that the sheet lists for an armour; null where there is nothing to choose. */
function faceFor(size: GlandSize, armour: string | null, ring: string): string | null {
  if (ring === 'universal' || ring === 'none') return null;
  return size.clamp.find((face) => face.armour === armour)?.face ?? size.clamp[0]?.face ?? null;
}
