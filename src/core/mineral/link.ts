/** A bend on its centreline. */
export interface Bend {
  angleDeg: number;
  radiusMm: number;
}

/** A cable that is cut to fit between two accessories; lengths mm. */
export interface LinkGeometry {
  /** Between the outer faces, tangent to tangent. */
  straightsMm: readonly number[];
  bends: readonly Bend[];
  /** How far each sheath end lies inside its face. */
  entryMm: readonly [number, number];
  tailMm: readonly [number, number];
  /** Cut off when the end is squared. */
  trimMm: number;
}

export interface LinkLengths {
  pathMm: number;
  sheathMm: number;
  cutMm: number;
  /** Second strip mark, from the first sheath end. */
  secondStripMm: number;
}

/** Length of a bend on its centreline, mm. */
const bendMm = ({ angleDeg, radiusMm }: Bend): number => (Math.PI * angleDeg * radiusMm) / 180;

/** Least radius of a bend, in diameters of the sheath; a tighter one is a finding. Chosen: what makers of such cables commonly allow; the sheet of the cable goes before it. */
export const LEAST_BEND = 6;

/** How long the cable is cut, and where its second strip mark lies. */
export function linkLengths({ straightsMm, bends, entryMm, tailMm, trimMm }: LinkGeometry): LinkLengths {
  const straight = straightsMm.reduce((sum, mm) => sum + mm, 0);
  const pathMm = bends.reduce((sum, bend) => sum + bendMm(bend), straight);
  const sheathMm = pathMm + entryMm[0] + entryMm[1];
  return { pathMm, sheathMm, cutMm: sheathMm + tailMm[0] + tailMm[1] + trimMm, secondStripMm: sheathMm };
}

/** What each measurement of a link may be off by: expanded uncertainties, mm and degrees. */
export interface LinkUncertainty {
  straightsMm: readonly number[];
  bends: readonly { angleDeg: number; radiusMm: number }[];
  entryMm: readonly [number, number];
}

/**
 * What the sheath length may be off by, mm: the root of the summed squares of each part's share. A bend's share
 * follows from its angle and its radius. Source: JCGM 100:2008, 5.1.
 */
export function linkToleranceMm({ bends }: LinkGeometry, uncertainty: LinkUncertainty): number {
  let squares = 0;
  for (const mm of [...uncertainty.straightsMm, ...uncertainty.entryMm]) squares += mm * mm;
  bends.forEach(({ angleDeg, radiusMm }, i) => {
    const u = uncertainty.bends[i];
    if (!u) return;
    const fromAngle = (Math.PI / 180) * radiusMm * u.angleDeg;
    const fromRadius = (Math.PI / 180) * angleDeg * u.radiusMm;
    squares += fromAngle * fromAngle + fromRadius * fromRadius;
  });
  return Math.sqrt(squares);
}

/** Corners of a link's path in its plane, mm: it starts at the first face along x; bends turn left, a negative angle right. */
export interface PathPoint {
  x: number;
  y: number;
}

/**
 * The path of a link as it lies: straights and bends in turn, a bend behind each straight as long as there are any.
 *
 * @param stepDeg how finely a bend is drawn
 */
export function linkPath(
  straightsMm: readonly number[],
  bends: readonly (Bend & { right?: boolean })[],
  stepDeg = 5,
): PathPoint[] {
  let [x, y, heading] = [0, 0, 0];
  const points: PathPoint[] = [{ x, y }];
  const go = (mm: number) => {
    x += mm * Math.cos(heading);
    y += mm * Math.sin(heading);
    points.push({ x, y });
  };
  straightsMm.forEach((straight, i) => {
    go(straight);
    const bend = bends[i];
    if (!bend) return;
    const steps = Math.max(1, Math.ceil(bend.angleDeg / stepDeg));
    const turn = ((bend.angleDeg / steps) * Math.PI) / 180;
    const chord = 2 * bend.radiusMm * Math.sin(turn / 2);
    const side = bend.right ? -1 : 1;
    for (let step = 0; step < steps; step++) {
      heading += (side * turn) / 2;
      go(chord);
      heading += (side * turn) / 2;
    }
  });
  return points;
}
