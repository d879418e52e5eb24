import { groupCovers, needsLetter } from '../../hazard/group';
import { listedForDivision } from '../../hazard/division';
import type { Adaptor } from '../../record/types';
import { areaOpen } from '../area-words';
import { classified, type AreaHazard } from '../classified';
import { type Check, type None, saying } from '../check';
import { isIntrinsicBox } from '../../kinds/compartment';
import { isFlameproof, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { suitsEnclosure, type SaysOfSuits } from '../suits';
import { levelsOf } from './e02-level';

/** What it says, and the facts of each. */
type Says = SaysOfSuits<'e06'> &
  SaysOfSuits<'e09'> & {
    'e09.unknown': None;
    'e09.none': None;
    'e09.several': { count: number };
    'e09.reducers': { reducers: number };
    'e09.level': {
      what: string;
      male: string;
      female: string;
      inZone?: string;
      has: string;
      accepted: string;
      inClass?: string;
      inDivision?: number;
      inGroup?: string;
    };
    'area.no-group': { area: string };
    'e09.group': { what: string; male: string; female: string; asked: string; has: string };
  };
const { conforms, fails, unread } = saying<Says>();

/** Adaptors that may stand between a gland and a flameproof wall. Source: IEC 60079-14:2013, 10.5. */
const MOST_ON_FLAMEPROOF = 1;

/** At most one adaptor on a flameproof enclosure, none of unlike protection, group or level, no reducer in a reducer. */
export const e09: Check = {
  id: 'E-09',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2 and 10.5; IEC 60079-17:2013, Table 1, entry devices' },
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { adaptors } = context.entry;
    if (adaptors === null) return [unread('e09.unknown', {}, 'settle.adaptors')];
    if (adaptors.length === 0) return [conforms('e09.none')];
    const aspects: Aspect[] = [];
    const flameproof = isFlameproof(context);
    const count = adaptors.length;
    if (flameproof && count > MOST_ON_FLAMEPROOF) aspects.push(fails('e09.several', { count }));
    const reducers = adaptors.filter(({ what }) => what === 'reducer').length;
    if (reducers > 1) aspects.push(fails('e09.reducers', { reducers }));
    for (const adaptor of adaptors) aspects.push(...unlike(context, adaptor));
    return aspects.length > 0 ? aspects : [conforms('e09.suits', { count, thread: adaptors[0]!.male })];
  },
};

/** What an adaptor lacks for its enclosure and area. */
function unlike(context: Context, adaptor: Adaptor): Aspect[] {
  const { site, area } = context;
  const where = classified(site, area);
  if (where.is === 'unclassified') return [];
  const open = areaOpen(where, area.name);
  if (open || where.is !== 'classified') return [open!];
  const name: Named = { what: adaptor.what, male: adaptor.male, female: adaptor.female };
  return where.hazards.flatMap((hazard) => [
    ...ofProtection(context, adaptor, name, hazard),
    ...ofArea(context, adaptor, name, hazard),
  ]);
}

type Named = { what: string; male: string; female: string };

function ofProtection(context: Context, adaptor: Adaptor, name: Named, hazard: AreaHazard): Aspect[] {
  return suitsEnclosure(context, { ...adaptor, sealing: false }, hazard).flatMap(({ outcome, is, facts }) => {
    if (outcome === 'fails') return [fails(`e09.${is}`, { ...facts, ...name })];
    return outcome === 'unread' ? [unread(`e06.${is}`, facts, 'settle.enclosure')] : [];
  });
}

/** Level and group of an adaptor, where the box asks for any. */
function ofArea(context: Context, adaptor: Adaptor, name: Named, hazard: AreaHazard): Aspect[] {
  const { area } = context;
  if (isIntrinsicBox(context, hazard.dust)) return [];
  const { division, group, named } = hazard;
  if (
    division &&
    adaptor.divisions.some((one) => listedForDivision(one, division) && one.groups.includes(division.group))
  )
    return [];
  const aspects: Aspect[] = [];
  const { levels } = levelsOf(adaptor);
  if (!levels.some((level) => hazard.levels.includes(level))) {
    aspects.push(
      fails('e09.level', { ...name, ...named, has: levels.join(', '), accepted: hazard.levels.join(', ') }),
    );
  }
  if (group === null) aspects.push(unread('area.no-group', { area: area.name }, 'settle.area'));
  else if (!adaptor.groups.some((marked) => groupCovers(marked, group, needsLetter(adaptor.concepts)))) {
    aspects.push(fails('e09.group', { ...name, asked: group, has: adaptor.groups.join(', ') }));
  }
  return aspects;
}
