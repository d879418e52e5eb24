import type { Context } from './dossier';

/** Whether a parallel path was left when a resistance was read; null: nobody said. */
export function parallelPath({ looks }: Pick<Context, 'looks'>): boolean | null {
  const answer = looks.get('bond-path')?.answer;
  return answer === undefined ? null : answer !== 'yes';
}
