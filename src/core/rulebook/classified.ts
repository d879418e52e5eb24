import { groupOfDivision, isKnownDivision, levelOfDivision, levelsForDivision } from '../hazard/division';
import type { AreaDivision } from '../hazard/division';
import { isDustGroup, type AreaGroup } from '../hazard/group';
import { isDust, levelsForZone, requiredLevel, type Level, type Zone } from '../hazard/level';
import type { Facts } from '../record/finding';
import type { Area, Site } from '../record/types';

/** One thing that threatens in an area: gas or dust, and what it asks for. */
export interface AreaHazard {
  /** What it is called by, as facts of a finding: `inZone`, or `inClass`, `inDivision` and `inGroup`. */
  named: Facts;
  levels: readonly Level[];
  required: Level;
  dust: boolean;
  /** Null: not recorded. */
  group: AreaGroup | null;
  /** Set on a site that keeps the division scheme. */
  division: AreaDivision | null;
}

/** How an area is classified, by whichever scheme the site keeps. */
export type Classified =
  | { is: 'unclassified' }
  | { is: 'missing' }
  /** The record says two things that do not go together. */
  | { is: 'contradictory'; why: ContradictoryArea }
  | ({ is: 'classified'; hazards: readonly AreaHazard[] } & AreaHazard);

type ContradictoryArea = 'dust-group' | 'division' | 'beside';

const known = new WeakMap<Area, Partial<Record<Site['scheme'], Classified>>>();

/**
 * Reads an area's classification by the site's scheme; "unclassified" is a positive fact in both. On a site
 * of divisions the zone says nothing.
 */
export function classified({ scheme }: Pick<Site, 'scheme'>, area: Area): Classified {
  let of = known.get(area);
  if (!of) known.set(area, (of = {}));
  return (of[scheme] ??= scheme === 'divisions' ? byDivision(area) : byZone(area));
}

function byDivision({ division }: Area): Classified {
  if (division === 'unclassified') return { is: 'unclassified' };
  if (!division?.class || !division.division || !division.group) return { is: 'missing' };
  if (!isKnownDivision(division)) return { is: 'contradictory', why: 'division' };
  const hazard: AreaHazard = {
    named: { inClass: division.class, inDivision: division.division, inGroup: division.group },
    levels: levelsForDivision(division),
    required: levelOfDivision(division),
    dust: division.class === 'II',
    group: groupOfDivision(division),
    division,
  };
  return { is: 'classified', hazards: [hazard], ...hazard };
}

function byZone({ zone, group, beside }: Area): Classified {
  if (zone === 'unclassified')
    return beside ? { is: 'contradictory', why: 'beside' } : { is: 'unclassified' };
  if (zone === null) return { is: 'missing' };
  const hazards = [zoneHazard(zone, group)];
  if (beside) hazards.push(zoneHazard(beside.zone, beside.group));
  const alike = beside && hazards[0]!.dust === hazards[1]!.dust;
  if (alike) return { is: 'contradictory', why: 'beside' };
  const mixed = hazards.some(({ dust, group: of }) => of !== null && isDustGroup(of) !== dust);
  if (mixed) return { is: 'contradictory', why: 'dust-group' };
  return { is: 'classified', hazards, ...hazards[0]! };
}

const zoneHazard = (zone: Zone, group: AreaGroup | null): AreaHazard => ({
  named: { inZone: zone },
  levels: levelsForZone(zone),
  required: requiredLevel(zone),
  dust: isDust(zone),
  group,
  division: null,
});

/** The level that severity counts with at an entry: of a transit between two areas the stricter side. */
export function levelHere(site: Pick<Site, 'scheme'>, area: Area, otherArea: Area | null): Level {
  const own = levelAsked(site, area);
  const other = otherArea ? levelAsked(site, otherArea) : own;
  return STRICT.indexOf(other) < STRICT.indexOf(own) ? other : own;
}

/** What an exposure counts for, the strictest first. */
const STRICT: readonly Level[] = ['Ga', 'Da', 'Gb', 'Db', 'Gc', 'Dc'];

/**
 * The level that severity counts with: the strictest that the area asks for. What nobody wrote down counts as
 * the strictest, a confirmed unclassified area as the middle one, which adds nothing.
 */
function levelAsked(site: Pick<Site, 'scheme'>, area: Area): Level {
  const found = classified(site, area);
  if (found.is === 'unclassified') return 'Gb';
  if (found.is === 'contradictory' && site.scheme === 'divisions' && typeof area.division === 'object') {
    return area.division ? levelOfDivision(area.division) : 'Ga';
  }
  if (found.is !== 'classified') return 'Ga';
  const asked = found.hazards.map(({ required }) => STRICT.indexOf(required));
  return STRICT[Math.min(...asked)]!;
}
