import type { KindId } from '../record/kind-ids';
import { KINDS } from '../kinds/kinds';
import type { Check } from './check';
import { e01 } from './checks/e01-identified';
import { e02 } from './checks/e02-level';
import { e03 } from './checks/e03-group';
import { e04 } from './checks/e04-temperature';
import { e05 } from './checks/e05-ingress';
import { e06 } from './checks/e06-protection';
import { e07 } from './checks/e07-thread';
import { e08 } from './checks/e08-engagement';
import { e09 } from './checks/e09-adaptors';
import { e10 } from './checks/e10-unused';
import { e11 } from './checks/e11-outer-seal';
import { e12 } from './checks/e12-inner-seal';
import { e13 } from './checks/e13-clamp';
import { e14 } from './checks/e14-armour-seated';
import { e15 } from './checks/e15-barrier';
import { e16 } from './checks/e16-cable-kind';
import { e17 } from './checks/e17-compound';
import { e18a } from './checks/e18a-outer-joints-closed';
import { e18b } from './checks/e18b-clamp-inner-seal-and-pot-closed';
import { e19 } from './checks/e19-back-nut';
import { e20 } from './checks/e20-proud';
import { e21 } from './checks/e21-armour-length';
import { e22 } from './checks/e22-washer';
import { e23a } from './checks/e23a-bond-tight';
import { e23b } from './checks/e23b-bond-resistance';
import { e24 } from './checks/e24-shroud';
import { e25 } from './checks/e25-conditions';
import { e26 } from './checks/e26-held';
import { e27 } from './checks/e27-agreement';
import { e28 } from './checks/e28-unaltered';
import { e29 } from './checks/e29-damage';
import { e30 } from './checks/e30-seal-state';
import { e31 } from './checks/e31-single-core';
import { m07 } from './checks/m07-earth';
import { m02 } from './checks/m02-insulation-before-sealing';
import { m03 } from './checks/m03-insulation-after-sealing';
import { m04 } from './checks/m04-fall-of-insulation-at-sealing';
import { m05 } from './checks/m05-time-to-seal';
import { m01 } from './checks/m01-pot-mark-and-projection';
import { m06 } from './checks/m06-continuity-and-sleeves';
import { m08 } from './checks/m08-temperature-of-pot-and-sheath';
import { s01 } from './checks/s01-fill-of-the-opening';
import { s02 } from './checks/s02-distances';
import { s03 } from './checks/s03-depth-of-the-sealant';
import { s04 } from './checks/s04-adhesion';
import { s05 } from './checks/s05-both-sides';
import { s06 } from './checks/s06-behind-the-sealant';
import { t01 } from './checks/t01-block-range';
import { t02 } from './checks/t02-peeling';
import { t03 } from './checks/t03-difference-of-the-halves';
import { t04 } from './checks/t04-last-layer';
import { t05 } from './checks/t05-packing-complete';
import { t06 } from './checks/t06-compression';
import { t07 } from './checks/t07-room-for-re-entry';
import { t08 } from './checks/t08-cables-through-the-transit';
import { t09 } from './checks/t09-bonding';
import { t10 } from './checks/t10-frame-in-the-wall';
import { r01 } from './checks/r01-dam-and-fill';
import { r02 } from './checks/r02-cure-of-the-resin';
import { r03 } from './checks/r03-armour-and-grommet-nut';

/** The rule book. A new rule is a module of its own and a line here. */
export const RULES: readonly Check[] = [
  e01, e02, e03, e04, e05, e06, e07, e08, e09, e10, e11, e12, e13, e14, e15, e16, e17, e18a, e18b, e19, e20,
  e21, e22, e23a, e23b, e24, e25, e26, e27, e28, e29, e30, e31, r01, r02, r03,
  m01, m02, m03, m04, m05, m06, m07, m08,
  s01, s02, s03, s04, s05, s06, t01, t02, t03, t04, t05, t06, t07, t08, t09, t10,
]; // prettier-ignore

const BY_ID = new Map(RULES.map((rule) => [rule.id, rule]));

/** The rule of an id; null when the book has none. */
export const ruleOf = (id: string): Check | null => BY_ID.get(id) ?? null;

/** Rules that entries of a kind are asked, in the order of the book; looked up once. */
export function rulesOf(kind: KindId): readonly Check[] {
  let rules = OF_KIND.get(kind);
  if (!rules) OF_KIND.set(kind, (rules = RULES.filter((rule) => rule.kinds(KINDS[kind]))));
  return rules;
}
const OF_KIND = new Map<KindId, readonly Check[]>();

/** Ids of those rules. */
export const checksOf = (kind: KindId): readonly string[] => rulesOf(kind).map(({ id }) => id);
