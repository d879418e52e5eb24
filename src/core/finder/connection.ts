import { threadOf, type Thread } from '../gland/thread-table';
import { isNearMiss } from '../gland/threads';
import { atMost } from '../quantity/compare';
import type { Enclosure, Entry } from '../record/types';
import { isFlameproof } from '../kinds/compartment';
import { CLEARANCE_MM } from '../rulebook/limits';

/** How a gland gets into a hole. */
export interface Connection {
  how: 'direct' | 'locknut' | 'adaptor' | 'impossible';
  /** Adaptor or reducer that is needed; null without. */
  adaptor: { what: 'adaptor' | 'reducer'; male: string; female: string } | null;
  /** Why it is impossible, or what to mind; null where nothing is. */
  note:
    | 'one-adaptor-only'
    | 'clearance-on-flameproof'
    | 'hole-small'
    | 'hole-wide'
    | 'hole-unknown'
    | 'taper-in-clearance'
    | 'near-miss'
    | null;
}

const fixed = (how: Connection['how'], note: Connection['note'] = null): Connection => ({
  how,
  adaptor: null,
  note,
});

/**
 * What stands between a gland's thread and the hole as it is.
 *
 * @param thread designation of the gland's thread
 */
export function connectionOf(
  entry: Pick<Entry, 'hole' | 'adaptors' | 'compartment'>,
  enclosure: Enclosure,
  thread: string | null,
): Connection {
  const gland = thread === null ? null : threadOf(thread);
  if (!gland) return fixed('impossible', 'hole-unknown');
  const flameproof = isFlameproof({ enclosure, entry });
  const fitted = entry.adaptors ?? [];
  if (fitted.length > 0) return throughAdaptors(threadOf(fitted[0]!.female), gland, flameproof);
  if (entry.hole.form === 'clearance') return throughHole(entry.hole.diameterMm, gland, flameproof);
  const hole = entry.hole.thread === null ? null : threadOf(entry.hole.thread);
  if (!hole) return fixed('impossible', 'hole-unknown');
  if (hole.designation === gland.designation) return fixed('direct');
  return withAdaptor(hole, gland);
}

function throughAdaptors(female: Thread | null, gland: Thread, flameproof: boolean): Connection {
  if (!female) return fixed('impossible', 'hole-unknown');
  if (female.designation === gland.designation) return fixed('direct');
  return flameproof ? fixed('impossible', 'one-adaptor-only') : withAdaptor(female, gland);
}

function throughHole(diameterMm: number | null, gland: Thread, flameproof: boolean): Connection {
  if (flameproof) return fixed('impossible', 'clearance-on-flameproof');
  // A taper thread wedges in a thread, never in a plain hole.
  if (gland.smallEndMm !== null) return fixed('impossible', 'taper-in-clearance');
  if (diameterMm === null) return fixed('impossible', 'hole-unknown');
  if (!atMost(gland.nominalMm, diameterMm)) return fixed('impossible', 'hole-small');
  return atMost(diameterMm - gland.nominalMm, CLEARANCE_MM)
    ? fixed('locknut')
    : fixed('impossible', 'hole-wide');
}

function withAdaptor(hole: Thread, gland: Thread): Connection {
  const what = gland.nominalMm < hole.nominalMm ? 'reducer' : 'adaptor';
  const adaptor = { what, male: hole.designation, female: gland.designation } as const;
  return { how: 'adaptor', adaptor, note: isNearMiss(gland, hole) ? 'near-miss' : null };
}
