import { sides, faulted, uncounted } from '../blocks';

/** The layers that must stay are there. */
export const t04 = sides(
  { id: 'T-04', basis: { 'iec-2013': 'Assembly sheet, layers that stay', certificate: true } },
  't04.stays',
  (context, side, facts) =>
    faulted(context, side, facts, ['last-layer'], 't04') ?? uncounted(context, side, facts, 't04'),
);
