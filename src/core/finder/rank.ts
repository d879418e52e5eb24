import type { Cable, Certificate } from '../record/types';
import { CandidateJudge, type Candidate } from './candidate';
import type { Connection } from './connection';
import type { Need } from './need';

/** Chosen: what suits stands before what is open. */
const VERDICT_RANK: Record<Candidate['verdict'], number> = { fits: 0, close: 1, open: 2, no: 3 };
/** Chosen: fewer parts stand first. */
const WAY_RANK: Record<Connection['how'], number> = { direct: 0, locknut: 1, adaptor: 2, impossible: 3 };

/**
 * Which of two candidates comes first: the better verdict, of those that do not fit the one
 * that less speaks against; then the gland without a barrier that nobody asks
 * for; then the one without an adaptor; then the one that the cable sits more in the middle of.
 */
function compareCandidates(a: Candidate, b: Candidate): number {
  return (
    VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict] ||
    a.fails - b.fails ||
    Number(a.barrier) - Number(b.barrier) ||
    WAY_RANK[a.connection.how] - WAY_RANK[b.connection.how] ||
    b.centrality - a.centrality ||
    (a.certificate.number < b.certificate.number ? -1 : a.certificate.number > b.certificate.number ? 1 : 0)
  );
}

/**
 * Every size of every certificate, the best for the need first.
 *
 * @param at time of judging, ISO 8601
 */
export function rankGlands(need: Need, certificates: readonly Certificate[], at: string): Candidate[] {
  const judge = new CandidateJudge(need, at);
  const found = certificates.flatMap((certificate) =>
    certificate.sheet.sizes.map((size) => judge.judge(certificate, size)),
  );
  return found.sort(compareCandidates);
}

/** The best candidate of a need, or null when none fits or may fit; judged in full only where the seal can take it. */
export function bestGland(need: Need, certificates: readonly Certificate[], at: string): Candidate | null {
  const judge = new CandidateJudge(need, at);
  let best: Candidate | null = null;
  for (const certificate of certificates) {
    if (certificate.state !== 'valid') continue;
    for (const size of certificate.sheet.sizes) {
      if (!judge.mayTake(size)) continue;
      const candidate = judge.judge(certificate, size);
      if (!best || compareCandidates(candidate, best) < 0) best = candidate;
    }
  }
  return best && best.verdict !== 'no' ? best : null;
}

/** The size that the sheet's chart proposes for a cable by conductor area and number of cores; null without a row. */
export function chartSize({ sheet }: Certificate, { cores }: Cable): string | null {
  const count = cores.reduce((sum, core) => sum + core.count, 0);
  const areaMm2 = Math.max(0, ...cores.map((core) => core.areaMm2));
  const row = sheet.chart.find((one) => one.cores === count && one.areaMm2 === areaMm2);
  return row?.size ?? null;
}
