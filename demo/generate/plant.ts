import { looksOf } from '../../src/core/kinds/kinds';
import { MARROWICK } from '../marrowick';
import { certificates } from '../series';
import { entryOf } from '../scenario';
import {
  SITE_RULES,
  type AreaSpec,
  type EnclosureSpec,
  type EntrySpec,
  type MineralSpec,
  type SiteSpec,
} from '../spec';

/** What is to be generated. */
export interface Wanted {
  entries: number;
  /** Readings of each entry in its sealed round, on average. */
  readings: number;
  seed: number;
}

/** Id of the generated site, and what its ids begin with. */
export const GENERATED = 'greyholm';
const PREFIX = 'gh';

/** Units that the plant has, each with every area of the pattern. */
const UNITS = 6;
/** Units that lie beside each other, and how far units lie apart to the right and down, m. */
const [UNITS_IN_ROW, RIGHT_M, DOWN_M] = [3, 106, 50] as const;

/** Where a unit begins, m. */
const originOf = (unit: number): readonly [x: number, y: number] => [
  (unit % UNITS_IN_ROW) * RIGHT_M,
  Math.floor(unit / UNITS_IN_ROW) * DOWN_M,
];

/** Sound entries of the demo, which the plant is made of; what is wrong with some is added. */
const isPattern = ({ planted, work, twist, mineral, certificate }: EntrySpec): boolean =>
  !planted &&
  !work &&
  !twist &&
  !certificate &&
  !(mineral && minerals().find(({ tag }) => tag === mineral)?.planted);
const minerals = () => MARROWICK.minerals;
const PATTERN = MARROWICK.entries.filter(isPattern);
/** Glands, which every copy has; mineral-insulated ends and transits are rarer. */
const COMMON = PATTERN.filter(({ mineral, transit }) => !mineral && !transit);
/** One copy in so many has every entry of the pattern. */
const WHOLE_ONE_IN = 8;

const patternOf = (copy: number): readonly EntrySpec[] => (copy % WHOLE_ONE_IN === 0 ? PATTERN : COMMON);

/** Entries of a copy of the pattern. */
export const sizeOf = (copy: number): number => patternOf(copy).length;

const unitOf = (copy: number): number => copy % UNITS;
const renamed = (tag: string, copy: number): string => `${tag}-${String(copy + 1).padStart(4, '0')}`;
const areaId = (id: string, unit: number): string => id.replace(/^[a-z]+-/, `${PREFIX}-u${unit + 1}-`);

const movedBy = <P extends { x: number; y: number }>(place: P, [x, y]: readonly [number, number]): P => ({
  ...place,
  x: place.x + x,
  y: place.y + y,
});

/** Areas of every unit. */
export const areasOfPlant = (): AreaSpec[] =>
  Array.from({ length: UNITS }, (_, unit) =>
    MARROWICK.areas.map((area): AreaSpec => ({
      ...area,
      id: areaId(area.id, unit),
      name: `Unit ${unit + 1}, ${area.name.toLowerCase()}`,
      beside: null,
      outlineM: area.outlineM && movedBy(area.outlineM, originOf(unit)),
    })),
  ).flat();

/** A repeatable number below `most` from some numbers. */
function drawn(most: number, ...from: number[]): number {
  let hash = 2166136261;
  for (const number of from) hash = Math.imul(hash ^ number, 16777619) ^ (hash >>> 13);
  return (hash >>> 0) % most;
}

/** One copy of the pattern: its enclosures, entries and mineral-insulated cables under names of their own. */
export function copyOf(copy: number, most: number, { seed, readings }: Wanted): SiteSpec {
  const pattern = patternOf(copy).slice(0, most);
  const entries = pattern.map((one, i): EntrySpec => entryIn({ copy, i, seed, readings }, one));
  const tags = new Set(pattern.map(({ enclosure }) => enclosure));
  return {
    prefix: PREFIX,
    site: { ...SITE_RULES, id: GENERATED, name: 'Greyholm Solvents', intervals: { visual: null, close: 36, detailed: null } },
    areas: areasOfPlant(),
    enclosures: MARROWICK.enclosures.filter(({ tag }) => tags.has(tag)).map((one) => enclosureIn(copy, one, seed)),
    entries,
    minerals: MARROWICK.minerals.filter(({ tag }) => pattern.some(({ mineral }) => mineral === tag)).map((one): MineralSpec => ({ ...one, tag: renamed(one.tag, copy), from: renamed(one.from, copy), to: renamed(one.to, copy) })),
    years: 1,
  };
} // prettier-ignore

function enclosureIn(copy: number, one: EnclosureSpec, seed: number): EnclosureSpec {
  const at = MARROWICK.areas.find(({ id }) => id === one.area)!.outlineM!;
  const unit = unitOf(copy);
  const [right, down] = originOf(unit);
  const spread = (most: number, salt: number) => drawn(Math.round(most * 10), seed, copy, salt, one.tag.length, one.tag.charCodeAt(3) || 0) / 10; // prettier-ignore
  return {
    ...one,
    tag: renamed(one.tag, copy),
    area: areaId(one.area, unit),
    x: at.x + 1 + right + spread(at.width - 2, 1),
    y: at.y + 1 + down + spread(at.height - 2, 2),
  };
}

/** Which entry of which copy. */
interface Place {
  copy: number;
  i: number;
  seed: number;
  readings: number;
}

/** Of so many entries one is not sound. */
const ONE_IN = 20;

function entryIn({ copy, i, seed, readings }: Place, one: EntrySpec): EntrySpec {
  const { mineral, transit } = one;
  const enclosure = renamed(one.enclosure, copy);
  const cracked = canCrack().has(one) && drawn(ONE_IN, seed, copy, i) === 0;
  const tag = `P-${enclosure.replace(/^[A-Z]+-/, '')}-${one.label}`;
  return {
    ...one,
    madeOff: false,
    enclosure,
    ...(mineral ? { mineral: renamed(mineral, copy) } : {}),
    twist: {
      ...(mineral || transit ? {} : { cable: { tag } }),
      // With the gap of the back nut that is so many readings of most entries, and one more of some.
      count: { 'outer-sheath': Math.max(0, readings - 1 + (i % 4 === 0 ? 1 : 0)) },
      ...(cracked ? { looks: { damage: 'cracked' } } : {}),
    },
    planted: cracked ? ['E-29'] : undefined,
  };
}

let cracking: ReadonlySet<EntrySpec> | null = null;
/** Entries of the pattern that are asked whether they are cracked. */
const canCrack = (): ReadonlySet<EntrySpec> =>
  (cracking ??= new Set(
    PATTERN.filter((one) => {
      const certificate = certificates(PREFIX).find(
        ({ id }) => id === entryOf({ ...MARROWICK, prefix: PREFIX }, one, '').certificate,
      );
      const damage = certificate && looksOf(one.kind, certificate).find(({ id }) => id === 'damage');
      return damage?.answers.some(({ id }) => id === 'cracked') ?? false;
    }),
  ));
