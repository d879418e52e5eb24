import { useEffect, useRef, useState } from 'react';
import { needsOf, type Proposal } from '../../core/finder/schedule';
import { whole } from '../../core/finder/slim';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { now } from '../../client/clock';
import type { ScheduleJob, ScheduleNews } from '../../workers/schedule';

/** The search for a gland at every end of every cable, beside the page. */
export interface ScheduleRun {
  state: 'idle' | 'running' | 'done' | 'cancelled';
  proposals: readonly Proposal[];
  /** How many ends are asked for. */
  total: number;
  problem: string;
  start: () => void;
  cancel: () => void;
}

/** Runs the search in a worker; what was found stays when it is cancelled. */
export function useSchedule(slice: Slice, site: Id): ScheduleRun {
  const [proposals, setProposals] = useState<Proposal[]>([]);
  const [total, setTotal] = useState(0);
  const [state, setState] = useState<ScheduleRun['state']>('idle');
  const [problem, setProblem] = useState('');
  const worker = useRef<Worker | null>(null);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  useEffect(() => stop, []);
  const end = (how: 'done' | 'cancelled') => {
    setState(how);
    stop();
  };
  const start = () => {
    stop();
    const needs = needsOf(slice, site);
    const certificates = slice.by('certificate', 'site', site);
    const byId = new Map(certificates.map((one) => [one.id, one]));
    setProposals([]);
    setProblem('');
    setTotal(needs.length);
    if (needs.length === 0) return setState('done');
    setState('running');
    const running = new Worker(new URL('../../workers/schedule.ts', import.meta.url), { type: 'module' });
    worker.current = running;
    running.onmessage = ({ data }: MessageEvent<ScheduleNews>) => {
      setProposals((all) => [...all, ...data.proposals.map((one) => whole(one, byId))]);
      if (data.done >= needs.length) end('done');
    };
    running.onerror = ({ message }) => {
      setProblem(`The calculation broke off: ${message || 'the worker did not start'}. Start it again.`);
      end('cancelled');
    };
    running.postMessage({ needs, certificates, at: now() } satisfies ScheduleJob);
  };
  return { state, proposals, total, problem, start, cancel: () => end('cancelled') };
}
