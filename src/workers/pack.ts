import loadHighs from 'highs';
import wasm from 'highs/runtime?url';
import { greedyPack, pack, type PackStep } from '../core/transit/pack/pack';
import { solverOf, type HighsLike } from '../core/transit/pack/solver';
import type { Packing, PackJob, PackResult } from '../core/transit/pack/types';

/** What the worker answers: each better packing as it is found, and the result. */
export type PackNews =
  | { is: 'better'; packing: Packing; step: PackStep }
  | { is: 'done'; result: PackResult }
  | { is: 'broken'; message: string };

const say = (news: PackNews) => self.postMessage(news);

self.onmessage = async ({ data }: MessageEvent<PackJob>) => {
  try {
    // The first complete packing needs no solver: it is there before that is loaded.
    const first = greedyPack(data);
    if (first) say({ is: 'better', packing: first, step: 'first' });
    const highs = (await loadHighs({ locateFile: () => wasm })) as unknown as HighsLike;
    const result = pack(data, solverOf(highs), {
      news: (packing, step) => {
        if (step !== 'first') say({ is: 'better', packing, step });
      },
    });
    say({ is: 'done', result });
  } catch (error) {
    say({ is: 'broken', message: error instanceof Error ? error.message : String(error) });
  }
};
