import type { BrokenSeal } from '../../record/seal';
import { type Check, type None, saying } from '../check';
import { answerTo, judgeLook } from '../look';

/** What it says, and the facts of each. */
type Says = {
  'e28.there-is-one': { lastSealed: string };
  'e28.there-is-none': None;
  'e28.broken': { what: string; sealedAt: string; by: string };
};
const { unread } = saying<Says>();

/** Nothing altered since the last sealed record. */
export const e28: Check = {
  id: 'E-28',
  kinds: () => true,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, unauthorised modifications' },
  grade: 'visual',
  hazard: 'record',
  place: 'unaltered',
  consequence: () => 1,
  run(context) {
    const { lastSealed, broken } = context;
    if (broken.length > 0) return [...broken.map(brokenSeal), judgeLook(context, 'unaltered')];
    if (answerTo(context, 'unaltered') === 'first' && lastSealed !== null) {
      return [unread('e28.there-is-one', { lastSealed }, 'settle.unaltered')];
    }
    if (answerTo(context, 'unaltered') === 'same' && lastSealed === null) {
      return [unread('e28.there-is-none', {}, 'settle.unaltered')];
    }
    return [judgeLook(context, 'unaltered')];
  },
};

const brokenSeal = ({ table, at, by }: BrokenSeal) =>
  unread('e28.broken', { what: table, sealedAt: at, by }, 'settle.broken-seal');
