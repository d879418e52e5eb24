import { blank, saying } from '../check';
import { sides, faulted, diameterOpen, type OfSide } from '../blocks';

/** What it says, and the facts of each. */
type Says = {
  't01.takes': { count: number };
  't01.unread': OfSide;
  't01.shape': OfSide & { shape: string; shapes: string };
};
const { fails, unread } = saying<Says>();

/** Every cable lies in a block that takes it, by its shape and by its diameters as measured. */
export const t01 = sides(
  { id: 'T-01', basis: { 'iec-2013': 'Assembly sheet, block ranges', certificate: true } },
  't01.takes',
  (context, side, facts, { cable }) => {
    if (!cable) return unread('t01.unread', facts, 'settle.cable');
    const { shapes } = context.certificate!.sheet.transit!;
    if (cable.shape === null) return blank('shape', cable.tag, 'settle.cable');
    if (!shapes.includes(cable.shape)) {
      return fails('t01.shape', { ...facts, shape: cable.shape, shapes: shapes.join(', ') });
    }
    if (side.open?.why === 'not-measured') return diameterOpen(side, facts);
    return faulted(context, side, facts, ['range'], 't01') ?? diameterOpen(side, facts);
  },
);
