import type { Aspect, Finding } from '../../core/record/finding';
import type { BlockAt } from '../../core/rulebook/transit-planned';

/** The blocks that the failing aspects of a finding speak of. */
export function blocksOf(finding: Finding): BlockAt[] {
  return [finding, ...finding.also]
    .filter(({ outcome }) => outcome === 'fails')
    .flatMap(({ facts }) => placeIn(facts));
}

function placeIn({ opening, row, column, index }: Aspect['facts']): BlockAt[] {
  if (typeof opening !== 'string' || typeof row !== 'number') return [];
  if (typeof column !== 'number' || typeof index !== 'number') return [];
  return [{ opening, row: row - 1, column: column - 1, index: index - 1 }];
}
