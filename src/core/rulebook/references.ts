import type { Id, ReferenceRecord } from '../record/types';

/** A set that ships with the product; what each check rests on in it stands with the check. */
export interface ShippedSet {
  id: 'iec-2013' | 'iec-2013-barrier-2007';
  title: string;
}

/** References that findings are printed with. */
export interface ReferenceSet {
  id: Id;
  title: string;
  /** Shipped set that speaks for the checks that are left out. */
  over: ShippedSet['id'];
  /** What the site rests single checks on instead. */
  own: Readonly<Record<string, string>>;
}

/** The set that ships with the product. Newer editions exist; the site names the one its plant is kept by. */
const IEC_2013: ShippedSet = { id: 'iec-2013', title: 'IEC 60079-14:2013 and IEC 60079-17:2013' };

/** The same plant kept by the barrier figure of the edition before. */
const IEC_2007_BARRIER: ShippedSet = {
  id: 'iec-2013-barrier-2007',
  title: 'IEC 60079-14:2013 and IEC 60079-17:2013, barrier rule of 2007',
};

/** Sets that ship with the product. */
export const SHIPPED: readonly ShippedSet[] = [IEC_2013, IEC_2007_BARRIER];

/** A shipped set by its id; null for another id. */
export const shippedSet = (id: Id): ShippedSet | null => SHIPPED.find((set) => set.id === id) ?? null;

/**
 * The set that a site names: a shipped one, or its own laid over a shipped one. A set that is gone leaves
 * the shipped one.
 */
export function resolveReferences(id: Id, find: (id: Id) => ReferenceRecord | null): ReferenceSet {
  const shipped = shippedSet(id);
  if (shipped) return SETS.get(shipped.id)!;
  const own = find(id);
  if (!own) return SETS.get(IEC_2013.id)!;
  let set = resolved.get(own);
  if (!set) {
    const under = shippedSet(own.over) ?? IEC_2013;
    const texts = Object.fromEntries(own.basis.map(({ check, text }) => [check, text]));
    set = { id, title: own.title, over: under.id, own: texts };
    resolved.set(own, set);
  }
  return set;
}

/** Shipped sets as they are resolved. */
const SETS = new Map<Id, ReferenceSet>(
  SHIPPED.map(({ id, title }) => [id, { id, title, over: id, own: {} }]),
);

// Records are never changed in place, so that a set resolved once stays right.
const resolved = new WeakMap<ReferenceRecord, ReferenceSet>();
