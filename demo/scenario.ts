import { entryId, type EntrySpec, type SiteSpec } from './spec';
import { normalAt } from '../src/core/quantity/random';
import type { DossierFields } from '../src/core/commands/commands';
import { KINDS, looksOf } from '../src/core/kinds/kinds';
import type { Kind } from '../src/core/kinds/kind';
import type { KindId } from '../src/core/record/kind-ids';
import type { GlandSize, Id } from '../src/core/record/types';
import { gapFor } from '../src/core/rulebook/gap-scale';
import { mineralCableOf, mineralTruth } from './mineral-cables';
import { CABLE_FOR } from './series';
import { frameOf } from './transits';

const round2 = (value: number) => Math.round(value * 100) / 100;
const round4 = (value: number) => Math.round(value * 10000) / 10000;

/** What the armour of a sound cable of a kind is. */
function armourFor({ armour }: Kind, entry: EntrySpec): DossierFields['cable']['armour'] {
  const { wire } = CABLE_FOR[entry.size]!;
  if (armour === 'none') return null;
  if (armour === 'gripped') return { type: 'corrugated', sizeMm: wire, material: 'aluminium', areaMm2: 28 };
  return { type: 'wire', sizeMm: wire, material: 'steel', areaMm2: null };
}

/** Sound cable for an entry's size and kind, twisted as the entry says. */
export function cableOf(spec: SiteSpec, entry: EntrySpec): DossierFields['cable'] {
  if (entry.mineral)
    return mineralCableOf(
      spec,
      spec.minerals.find(({ tag }) => tag === entry.mineral)!,
    );
  const { inner, sheath, cores } = CABLE_FOR[entry.size]!;
  const kind = KINDS[entry.kind];
  const tag = `P-${cableNumber(spec, entry)}`;
  const twisted = entry.twist?.cable?.armour;
  const usual = armourFor(kind, entry);
  const armour = twisted === undefined ? usual : twisted && { ...twisted };
  // A braid or tape of the scenario is 0.4 mm thick unless the twist says otherwise.
  const armourMm = armour?.sizeMm ?? 0;
  const [count, areaMm2, diameterMm] = cores;
  return {
    id: cableId(spec, entry),
    tag,
    from: `${entry.enclosure}, entry ${entry.label}`,
    to: 'Panel MCC-1',
    lengthM: 40 + (cableNumber(spec, entry) % 60),
    cores: [{ count, areaMm2, diameterMm }],
    shape: 'round',
    coldFlow: kind.inner === 'diaphragm',
    innerMm: inner,
    armour,
    unarmoured: armour === null ? { by: 'R. Tarn', on: '2026-01-15' } : null,
    sheathMm: sheath,
    outerMm: round2(inner + 2 * (armourMm + sheath)),
    toleranceMm: 0.4,
    maxC: 90,
    minC: -30,
    screened: false,
    filling: kind.pot === 'none' ? 'filled' : 'not-filled',
    breathing: null,
    mineral: null,
    ...entry.twist?.cable,
  };
}

/** Id of the cable in an entry. */
const cableId = (spec: SiteSpec, entry: EntrySpec): Id =>
  `${spec.prefix}-cable-${entry.mineral ?? `${entry.enclosure}-${entry.label}`}`.toLowerCase();

const cableNumber = (spec: SiteSpec, entry: EntrySpec): number => 2000 + 7 * spec.entries.indexOf(entry);

/** The usual certificate of a kind, by the end of its id. */
const USUAL: Record<KindId, string> = {
  'gland-double-seal': 'double',
  'gland-reversible-ring': 'reversible',
  'gland-dedicated-ring': 'dedicated',
  'gland-diaphragm': 'diaphragm',
  'gland-barrier': 'barrier',
  'gland-barrier-plain': 'barrier-plain',
  'gland-plain': 'plain',
  'gland-industrial': 'industrial',
  'connector-resin': 'resin',
  'mi-pot': 'mi-pot',
  'mi-link': 'mi-link',
  'transit-block': 'transit-block',
  'transit-block-bonded': 'transit-bonded',
  'transit-cabinet': 'transit-cabinet',
  'transit-sealant': 'transit-sealant',
};

/** The entry's record, twisted as it says. */
export function entryOf(spec: SiteSpec, entry: EntrySpec, thread: string): DossierFields['entry'] {
  const { ring } = KINDS[entry.kind];
  const turned = ring === 'reversible' || ring === 'dedicated';
  return {
    id: entryId(spec, entry),
    enclosure: `${spec.prefix}-${entry.enclosure}`.toLowerCase(),
    label: entry.label,
    kind: entry.kind,
    hole: { form: 'threaded', thread, diameterMm: null, chamfersMm: 1 },
    certificate: `${spec.prefix}-cert-${entry.certificate ?? USUAL[entry.kind]}`,
    size: entry.transit ? null : entry.size,
    ringFace: turned ? (entry.twist?.cable?.armour?.type === 'braid' ? 'braid' : 'wire') : null,
    cable: entry.transit ? null : cableId(spec, entry),
    washerMm: entry.transit ? 0 : 2,
    adaptors: [],
    tailMm: entry.transit ? null : entry.mineral ? 120 : 180,
    frame: frameOf(spec, entry),
    compartment: null,
    sealingDevice: false,
    factoryFitted: null,
    factoryThreaded: null,
    raceway: null,
    foundMadeOff: null,
    ...entry.twist?.entry,
  };
}

