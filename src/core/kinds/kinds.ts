import type { KindId } from '../record/kind-ids';
import { JOINTS, SCHOOLS, type AssemblySheet, type JointId, type School } from '../record/types';
import { glandDoubleSeal } from './entries/gland-double-seal';
import { glandReversibleRing } from './entries/gland-reversible-ring';
import { glandDedicatedRing } from './entries/gland-dedicated-ring';
import { glandDiaphragm } from './entries/gland-diaphragm';
import { glandBarrier } from './entries/gland-barrier';
import { glandBarrierPlain } from './entries/gland-barrier-plain';
import { glandPlain } from './entries/gland-plain';
import { glandIndustrial } from './entries/gland-industrial';
import { connectorResin } from './entries/connector-resin';
import { miPot } from './entries/mi-pot';
import { miLink } from './entries/mi-link';
import { transitBlock } from './entries/transit-block';
import { transitBlockBonded } from './entries/transit-block-bonded';
import { transitCabinet } from './entries/transit-cabinet';
import { transitSealant } from './entries/transit-sealant';
import { jointPlace } from './joints';
import type { Kind } from './kind';
import type { LookQuestion } from './look';
import type { Place } from './place';
import * as places from './places';
import { conditionLook, jointLook, jointLookFromOutside } from './worked-looks';

/** The one table of entry kinds: each is a file of its own. */
export const KINDS: Record<KindId, Kind> = {
  'gland-double-seal': glandDoubleSeal,
  'gland-reversible-ring': glandReversibleRing,
  'gland-dedicated-ring': glandDedicatedRing,
  'gland-diaphragm': glandDiaphragm,
  'gland-barrier': glandBarrier,
  'gland-barrier-plain': glandBarrierPlain,
  'gland-plain': glandPlain,
  'gland-industrial': glandIndustrial,
  'connector-resin': connectorResin,
  'mi-pot': miPot,
  'mi-link': miLink,
  'transit-block': transitBlock,
  'transit-block-bonded': transitBlockBonded,
  'transit-cabinet': transitCabinet,
  'transit-sealant': transitSealant,
};

/** Whether a place belongs to every entry of a kind. */
export const measures = ({ places: own }: Kind, place: string): boolean => own.some(({ id }) => id === place);

/** Places of a kind with those by which the sheet's schools close its joints. */
export function placesOf(kind: KindId, sheet: AssemblySheet | null): readonly Place[] {
  const { places: own, joints } = KINDS[kind];
  const closing = (sheet?.joints ?? [])
    .filter(({ joint }) => joints.includes(joint))
    .filter(({ joint, school }) => !byScale(kind, joint, school))
    .flatMap(({ joint, school }) => jointPlace(joint, school) ?? []);
  return closing.length > 0 ? [...own, ...closing] : own;
}

/** Whether a joint's gap follows from the cable and is measured at the back nut. */
const byScale = (kind: KindId, joint: JointId, school: School): boolean =>
  school === 'gap' && joint === 'outer-seal' && measures(KINDS[kind], places.GAP.id);

/** Looks of a kind with those of its joints and a tick per special condition. */
export function looksOf(
  kind: KindId,
  certificate: { sheet: AssemblySheet; specialConditions: readonly string[] | null } | null,
): readonly LookQuestion[] {
  const { looks: own, joints } = KINDS[kind];
  if (!certificate) return own;
  const closing = certificate.sheet.joints
    .filter(({ joint }) => joints.includes(joint))
    .flatMap(({ joint, school }) => looksOfJoint(joint, school));
  const conditions = certificate.specialConditions ?? [];
  const ticks = conditions.map((text, i) => conditionLook(i + 1, text));
  return [...own, ...closing, ...ticks];
}

/** How a joint is looked at when it is closed, and from outside. */
const looksOfJoint = (joint: JointId, school: School): LookQuestion[] =>
  [jointLook(joint, school), jointLookFromOutside(joint, school)].filter((one) => one !== null);

/** Places and looks of every kind by their ids, those of joints by any school included. */
const PLACES = new Map<KindId, Map<string, Place>>();
const LOOKS = new Map<KindId, Map<string, LookQuestion>>();
for (const kind of Object.values(KINDS)) {
  const closing = kind.joints.flatMap((joint) => SCHOOLS.map((school) => [joint, school] as const));
  const jointPlaces = closing.flatMap(([joint, school]) =>
    byScale(kind.id, joint, school) ? [] : (jointPlace(joint, school) ?? []),
  );
  const jointLooks = closing.flatMap(([joint, school]) => looksOfJoint(joint, school));
  PLACES.set(kind.id, new Map([...kind.places, ...jointPlaces].map((p) => [p.id, p])));
  LOOKS.set(kind.id, new Map([...kind.looks, ...jointLooks].map((l) => [l.id, l])));
}

/** The place of a kind, or null. */
export const placeOf = (kind: KindId, place: string): Place | null => PLACES.get(kind)!.get(place) ?? null;

/** Every place by its id, the first of those that share one. */
const ROWS = new Map<string, Place>();
for (const row of Object.values(places)) {
  if (typeof row === 'object' && 'unit' in row && !ROWS.has(row.id)) ROWS.set(row.id, row);
}
for (const joint of JOINTS)
  for (const school of SCHOOLS) {
    const row = jointPlace(joint, school);
    if (row) ROWS.set(row.id, row);
  }

/** What is known of a place: as the kind has it, else as any has; null for an id that no place has. */
export const placeRow = (kind: KindId, place: string): Place | null =>
  placeOf(kind, place) ?? ROWS.get(place) ?? null;

/** The look of a kind, or null; special conditions belong to certificates and are not found here. */
export const lookOf = (kind: KindId, look: string): LookQuestion | null => LOOKS.get(kind)!.get(look) ?? null;
