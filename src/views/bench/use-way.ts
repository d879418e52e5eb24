import { useState } from 'react';
import { parameter, say } from '../hand/hand';
import type { Needed } from '../../core/rulebook/needed';
import type { PlaceView } from './place-view';
import type { Judged } from './use-judged';
import { askedHere, nextUnread, type Asked, type Here } from './way';

/** The way through an entry: where one is, and what comes next. */
export interface Way {
  here: Here | null;
  goTo: (here: Here | null) => void;
  /** The place that the next reading belongs to. */
  active: PlaceView | undefined;
  /** What is next unread; null once nothing is. */
  next: Asked | null;
  unread: number;
  /** Goes to what is next unread. */
  toNext: () => void;
  /** Goes on to what is next unread after something that has been answered just now. */
  goOn: (...after: readonly Here[]) => void;
  /** Goes to the place before or after. */
  step: (by: 1 | -1) => void;
}

const ALL_READ = 'Nothing is unread here any more. Seal the inspection when you are ready.';

/**
 * Keeps where one is on an entry.
 *
 * @param only what the way leads through, where it is not everything that is asked
 */
export function useWay(entry: string, judged: Judged, only: Needed | null): Way {
  const [here, goTo] = useState<Here | null>(() => {
    const place = entry === parameter('entry') ? parameter('place') : null;
    return place === null ? null : { is: 'place', id: place };
  });
  const asked = askedHere(judged).filter(
    ({ is, id }) => !only || (is === 'place' ? only.places : only.looks).includes(id),
  );
  const { views } = judged;
  const next = nextUnread(asked, here ? [here] : []) ?? nextUnread(asked);
  const chosen = here?.is === 'place' ? views.find(({ place }) => place.id === here.id) : undefined;
  const nextPlace = asked.find(({ is, read }) => is === 'place' && !read)?.id;
  const active = chosen ?? views.find(({ place }) => place.id === nextPlace) ?? views[0];
  return {
    here,
    goTo,
    active,
    next,
    unread: asked.filter(({ read }) => !read).length,
    toNext() {
      if (next) goTo({ is: next.is, id: next.id });
      else say(ALL_READ);
    },
    goOn(...after) {
      const to = nextUnread(asked, after);
      goTo(to && { is: to.is, id: to.id });
      if (!to) say(ALL_READ);
    },
    step(by) {
      const at = views.findIndex((view) => view === active);
      const to = views[(at + by + views.length) % views.length];
      if (to) goTo({ is: 'place', id: to.place.id });
    },
  };
}
