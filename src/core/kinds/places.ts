import { threadOf } from '../gland/thread-table';
import {
  DEPTH_LARGE_MM,
  DEPTH_SMALL_MM,
  PARALLEL_THREADS,
  SMALL_VOLUME_CM3,
  TAPER_THREADS,
} from '../gland/threads';
import { isSoft } from '../measuring/soft';
import { linkLengths } from '../mineral/link';
import { isFlameproof } from './compartment';
import type { Traits } from './traits';
import { place, saying, worded } from './place';
import type { PlaceFunctions, Situation } from './situation';
import type { ClampFace } from '../record/types';

/** The clamping face that is in use for the cable's armour; null when none is, or none is known. */
export function faceInUse(
  { size, cable, entry }: Pick<Situation, 'size' | 'cable' | 'entry'>,
  { ring }: Pick<Traits, 'ring'>,
): ClampFace | null {
  const armour = cable?.armour?.type;
  const listed = size?.clamp.filter((face) => face.armour === armour) ?? [];
  if (ring === 'universal' || ring === 'none') return listed[0] ?? null;
  return listed.find((face) => face.face === entry.ringFace) ?? null;
}

const ofOuterSeal: PlaceFunctions = {
  fit: ({ size, cable }) =>
    size?.outer.rangeMm
      ? { part: 'outer-seal', rangeMm: size.outer.rangeMm, seal: size.outer, soft: isSoft(cable) }
      : null,
};

/** What the clamp's range belongs to, by what its ring is like. */
const PART_OF_RING: Record<Traits['ring'], string> = {
  reversible: 'ring-face',
  dedicated: 'ring-own',
  universal: 'clamp-of',
  none: 'clamp-of',
};

const ofArmour: PlaceFunctions = {
  fit(of, kind) {
    const face = faceInUse(of, kind);
    if (!face) return null;
    const part = PART_OF_RING[kind.ring];
    return {
      part,
      on: { face: face.face, armour: face.armour },
      rangeMm: face.rangeMm,
      seal: null,
      soft: false,
    };
  },
  nominal: ({ cable }, { armour }) =>
    armour === 'gripped' && cable?.outerMm != null && cable.sheathMm !== null
      ? cable.outerMm - 2 * cable.sheathMm
      : (cable?.armour?.sizeMm ?? USUAL.armourMm),
};

/** A gland that does not hold the cable by itself asks for a clamp within this distance, mm (IEC 60079-14, 10.2). */
export const SUPPORT_WITHIN_MM = 300;

/** A volume that nobody recorded counts as a large one. */
const depthAsked = ({ enclosure }: Situation): number =>
  (enclosure.volumeCm3 ?? Infinity) > SMALL_VOLUME_CM3 ? DEPTH_LARGE_MM : DEPTH_SMALL_MM;

const threadOfSize = ({ size }: Situation) => (size?.thread ? threadOf(size.thread) : null);

/** What is met where the record says nothing; drawn and simulated, never judged. Chosen: usual sizes, mm. */
const USUAL = {
  innerMm: 15,
  coreMm: 4,
  cores: 4,
  armourMm: 1.2,
  armourLengthMm: 18,
  innerProudMm: 5,
  reachMm: 14,
  gapMm: 4,
  wallMm: 5,
  pitchMm: 1.5,
  threadMm: 20,
};

/** How many times as thick as a core its bundle is: three or four cores, five, more. Chosen: round cores laid up. */
const BUNDLE = { few: 2.1, five: 2.5, more: 3 };

