import { lookOf, placeOf } from '../kinds/kinds';
import { isTestHold, testTitle } from '../kinds/steps';
import { unread } from './check';
import type { Context } from './dossier';
import type { Aspect } from '../record/finding';

/** Says that an unanswered place or look is a hold point that was passed over; null where it is not. */
export function passedOver({ skipped, entry }: Context, id: string): Aspect | null {
  const hold = skipped.get(id);
  if (!hold) return null;
  const title = isTestHold(id)
    ? testTitle(id)
    : ((placeOf(entry.kind, id) ?? lookOf(entry.kind, id))?.title ?? id);
  return unread('hold.skipped', { title, by: hold.by, reason: hold.reason }, 'settle.open-look');
}
