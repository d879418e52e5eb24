import { lookOf, placeOf } from '../kinds/kinds';
import { titleFacts } from '../kinds/worded';
import { saying } from './check';
import type { Context } from './dossier';
import type { Aspect } from '../record/finding';

/** What it says, and the facts of each. */
type Says = {
  'hold.skipped': { title?: string; by: string; reason: string };
};
const { unread } = saying<Says>();

/** Says that an unanswered place or look is a hold point that was passed over; null where it is not. */
export function passedOver({ skipped, entry }: Context, id: string): Aspect | null {
  const hold = skipped.get(id);
  if (!hold) return null;
  const row = placeOf(entry.kind, id) ?? lookOf(entry.kind, id) ?? { words: id };
  return unread('hold.skipped', { ...titleFacts(row), by: hold.by, reason: hold.reason }, 'settle.open-look');
}
