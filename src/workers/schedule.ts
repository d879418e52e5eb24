import { propose, type End } from '../core/finder/schedule';
import { slim, type SlimProposal } from '../core/finder/slim';
import type { Certificate } from '../core/record/types';

/** What the page asks of the worker. */
export interface ScheduleJob {
  needs: End[];
  certificates: Certificate[];
  at: string;
}

/** What the worker answers, again and again: the proposals since the last answer. */
export interface ScheduleNews {
  done: number;
  proposals: SlimProposal[];
}

/** Proposals that go in one message, so that the page is not flooded. */
const BATCH = 20;

self.onmessage = ({ data: { needs, certificates, at } }: MessageEvent<ScheduleJob>) => {
  let proposals: SlimProposal[] = [];
  needs.forEach((need, i) => {
    proposals.push(slim(propose(need, certificates, at)));
    if (proposals.length < BATCH && i < needs.length - 1) return;
    self.postMessage({ done: i + 1, proposals } satisfies ScheduleNews);
    proposals = [];
  });
};
