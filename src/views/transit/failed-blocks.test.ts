import { describe, expect, it } from 'vitest';
import type { Aspect, Finding } from '../../core/record/finding';
import { blocksOf } from './failed-blocks';

const aspect = (outcome: Aspect['outcome'], facts: Aspect['facts']): Aspect => ({
  outcome,
  key: 'x',
  facts,
  marginMm: null,
  settle: null,
});
const finding = (worst: Aspect, also: Aspect[]): Finding => ({
  ...worst, check: 'T-09', place: null, consequence: 3, hazard: 'explosion', shock: false, record: null, also,
}); // prettier-ignore

describe('the blocks of a finding', () => {
  it('are those of its failing aspects, counted from 0 as the board counts', () => {
    const at = { opening: '1', row: 2, column: 3, index: 1 };
    expect(blocksOf(finding(aspect('fails', at), [aspect('conforms', at), aspect('unread', at)]))).toEqual([
      { opening: '1', row: 1, column: 2, index: 0 },
    ]);
  });
  it('are none where a finding speaks of a row, of the frame, or of nothing that fails', () => {
    expect(blocksOf(finding(aspect('fails', { opening: '1', row: 2 }), []))).toEqual([]);
    expect(blocksOf(finding(aspect('fails', {}), []))).toEqual([]);
    expect(blocksOf(finding(aspect('conforms', { opening: '1', row: 1, column: 1, index: 1 }), []))).toEqual(
      [],
    );
  });
});
