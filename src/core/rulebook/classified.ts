import { levelOfDivision, levelsForDivision } from '../hazard/division';
import { isDust, levelsForZone, requiredLevel, type Level } from '../hazard/level';
import type { Area, Site } from '../record/types';

/** How an area is classified, by whichever scheme the site keeps. */
export type Classified =
  | { is: 'unclassified' }
  | { is: 'missing' }
  | {
      is: 'classified';
      /** As it is said: "zone 1" or "Class I, Division 1, Group C". */
      said: string;
      levels: readonly Level[];
      required: Level;
      dust: boolean;
    };

/** Reads an area's classification by the site's scheme; "unclassified" is a positive fact in both. */
export function classified({ scheme }: Pick<Site, 'scheme'>, area: Area): Classified {
  if (area.zone === 'unclassified') return { is: 'unclassified' };
  if (scheme === 'divisions') {
    const { division } = area;
    if (division === null) return { is: 'missing' };
    return {
      is: 'classified',
      said: `Class ${division.class}, Division ${division.division}, Group ${division.group}`,
      levels: levelsForDivision(division),
      required: levelOfDivision(division),
      dust: division.class === 'II',
    };
  }
  if (area.zone === null) return { is: 'missing' };
  return {
    is: 'classified',
    said: `zone ${area.zone}`,
    levels: levelsForZone(area.zone),
    required: requiredLevel(area.zone),
    dust: isDust(area.zone),
  };
}

/** The least level that an area asks for; null where it asks for none or nobody wrote it down. */
export function levelAsked(site: Pick<Site, 'scheme'>, area: Area): Level | null {
  const found = classified(site, area);
  return found.is === 'classified' ? found.required : null;
}