/** Diameter over a bundle of cores, as a multiple of one core, by their number. */
const BUNDLE: Record<number, number> = { 1: 1, 2: 2, 3: 2.155, 4: 2.414, 5: 2.7, 6: 3, 7: 3 };

/** The true values at an entry's places, before the readings scatter round them. */
export function truthOf(
  entry: EntrySpec,
  cable: DossierFields['cable'],
  wallMm: number,
  size: GlandSize,
): Record<string, number> {
  const [{ count, diameterMm } = { count: 1, diameterMm: 1 }] = cable.cores;
  const gripped = KINDS[entry.kind].armour === 'gripped';
  const truth = {
    'outer-sheath': cable.outerMm!,
    'inner-sheath': cable.innerMm!,
    'over-cores': round2((BUNDLE[count] ?? 3) * diameterMm),
    armour: gripped ? cable.outerMm! - 2 * cable.sheathMm! : (cable.armour?.sizeMm ?? 1),
    'armour-length': size.armourLengthMm ? (size.armourLengthMm[0] + size.armourLengthMm[1]) / 2 : 18,
    'thread-engagement': wallMm - 1,
    'inner-proud': (size.innerProudMm ?? 5) + 3,
    'compound-reach': 14,
    bond: 0.011,
    'torque-entry': 35,
    'turns-clamp': 0.88,
    'turns-inner-seal': 1.12,
    'turns-outer-seal': 0.88,
    'turns-pot': 0.88,
    'pot-projection': 2,
    ...mineralTruth(cable),
    ...entry.twist?.truth,
  } as Record<string, number>;
  if (size.backNut) {
    // A cable that is too thick for the seal has no place on the scale.
    const cableMm = Math.min(truth['outer-sheath']!, size.backNut.freeBoreMm);
    truth['back-nut-gap'] = round2(gapFor(size.backNut, cableMm).gapMm + (entry.twist?.gapOffMm ?? 0));
  }
  return truth;
}

/** Places that one reading is enough for, and those that are read thrice. */
const THRICE = new Set(['outer-sheath', 'inner-sheath', 'over-cores', 'armour']);

/** Readings of one place: scatter of the instrument, and the ovality of a sheath. */
export function readingsAt(entry: EntrySpec, place: string, truth: number, seed: number): number[] {
  if (place === 'bond' || place === 'sheath-earth') return [round4(truth + 0.0004 * normalAt(seed, 0))];
  if (!THRICE.has(place)) return [round2(truth)];
  const wanted = entry.twist?.count?.[place] ?? 3 + (seed % 2);
  const oval = place.endsWith('sheath') ? (entry.twist?.oval ?? 0.08) : 0;
  return Array.from({ length: wanted }, (_, i) => {
    const axis = oval * 0.5 * Math.cos((2 * Math.PI * i) / 3);
    const scatter = 0.015 * Math.max(-1.5, Math.min(1.5, normalAt(seed, i)));
    return round2(truth + axis + scatter);
  });
}

/** Looks that are asked only where a tape was wrapped, a thread measured, or a joint seen from outside. */
const IN_DOUBT = /^(flats|thread-taper|seen-.*)$/;

/** Answers to every look of an entry, the sound ones, twisted as the entry says. */
export function answersOf(
  entry: EntrySpec,
  certificate: DossierFields['certificate'],
  place: {
    weather: string | null;
    sealedBefore: boolean;
    unused: boolean;
    singleCore: boolean;
    screened: boolean;
    outside: boolean;
  },
): [look: string, answer: string][] {
  const usual: Record<string, string> = {
    'unused-entries': place.unused ? 'yes' : 'none',
    unaltered: place.sealedBefore ? 'same' : 'first',
    // A mineral-insulated end is stopped by its own pot.
    ...(entry.mineral ? { 'inside-cable': 'stopped' } : {}),
    shroud: place.weather === 'indoors' && certificate.sheet.shroud === 'none' ? 'none' : 'fitted',
  };
  return looksOf(entry.kind, certificate)
    .filter(({ id }) => !IN_DOUBT.test(id) || (place.outside && id.startsWith('seen-')))
    .filter(({ id }) => (id !== 'single-core' || place.singleCore) && (id !== 'drain-wire' || place.screened))
    .map(({ id, answers }) => [
      id,
      entry.twist?.looks?.[id] ?? usual[id] ?? answers.find(({ good }) => good)!.id,
    ]);
}
