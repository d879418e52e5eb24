import { describe, expect, it } from 'vitest';
import { solverOf, type HighsLike } from './solver';

const answering = (Status: string, Columns: Record<string, { Primal?: number }> = {}): HighsLike => ({
  solve: () => ({ Status, Columns }),
});

describe('the solver behind the packing', () => {
  it.each([
    ['Optimal', { x: { Primal: 2 } }, 'optimal'],
    ['Infeasible', {}, 'infeasible'],
    ['Time limit reached', { x: { Primal: 2 } }, 'feasible'],
    ['Time limit reached', { x: { Primal: 0 } }, 'unknown'],
    ['Time limit reached', { x: {} }, 'unknown'],
  ] as const)('%s with %j is %s', (status, columns, wanted) => {
    const { status: found, value } = solverOf(answering(status, columns))('', 1);
    expect(found).toBe(wanted);
    expect(value('nothing')).toBe(0);
  });
  it('a program that the library cannot take is unknown, not a crash', () => {
    const broken: HighsLike = {
      solve: () => {
        throw new Error('memory access out of bounds');
      },
    };
    expect(solverOf(broken)('Minimize', 1)).toMatchObject({ status: 'unknown' });
  });
  it('asks for the proven best within the seconds it is given', () => {
    let asked: Record<string, unknown> = {};
    solverOf({
      solve: (_program, options) => {
        asked = options;
        return { Status: 'Optimal', Columns: {} };
      },
    })('', 3);
    expect(asked).toMatchObject({ time_limit: 3, mip_rel_gap: 0 });
  });
});
