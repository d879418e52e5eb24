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
import { e18a, e18b } from './checks/e18-joints';
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
import { m07 } from './checks/m-earth';
import { m02, m03, m04, m05 } from './checks/m-insulation';
import { m01, m06, m08 } from './checks/m-pot';
import { s01, s02, s03, s04, s05, s06 } from './checks/s-sealant';
import { t01, t02, t03, t04, t05, t06, t07 } from './checks/t-blocks';
import { t08, t09, t10 } from './checks/t-frame';
import { r01, r02, r03 } from './checks/r-resin';

/** The rule book. A new rule is a module of its own and a line here. */
export const RULES: readonly Check[] = [
  e01, e02, e03, e04, e05, e06, e07, e08, e09, e10, e11, e12, e13, e14, e15, e16, e17, e18a, e18b, e19, e20,
  e21, e22, e23a, e23b, e24, e25, e26, e27, e28, e29, e30, e31, r01, r02, r03,
  m01, m02, m03, m04, m05, m06, m07, m08,
  t01, t02, t03, t04, t05, t06, t07, t08, t09, t10, s01, s02, s03, s04, s05, s06,
]; // prettier-ignore

const BY_ID = new Map(RULES.map((rule) => [rule.id, rule]));

/** The rule of an id; null when the book has none. */
export const ruleOf = (id: string): Check | null => BY_ID.get(id) ?? null;
