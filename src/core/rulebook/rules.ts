import type { Check } from './check';
import { e01 } from './checks/e01-identified';
import { e02 } from './checks/e02-level';
import { e03 } from './checks/e03-group';
import { e04 } from './checks/e04-temperature';
import { e05 } from './checks/e05-ingress';
import { e06 } from './checks/e06-protection';
import { e07 } from './checks/e07-thread';
import { e08 } from './checks/e08-engagement';
import { e11 } from './checks/e11-outer-seal';
import { e12 } from './checks/e12-inner-seal';
import { e13 } from './checks/e13-clamp';
import { e14 } from './checks/e14-armour-seated';
import { e23a } from './checks/e23a-bond-tight';
import { e23b } from './checks/e23b-bond-resistance';
import { e27 } from './checks/e27-agreement';
import { e29 } from './checks/e29-damage';

/** The rule book. A new rule is a module of its own and a line here. */
export const RULES: readonly Check[] = [
  e01, e02, e03, e04, e05, e06, e07, e08, e11, e12, e13, e14, e23a, e23b, e27, e29,
]; // prettier-ignore

const BY_ID = new Map(RULES.map((rule) => [rule.id, rule]));

/** The rule of an id; null when the book has none. */
export const ruleOf = (id: string): Check | null => BY_ID.get(id) ?? null;