/** Where the outer seal sits. */
export const OUTER = saying(place('outer-sheath', 'close', 3, ['caliper', 'tape']), ofOuterSeal);
/** Gland into its adaptor: that joint counts like the one in the wall. */
export const ADAPTOR_ENGAGEMENT = saying(place('adaptor-engagement', 'detailed', 0), {
  wantedIn: (of) => (isFlameproof(of) && of.entry.adaptors?.length ? 1 : 0),
});
/** Where the inner seal or the diaphragm sits. */
export const INNER = saying(place('inner-sheath', 'detailed', 3, ['caliper', 'tape']), {
  wantedIn: ({ size }) => (size && !size.inner ? 0 : 3),
  fit: ({ size, cable }, { inner }) =>
    size?.inner?.rangeMm
      ? {
          part: inner === 'diaphragm' ? 'diaphragm' : 'inner-seal',
          rangeMm: size.inner.rangeMm,
          seal: size.inner,
          soft: isSoft(cable),
        }
      : null,
  nominal: ({ cable }) => cable?.innerMm ?? USUAL.innerMm,
});
/** The bundle that goes through the bore of a pot. */
export const OVER_CORES = saying(place('over-cores', 'detailed', 3), {
  fit: ({ size, cable }) =>
    size?.pot ? { part: 'bore', rangeMm: size.pot.overCoresMm, seal: null, soft: isSoft(cable) } : null,
  nominal({ cable }) {
    const { count = USUAL.cores, diameterMm = USUAL.coreMm } = cable?.cores[0] ?? {};
    return diameterMm * (count === 1 ? 1 : count < 4 ? BUNDLE.few : count < 6 ? BUNDLE.five : BUNDLE.more);
  },
});
export const ARMOUR = saying({ ...place('armour', 'detailed', 3), metal: true }, ofArmour);
/** Corrugated and interlocked armour is gripped from outside. */
export const OVER_ARMOUR = saying(
  worded('over-armour', { ...place('armour', 'detailed', 3), metal: true }),
  ofArmour,
);
export const ENGAGEMENT = saying(place('thread-engagement', 'detailed', 1), {
  wantedIn: (of) => (isFlameproof(of) ? 1 : 0),
  limits(of) {
    if (!isFlameproof(of)) return null;
    const thread = threadOfSize(of);
    return thread?.smallEndMm != null ? [TAPER_THREADS * thread.pitchMm, null] : [depthAsked(of), null];
  },
  nominal: ({ enclosure }) => Math.max((enclosure.wallMm ?? USUAL.wallMm) - 1, 1),
});
/** Counted while unscrewing, instead of the length or beside it. */
export const THREAD_TURNS = saying(place('thread-turns', 'detailed', 0, ['turn-mark'], 'turns'), {
  limits(of) {
    const thread = isFlameproof(of) ? threadOfSize(of) : null;
    if (!thread) return null;
    if (thread.smallEndMm !== null) return [TAPER_THREADS, null];
    return [Math.max(PARALLEL_THREADS, depthAsked(of) / thread.pitchMm), null];
  },
});
export const THREAD_MAJOR = saying(place('thread-major', 'detailed', 0), {
  // A cut thread is a little under its nominal size.
  nominal: (of) => (threadOfSize(of)?.nominalMm ?? USUAL.threadMm) - 0.15,
});
export const THREAD_PITCH = saying(place('thread-pitch', 'detailed', 0, ['pitch-gauge', 'caliper']), {
  nominal: (of) => threadOfSize(of)?.pitchMm ?? USUAL.pitchMm,
});
export const GAP = saying(place('back-nut-gap', 'close', 1, ['caliper', 'feeler']), {
  wantedIn: ({ size }) => (size && !size.backNut ? 0 : 1),
  limits(_, worked) {
    const scale = worked.backNut();
    return scale && [scale.lowMm, scale.highMm];
  },
  nominal: (_of, _kind, worked) => Math.max(worked.backNut()?.nut.gapMm ?? USUAL.gapMm, 0.1),
});
export const INNER_PROUD = saying(place('inner-proud', 'detailed', 1, ['caliper', 'rule']), {
  wantedIn: ({ size }) => (size && size.innerProudMm === null ? 0 : 1),
  value: ({ size }) =>
    size?.innerProudMm == null
      ? null
      : {
          part: 'inner-proud',
          unit: 'mm',
          low: size.innerProudMm,
          high: null,
          settle: 'settle.open-measure',
        },
  nominal: ({ size }) => (size?.innerProudMm ?? USUAL.innerProudMm) + 2,
});
export const ARMOUR_LENGTH = saying(place('armour-length', 'detailed', 1, ['caliper', 'rule']), {
  wantedIn: ({ size }) => (size && size.armourLengthMm === null ? 0 : 1),
  value: ({ size }) =>
    size?.armourLengthMm
      ? {
          part: 'armour-exposed',
          unit: 'mm',
          low: size.armourLengthMm[0],
          high: size.armourLengthMm[1],
          settle: 'settle.open-measure',
        }
      : null,
  nominal: ({ size }) =>
    size?.armourLengthMm ? (size.armourLengthMm[0] + size.armourLengthMm[1]) / 2 : USUAL.armourLengthMm,
});
export const REACH = saying(place('compound-reach', 'detailed', 1, ['caliper', 'rule']), {
  value({ certificate }) {
    const compound = certificate?.sheet.compound;
    return compound
      ? {
          part: 'compound-reach',
          unit: 'mm',
          low: 0,
          high: compound.reachMm,
          settle: 'settle.reach',
        }
      : null;
  },
  nominal: () => USUAL.reachMm,
});
export const SUPPORT = saying(place('support-distance', 'close', 0, ['rule']), {
  wantedIn: ({ certificate }) => (certificate?.reducedRetention ? 1 : 0),
  value: ({ certificate }) =>
    certificate?.reducedRetention
      ? {
          part: 'support',
          unit: 'mm',
          low: null,
          high: SUPPORT_WITHIN_MM,
          settle: 'settle.support',
        }
      : null,
});
export const BOND = saying(place('bond', 'detailed', 1, ['milliohm-meter'], 'ohm'), {
  limits: ({ site }) => [null, site.bondLimitOhm],
  // A tight joint lies far below what is allowed.
  nominal: ({ certificate, site }) => certificate?.sheet.expectedBondOhm ?? site.bondLimitOhm / 5,
});

/** What the gland of a mineral-insulated cable grips. */
export const MI_SHEATH = saying(worded('metal-sheath', place('outer-sheath', 'close', 3)), ofOuterSeal);
export const PROJECTION = saying(place('pot-projection', 'detailed', 1, ['caliper', 'rule']), {
  value: ({ size }) =>
    size?.mineral
      ? {
          part: 'pot-projection',
          unit: 'mm',
          low: size.mineral.projectionMm[0],
          high: size.mineral.projectionMm[1],
          settle: 'settle.open-measure',
        }
      : null,
});
/** A cable that is cut to fit. */
export const SHEATH_LENGTH = saying(place('sheath-length', 'detailed', 1, ['rule']), {
  value({ cable }) {
    const link = cable?.mineral?.link;
    if (!link) return null;
    const { sheathMm } = linkLengths(link);
    return {
      part: 'sheath-length',
      unit: 'mm',
      low: sheathMm - link.fitMm,
      high: sheathMm + link.fitMm,
      settle: 'settle.open-measure',
    };
  },
});
export const SHEATH_EARTH = place('sheath-earth', 'detailed', 1, ['milliohm-meter'], 'ohm');

/** Places whose readings make a diameter. */
export const DIAMETERS: ReadonlySet<string> = new Set([
  'outer-sheath',
  'inner-sheath',
  'over-cores',
  'armour',
]);
