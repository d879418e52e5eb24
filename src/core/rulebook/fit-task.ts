import { threadOf } from '../gland/thread-table';
import { DEPTH_LARGE_MM, DEPTH_SMALL_MM, SMALL_VOLUME_CM3 } from '../gland/threads';
import { KINDS } from '../record/kinds';
import type { ClampFace } from '../record/types';
import { isFlameproof, type Dossier } from './dossier';
import type { FitTask } from './judge-fit';

/** The clamping face that is in use for the cable's armour; null when none is, or none is known. */
export function faceInUse({ size, cable, entry }: Dossier): ClampFace | null {
  const armour = cable?.armour?.type;
  const listed = size?.clamp.filter((face) => face.armour === armour) ?? [];
  if (KINDS[entry.kind].ring === 'universal') return listed[0] ?? null;
  return listed.find((face) => face.face === entry.ringFace) ?? null;
}

/** What a place is held against as a fit; null where the records do not say, or it is no fit. */
export function fitTaskOf(dossier: Dossier, place: string): FitTask | null {
  const { size, cable, entry } = dossier;
  const soft = cable?.coldFlow ?? false;
  if (place === 'outer-sheath' && size) {
    return { place, part: 'Outer seal', rangeMm: size.outer.rangeMm, seal: size.outer, soft };
  }
  if (place === 'inner-sheath' && size?.inner) {
    return { place, part: 'Inner seal', rangeMm: size.inner.rangeMm, seal: size.inner, soft };
  }
  const face = place === 'armour' ? faceInUse(dossier) : null;
  if (!face) return null;
  const turned = KINDS[entry.kind].ring === 'reversible';
  const part = turned ? `Ring face ${face.face}, ${face.armour}` : `Clamp, ${face.armour}`;
  return { place, part, rangeMm: face.rangeMm, seal: null, soft: false };
}

/** Limits of a place in its own unit, for its strip: null where an end is open; null when nothing limits it. */
export function limitsOf(dossier: Dossier, place: string): [low: number | null, high: number | null] | null {
  const task = fitTaskOf(dossier, place);
  if (task) return [...task.rangeMm];
  if (place === 'bond') return [null, dossier.site.bondLimitOhm];
  if (place === 'thread-engagement' && isFlameproof(dossier)) {
    const thread = dossier.size && threadOf(dossier.size.thread);
    if (thread?.smallEndMm != null) return [4.5 * thread.pitchMm, null];
    return [dossier.enclosure.volumeCm3 > SMALL_VOLUME_CM3 ? DEPTH_LARGE_MM : DEPTH_SMALL_MM, null];
  }
  return null;
}
