import type { Solution, Solve } from './types';

/** What is asked of the HiGHS library once it is loaded. */
export interface HighsLike {
  solve: (
    program: string,
    options: Record<string, string | number | boolean>,
  ) => { Status: string; Columns: Record<string, { Primal?: number }> };
}

const NOTHING: Solution = { status: 'unknown', value: () => 0 };

/** The loaded library as a solver; a program that it cannot take counts as unknown. */
export const solverOf =
  (highs: HighsLike): Solve =>
  (program, seconds) => {
    let found: ReturnType<HighsLike['solve']>;
    try {
      found = highs.solve(program, {
        time_limit: seconds,
        mip_rel_gap: 0,
        mip_abs_gap: 1e-4,
        output_flag: false,
        random_seed: 1,
      });
    } catch {
      return NOTHING;
    }
    const value = (name: string) => found.Columns[name]?.Primal ?? 0;
    if (found.Status === 'Optimal' || found.Status === 'Empty') return { status: 'optimal', value };
    if (found.Status === 'Infeasible') return { status: 'infeasible', value };
    const known = Object.values(found.Columns).some(
      ({ Primal }) => Primal !== undefined && Math.abs(Primal) > 0.5,
    );
    return { status: known ? 'feasible' : 'unknown', value };
  };
