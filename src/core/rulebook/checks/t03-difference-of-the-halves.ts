import { sides, faulted, uncounted } from '../blocks';

/** The halves are peeled alike. */
export const t03 = sides(
  { id: 'T-03', basis: { 'iec-2013': 'Assembly sheet, peeling', certificate: true } },
  't03.alike',
  (context, side, facts) =>
    faulted(context, side, facts, ['difference'], 't03') ?? uncounted(context, side, facts, 't03'),
);
