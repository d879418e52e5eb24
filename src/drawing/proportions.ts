/**
 * Figures that are only drawn: nobody measured them, nothing is judged by them, and no mark that somebody cuts by is
 * made of them. Chosen throughout, so that parts of every size stay apart, in their order and in sight.
 */

/** What is drawn where neither record nor reading says, mm. Chosen: usual sizes; drawn, never judged. */
export const USUAL = {
  majorMm: 25, acrossMm: 37, bodyLengthMm: 58, maleMm: 15, armourMm: 1, gapMm: 2.5, proudMm: 4, potReachMm: 20, coresMm: 10,
}; // prettier-ignore

/**
 * Where parts lie along a gland's body, as shares of its length, and how they stand to each other. Drawn, not
 * measured. Chosen: so that parts of every size stay apart and in their order.
 */
export const PROPORTIONS = {
  innerSeal: [0.12, 0.28],
  diaphragm: [0.1, 0.26],
  cone: { from: 0.3, fromIndustrial: 0.2, length: 0.17 },
  /** Where on the cone the armour ends, and by how much more, mm. */
  coneTop: { share: 0.35, moreMm: 1 },
  ring: { from: 0.06, to: 0.03 },
  gripped: 0.4,
  armourLength: 0.24,
  sheathCut: { withoutPot: 0.3, plain: 0.45 },
  outerSeal: { at: 0.7, atIndustrial: 0.66, length: 0.17 },
  nut: 0.68,
  /** Outer sheath to the bore of the gland, where no cable is known. */
  outerToThread: 1.6,
  reach: 1.5,
} as const;

/** Room that is left between parts so that they can be told apart, mm. Chosen: only drawn. */
export const APART = { beforeCone: 2, gripped: 1, armour: 2, sheath: 3, nut: 5, adaptor: 4.5, crotch: 3, cores: 4, body: 15, frame: 10 }; // prettier-ignore

/** Parts of a gland's section, mm. Chosen: only drawn. */
export const SECTION = {
  /** Smallest thing that is drawn, so that a part never vanishes. */
  leastMm: 0.4,
  /** Length of cable drawn outside the gland and of tails inside the box. */
  cableMm: 32,
  tailMm: 30,
  /** Length of an adaptor's body between the walls. */
  adaptorMm: 12,
  /** Thickness of an earth tag ring. */
  tagMm: 2.5,
  /** A wall whose thickness nobody recorded: a usual box. */
  unknownWallMm: 5,
  /** Thickness of the cone at its foot. */
  coneFootMm: 0.8,
  /** How far out on the cable a part is drawn that is not in its place yet: clear of the part in its place. */
  slippedMm: 16,
  /** Dam behind the compound. */
  damMm: 3.5,
  /** Locknut inside the wall of a clearance hole. */
  locknutMm: 5,
  /** Most cores that are drawn one by one. */
  mostCores: 12,
} as const;

/** A mineral-insulated end, mm. Chosen: only drawn. */
export const MINERAL = {
  /** Cable drawn outside, and tails drawn beyond the pot's mouth. */
  cableMm: 34,
  tailMm: 26,
  /** Pot from the end of its thread to its mouth, its wall, the disc in its mouth. */
  cavityMm: 18,
  potWallMm: 2.2,
  discMm: 3,
  /** Drain nut on the thread inside the pot. */
  drainMm: 3,
  /** Copper of the sheath and jacket. */
  copperMm: 0.9,
  /** Most conductors that are drawn one by one. */
  mostConductors: 7,
} as const;

/** A transit, mm. Chosen: only drawn. */
export const TRANSIT = {
  /** Frame round an opening, and the space between two openings. */
  frameMm: 14,
  apartMm: 24,
  /** Paper round a card for peeling. */
  padMm: 12,
  /** Corners of a half circle. */
  corners: 18,
} as const;

/** The printed ruler, mm on its paper. Chosen: a usual sheet of paper; its marks are the record's own. */
export const RULER = {
  /** Bar by which a print is checked. */
  barMm: 50,
  /** Height of the drawn cable and of what stands round it. */
  cableMm: 8,
  /** Cable that is drawn beyond the last mark. */
  beyondMm: 25,
  /** Bare conductors before the first mark that are still printed where the ruler is long. */
  leadMm: 60,
} as const;

/** The marks of a mineral-insulated cable, mm on paper. Chosen: a usual sheet of paper; its marks are the record's own. */
export const MARK_OUT = {
  /** Half height of the drawn sheath, and cable drawn beyond the last mark. */
  radiusMm: 4,
  beyondMm: 30,
} as const;

/** Parts in the order in which they are slipped on, mm. Chosen: only drawn. */
export const SLIP_ON = { cableRadiusMm: 6, stepMm: 30 } as const;

/** A thread in profile. Chosen: length drawn, mm; depth of a 60° thread over its pitch (ISO 68-1, rounded). */
export const THREAD = { lengthMm: 22, depth: 0.61 } as const;

/** A box at each end of a link's path, as a share of the drawing. Chosen: only drawn. */
export const LINK = { boxShare: 0.08 } as const;

/** A series against a range: width of the scale, height of a row and room for names, mm on paper. Chosen: only drawn. */
export const CHART = { widthMm: 190, rowMm: 7, leftMm: 22 } as const;

/** Width and height of the picture of a look, mm on paper. Chosen: only drawn. */
export const LOOK = { width: 60, height: 40 } as const;
