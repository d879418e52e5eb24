import { KIND_IDS, type KindId } from '../../src/core/record/kind-ids';
import { KINDS } from '../../src/core/kinds/kinds';
import type { Change } from '../../src/core/rulebook/sound-entry.test.data';

const PLUG = {
  label: 'Z', closure: 'plug' as const, needsTool: true, inAdaptor: false, concepts: ['db'], certificate: 'FRN 24.0601',
  levels: ['Gb'], groups: ['IIC'], divisions: [], thread: 'M25x1.5', hole: 'M25x1.5', ingress: 'IP66', engagedMm: 11,
} as never; // prettier-ignore

/** Sound entries: one of every kind, and the same in other surroundings. */
export const BASES: readonly [name: string, change: Change][] = KIND_IDS.flatMap((kind) => basesOf(kind));

function basesOf(kind: KindId): [string, Change][] {
  const { certified, transit } = KINDS[kind];
  const plain: Change = { kind };
  const all: [string, Change][] = [[kind, plain]];
  if (!certified || transit) return all;
  all.push(
    [`${kind}, gas of group IIC in hot country`, { ...plain, area: { group: 'IIC', ambientC: [10, 55], temperatureClass: 'T4' }, enclosure: { group: 'IIC', wallMm: 14 } }],
    // Dust where a sheath can get hot: its own limit is on file.
    [`${kind}, dust beside the gas`, { ...plain, area: { beside: { zone: '22', group: 'IIIA' }, cloudIgnitionC: 400, layerIgnitionC: 310, dustLayerMm: 5 }, enclosure: { concepts: ['db', 'tb'] } }],
    [`${kind}, zone 2, increased safety`, { ...plain, area: { zone: '2' }, enclosure: { concepts: ['eb'] } }],
    [`${kind}, a plug beside it`, { ...plain, enclosure: { unused: [PLUG] }, looks: { 'unused-entries': 'yes' } }],
  ); // prettier-ignore
  return all;
}
