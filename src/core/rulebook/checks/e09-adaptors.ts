import { conceptSuits } from '../../hazard/concept';
import { groupCovers } from '../../hazard/group';
import type { Adaptor } from '../../record/types';
import { classified } from '../classified';
import { conforms, fails, unread, type Check } from '../check';
import { isFlameproof, type Context } from '../dossier';
import type { Aspect } from '../finding';

/** Adaptors that may stand between a gland and a flameproof wall. */
const MOST_ON_FLAMEPROOF = 1;

/** At most one adaptor on a flameproof enclosure, none of unlike protection, group or level, no reducer in a reducer. */
export const e09: Check = {
  id: 'E-09',
  title: 'Adaptors',
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
function unlike({ site, area, enclosure }: Context, adaptor: Adaptor): Aspect[] {
  const where = classified(site, area);
  if (where.is === 'unclassified') return [];
  if (where.is === 'missing') return [unread('area.no-zone', { area: area.name }, 'settle.area')];
  const name = `${adaptor.what} ${adaptor.male} to ${adaptor.female}`;
  const aspects: Aspect[] = [];
  for (const concept of enclosure.concepts) {
    const answer = conceptSuits(concept, adaptor.concepts, where.dust, false);
    if (answer.suits === false) {
      const facts = { name, concept, has: adaptor.concepts.join(', '), allowed: answer.allowed.join(', ') };
      aspects.push(fails('e09.concept', facts));
    }
  }
  if (!adaptor.levels.some((level) => where.levels.includes(level))) {
    const facts = {
      name,
      said: where.said,
      has: adaptor.levels.join(', '),
      accepted: where.levels.join(', '),
    };
    aspects.push(fails('e09.level', facts));
  }
  const flameproof = adaptor.concepts.some((concept) => concept[0] === 'd');
  const { group } = area;
  if (group !== null && !adaptor.groups.some((marked) => groupCovers(marked, group, flameproof))) {
    aspects.push(fails('e09.group', { name, asked: group, has: adaptor.groups.join(', ') }));
  }
  return aspects;
}
