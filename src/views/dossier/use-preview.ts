import { useRef, useState } from 'react';
import { ApiError } from '../../client/api';
import type { SheetsPreview } from '../../core/bulk/preview';
import { device } from '../hand/hand';

/** What is asked with: its name, by which its progress is told, and what ends it. */
interface Asking {
  task: string;
  signal: AbortSignal;
}

/** A preview that the server works out, as it stands. */
export interface Previewing {
  preview: SheetsPreview | null;
  /** Why there is none. */
  problem: string;
  /** Name of the task that runs; null: none. */
  task: string | null;
  run: (ask: (asking: Asking) => Promise<SheetsPreview>) => Promise<void>;
  cancel: () => void;
  forget: () => void;
  fail: (problem: string) => void;
}

/** Follows a preview: one at a time, the last that was asked for. */
export function usePreview(): Previewing {
  const [preview, setPreview] = useState<SheetsPreview | null>(null);
  const [problem, setProblem] = useState('');
  const [task, setTask] = useState<string | null>(null);
  const abort = useRef<AbortController | null>(null);
  const run: Previewing['run'] = async (ask) => {
    abort.current?.abort();
    const own = (abort.current = new AbortController());
    const isLast = () => abort.current === own;
    const name = device.id();
    setTask(name);
    setProblem('');
    try {
      const found = await ask({ task: name, signal: own.signal });
      if (isLast()) setPreview(found);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (isLast())
        setProblem(own.signal.aborted ? 'The reading was cancelled; nothing was changed.' : error.message);
    } finally {
      if (isLast()) setTask(null);
    }
  };
  const forget = () => {
    setPreview(null);
    setProblem('');
  };
  return { preview, problem, task, run, cancel: () => abort.current?.abort(), forget, fail: setProblem };
}
