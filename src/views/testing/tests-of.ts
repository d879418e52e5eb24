import type { Slice } from '../../core/record/slice';
import type { Id, InsulationTest } from '../../core/record/types';

/** Tests of a cable, the oldest first. */
export const testsOf = (slice: Slice, cable: Id): InsulationTest[] =>
  slice
    .by('insulation', 'cable', cable)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
