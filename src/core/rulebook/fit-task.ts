import { threadOf } from '../gland/thread-table';
import {
  DEPTH_LARGE_MM,
  DEPTH_SMALL_MM,
  PARALLEL_THREADS,
  SMALL_VOLUME_CM3,
  TAPER_THREADS,
} from '../gland/threads';
import { isSoft } from '../measuring/soft';
import type { ClampFace } from '../record/types';
import { isFlameproof, kindOf, type Dossier } from './dossier';
import { gapScale } from './gap-scale';
import type { FitTask } from './judge-fit';
import { valueTaskOf } from './value-task';

/** The clamping face that is in use for the cable's armour; null when none is, or none is known. */
export function faceInUse({
  size,
  cable,
  entry,
}: Pick<Dossier, 'size' | 'cable' | 'entry'>): ClampFace | null {
  const armour = cable?.armour?.type;
  const listed = size?.clamp.filter((face) => face.armour === armour) ?? [];
  const { ring } = kindOf({ entry });
  if (ring === 'universal' || ring === 'none') return listed[0] ?? null;
  return listed.find((face) => face.face === entry.ringFace) ?? null;
}

/** What a place is held against as a fit; null where the records do not say, or it is no fit. */
export function fitTaskOf(dossier: Dossier, place: string): FitTask | null {
  const { size, cable } = dossier;
  const soft = isSoft(cable);
  if (place === 'outer-sheath' && size?.outer.rangeMm) {
    return { place, part: 'Outer seal', rangeMm: size.outer.rangeMm, seal: size.outer, soft };
  }
  if (place === 'over-cores' && size?.pot) {
    return { place, part: 'Bore over the cores', rangeMm: size.pot.overCoresMm, seal: null, soft };
  }
  if (place === 'inner-sheath' && size?.inner?.rangeMm) {
    const part = kindOf(dossier).inner === 'diaphragm' ? 'Diaphragm' : 'Inner seal';
    return { place, part, rangeMm: size.inner.rangeMm, seal: size.inner, soft };
  }
  const face = place === 'armour' ? faceInUse(dossier) : null;
  if (!face) return null;
  const { ring } = kindOf(dossier);
  const named =
    ring === 'reversible' ? `Ring face ${face.face}` : ring === 'dedicated' ? `Ring ${face.face}` : 'Clamp';
  const part = `${named}, ${face.armour}`;
  return { place, part, rangeMm: face.rangeMm, seal: null, soft: false };
}

/** Limits of a place in its own unit, for its strip: null where an end is open; null when nothing limits it. */
export function limitsOf(dossier: Dossier, place: string): [low: number | null, high: number | null] | null {
  const task = fitTaskOf(dossier, place);
  if (task) return [...task.rangeMm];
  const own = ownLimits(dossier, place);
  if (own !== undefined) return own;
  if (place === 'bond') return [null, dossier.site.bondLimitOhm];
  if (place === 'thread-engagement' && isFlameproof(dossier)) {
    const thread = dossier.size?.thread ? threadOf(dossier.size.thread) : null;
    if (thread?.smallEndMm != null) return [4.5 * thread.pitchMm, null];
    return [depthAsked(dossier), null];
  }
  return null;
}

/** A volume that nobody recorded counts as a large one. */
const depthAsked = ({ enclosure }: Dossier): number =>
  (enclosure.volumeCm3 ?? Infinity) > SMALL_VOLUME_CM3 ? DEPTH_LARGE_MM : DEPTH_SMALL_MM;

/** Limits that the sheet gives for single values; undefined for another place. */
function ownLimits(dossier: Dossier, place: string): [number | null, number | null] | null | undefined {
  const { size } = dossier;
  const task = valueTaskOf(dossier, place);
  if (task) return [task.low, task.high];
  if (place === 'back-nut-gap') {
    const scale = gapScale(dossier);
    return scale ? [scale.lowMm, scale.highMm] : null;
  }
  if (place === 'thread-turns' && isFlameproof(dossier)) {
    const thread = size?.thread ? threadOf(size.thread) : null;
    if (!thread) return null;
    if (thread.smallEndMm !== null) return [TAPER_THREADS, null];
    return [Math.max(PARALLEL_THREADS, depthAsked(dossier) / thread.pitchMm), null];
  }
  return undefined;
}
