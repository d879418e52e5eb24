import type { Area } from '../record/types';
import { saying } from './check';
import type { Classified } from './classified';
import type { Aspect } from '../record/finding';

/** What it says, and the facts of each. */
type Says = {
  'area.unclassified': { area: string };
  'area.no-zone': { area: string };
  'area.beside': { area: string };
  'area.division': { area: string };
  'area.dust-group': { area: string };
};
const { unread, notApplicable } = saying<Says>();

/** Why an area asks for nothing, or nobody can say what it asks for; null where it is classified. */
export function withoutHazard(where: Classified, { name }: Pick<Area, 'name'>): Aspect | null {
  if (where.is === 'classified') return null;
  return where.is === 'unclassified'
    ? notApplicable('area.unclassified', { area: name })
    : areaOpen(where, name);
}

/** An area that is not recorded, or whose record contradicts itself; null otherwise. */
export function areaOpen(where: Classified, name: string): Aspect | null {
  if (where.is === 'missing') return unread('area.no-zone', { area: name }, 'settle.area');
  if (where.is === 'contradictory') return unread(`area.${where.why}`, { area: name }, 'settle.area');
  return null;
}
