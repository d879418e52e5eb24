import { useEffect, useRef, useState } from 'react';
import type { PackStep } from '../../core/transit/pack/pack';
import type { PackJob, PackReason, Packing } from '../../core/transit/pack/types';
import type { Slice } from '../../core/record/slice';
import { figure } from '../../core/words/en/format';
import type { PackNews } from '../../workers/pack';

/** A packing that was found, after which step, and how long it took. */
interface PackFound {
  step: PackStep;
  packing: Packing;
  ms: number;
}

/** The search for a packing, beside the page. */
export interface PackingRun {
  state: 'idle' | 'running' | 'done' | 'cancelled';
  /** Every better packing in the order in which it was found. */
  steps: readonly PackFound[];
  /** The best so far; null before the first. */
  best: Packing | null;
  problem: string;
  /** Looks for the best packing; null gives up what was found, with what stands in the way. */
  start: (job: PackJob) => void;
  refuse: (why: string) => void;
  cancel: () => void;
}

/** Runs the search in a worker; what was found stays when it is cancelled. */
export function usePacking(slice: Slice): PackingRun {
  const [state, setState] = useState<PackingRun['state']>('idle');
  const [steps, setSteps] = useState<readonly PackFound[]>([]);
  const [problem, setProblem] = useState('');
  const worker = useRef<Worker | null>(null);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  useEffect(() => stop, []);
  const end = (how: 'done' | 'cancelled', why = '') => {
    if (why) setProblem(why);
    setState(how);
    stop();
  };
  const refuse = (why: string) => {
    stop();
    setSteps([]);
    setProblem(why);
  };
  const start = (job: PackJob) => {
    refuse('');
    setState('running');
    const began = performance.now();
    const running = new Worker(new URL('../../workers/pack.ts', import.meta.url), { type: 'module' });
    worker.current = running;
    running.onmessage = ({ data }: MessageEvent<PackNews>) => {
      if (data.is === 'better') {
        const { step, packing } = data;
        return setSteps((all) => [...all, { step, packing, ms: performance.now() - began }]);
      }
      if (data.is === 'broken') return end('done', brokeOff(data.message));
      end('done', data.result.fits ? '' : reasonWords(data.result.reason, slice));
    };
    running.onerror = ({ message }) => end('cancelled', brokeOff(message || 'the worker did not start'));
    running.postMessage(job);
  };
  const best = steps[steps.length - 1]?.packing ?? null;
  return { state, steps, best, problem, start, refuse, cancel: () => end('cancelled') };
}

const brokeOff = (why: string): string => `The calculation broke off: ${why}. Start it again.`;

/** What stands in the way of a packing, and what to do. */
function reasonWords({ code, cables, missingMm }: PackReason, slice: Slice): string {
  const tags = cables.map((id) => slice.get('cable', id)?.tag ?? id).join(', ');
  if (code === 'no-block')
    return `No block takes ${tags}. Allow the size that was forbidden, or choose another series.`;
  if (code === 'width') {
    return tags
      ? `The blocks that take ${tags} do not fill the width of the opening. Choose a wider opening.`
      : 'No blocks of the list fill the width of the opening. Allow more sizes.';
  }
  return `${figure(missingMm, 1)} mm of height are missing, or the window of the wedge is missed by as much. Take cables out, or choose a higher opening.`;
}
