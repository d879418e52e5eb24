import type { LookQuestion } from '../../core/kinds/look';
import { titleOf } from '../../core/words/en/kinds/titles';
import type { Judged } from './use-judged';
import { isRead } from './place-view';

/** What has the hand and the eye: a place that is measured, or a look. */
export interface Here {
  is: 'place' | 'look';
  id: string;
}

/** Something that is asked of the entry, in the order in which it is gone through. */
export interface Asked extends Here {
  title: string;
  read: boolean;
}

/** Everything that is asked: the places from the box outwards, then the looks from outside inwards. */
export function askedHere({ views, groups, dossier }: Pick<Judged, 'views' | 'groups' | 'dossier'>): Asked[] {
  const looks = groups.flatMap((group) => group.looks);
  return [
    ...views.map((view): Asked => ({ is: 'place', id: view.place.id, title: titleOf(view.place), read: isRead(view) })),
    ...looks.map((look: LookQuestion): Asked => ({ is: 'look', id: look.id, title: titleOf(look), read: dossier.looks.has(look.id) })),
  ]; // prettier-ignore
}

/**
 * What is next unread after something, round to the start again.
 *
 * @param after what was answered just now: it counts as read; empty begins at the start
 * @returns null once nothing is unread
 */
export function nextUnread(asked: readonly Asked[], after: readonly Here[] = []): Asked | null {
  const done = (one: Here) => after.some(({ is, id }) => is === one.is && id === one.id);
  const at = asked.findLastIndex(done);
  const open = (one: Asked) => !one.read && !done(one);
  const later = asked.findIndex((one, i) => i > at && open(one));
  return asked[later] ?? asked.find(open) ?? null;
}
