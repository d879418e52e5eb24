import { saying } from '../check';
import { outOfSight, sides, faulted, uncounted, diameterOpen, type OfSide } from '../blocks';

/** What it says, and the facts of each. */
type Says = {
  't02.right': { count: number };
  't02.daylight-unseen': OfSide;
};
const { unread } = saying<Says>();

/** Layers peeled leave the gap of the sheet round the cable as measured; no daylight. */
export const t02 = sides(
  {
    id: 'T-02',
    basis: { 'iec-2013': 'Assembly sheet, peeling; IEC 60079-14:2013, 9.6.4', certificate: true },
  },
  't02.right',
  (context, side, facts) => {
    const daylight = faulted(context, side, facts, ['daylight'], 't02');
    if (daylight) return daylight;
    if (side.daylight === null && !outOfSight(context))
      return unread('t02.daylight-unseen', facts, 'settle.daylight');
    if (side.open?.why === 'not-measured') return diameterOpen(side, facts);
    return (
      faulted(context, side, facts, ['wide', 'tight'], 't02') ??
      uncounted(context, side, facts, 't02') ??
      diameterOpen(side, facts)
    );
  },
);
