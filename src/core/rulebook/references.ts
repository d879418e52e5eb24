import type { Certificate, Id, ReferenceRecord, Site } from '../record/types';

/** Where a check has its basis: document and clause, in the words of the reference set. */
export interface ReferenceSet {
  id: Id;
  title: string;
  basis: Readonly<Record<string, string>>;
}

const GLANDS = 'IEC 60079-17:2013, Table 1, entry devices and blanking elements';

/** The set that ships with the product. Newer editions exist; the site names the one its plant is kept by. */
const IEC_2013: ReferenceSet = {
  id: 'iec-2013',
  title: 'IEC 60079-14:2013 and IEC 60079-17:2013',
  basis: {
    'E-01': GLANDS,
    'E-02': 'IEC 60079-14:2013, 5.3 and 5.4',
    'E-03': 'IEC 60079-14:2013, 5.5',
    'E-04': 'IEC 60079-14:2013, 5.6 and 9.3',
    'E-05': 'IEC 60079-14:2013, 10.2; IEC 60079-0',
    'E-06': 'IEC 60079-14:2013, 10.2 to 10.6',
    'E-07': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, entry devices',
    'E-08': 'IEC 60079-1, cylindrical and taper threaded joints',
    'E-09': 'IEC 60079-14:2013, 10.2 and 10.5; IEC 60079-17:2013, Table 1, entry devices',
    'E-10': `IEC 60079-14:2013, 10.5; ${GLANDS}`,
    'E-11': 'IEC 60079-14:2013, 10.2',
    'E-12': 'IEC 60079-14:2013, 10.2 and 10.6',
    'E-13': 'IEC 60079-14:2013, 10.2',
    'E-14': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, entry devices',
    'E-15': 'IEC 60079-14:2013, 10.6.2',
    'E-16': 'IEC 60079-14:2013, 9.3, 9.6 and 10.6',
    'E-17': 'IEC 60079-1, Annex C; IEC 60079-14:2013, 10.6.2',
    'E-18a': 'IEC 60079-14:2013, 10.2; assembly sheet',
    'E-18b': 'IEC 60079-14:2013, 10.2; assembly sheet',
    'E-19': 'Assembly sheet; seal of constant volume',
    'E-20': 'IEC 60079-14:2013, 10.2; assembly sheet',
    'E-21': 'Assembly sheet, armour length',
    'E-22': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, seals and gaskets',
    'E-23a': 'IEC 60079-17:2013, Table 1, earthing',
    'E-23b': 'IEC 60079-17:2013, Table 1, earthing; site limit',
    'E-24': 'IEC 60079-17:2013, Table 1, environment',
    'E-25': 'IEC 60079-0, certificates with X; IEC 60079-14:2013, 4.4',
    'E-26': 'IEC 60079-14:2013, 9.3 and 10.2; IEC 60079-17:2013, Table 1, cables',
    'E-27': 'IEC 60079-17:2013, Table 1, cable type; cable record',
    'E-28': 'IEC 60079-17:2013, Table 1, unauthorised modifications',
    'E-29': 'IEC 60079-17:2013, Table 1, damage and environment',
    'E-30': 'IEC 60079-17:2013, Table 1, condition of seals; assembly sheet',
    'E-31': 'IEC 60079-14:2013, 9.3; single-core cables',
    'R-01': 'Assembly sheet, dam and fill; IEC 60079-14:2013, 10.6',
    'R-02': 'Assembly sheet, cure of the resin',
    'R-03': 'Assembly sheet, armour and grommet nut',
    'T-01': 'Assembly sheet, block ranges',
    'T-02': 'Assembly sheet, peeling; IEC 60079-14:2013, 9.6.4',
    'T-03': 'Assembly sheet, peeling',
    'T-04': 'Assembly sheet, layers that stay',
    'T-05': 'Assembly sheet, packing; IEC 60079-14:2013, 9.6.4',
    'T-06': 'Assembly sheet, compression',
    'T-07': 'Assembly sheet, spare blocks; plant rule',
    'T-08': 'IEC 60079-14:2013, 9.3 and 9.6.4; assembly sheet',
    'T-09': 'IEC 60079-17:2013, Table 1, earthing; site limit',
    'T-10': 'IEC 60079-14:2013, 9.6.4; IEC 60079-17:2013, Table 1, damage and environment',
    'S-01': 'Assembly sheet, fill; IEC 60079-14:2013, 9.6.4',
    'S-02': 'Assembly sheet, distances',
    'S-03': 'Assembly sheet, depth of the sealant',
    'S-04': 'Assembly sheet, adhesion',
    'S-05': 'IEC 60079-14:2013, 9.6.4; assembly sheet',
    'S-06': 'Assembly sheet, sleeves behind the sealant',
    'M-01': 'Assembly sheet, pot and projection',
    'M-02': 'Assembly sheet, insulation before sealing; IEC 60079-17:2013, Table 1, insulation resistance',
    'M-03': 'IEC 60079-17:2013, Table 1, insulation resistance; assembly sheet',
    'M-04': 'Assembly sheet, insulation before and after',
    'M-05': 'Assembly sheet, time to seal',
    'M-06': 'IEC 60079-17:2013, Table 1, cables; assembly sheet, sleeves',
    'M-07': 'IEC 60079-17:2013, Table 1, earthing',
    'M-08': 'IEC 60079-14:2013, 5.6 and 9.3; assembly sheet, temperature',
  },
};

/** The same plant kept by the barrier figure of the edition before. */
const IEC_2007_BARRIER: ReferenceSet = {
  id: 'iec-2013-barrier-2007',
  title: 'IEC 60079-14:2013 and IEC 60079-17:2013, barrier rule of 2007',
  basis: { ...IEC_2013.basis, 'E-15': 'IEC 60079-14:2007, 10.4.2, figure' },
};

/** Basis of the barrier rule on a site that classifies by divisions. */
const DIVISION_BASIS: Readonly<Record<string, string>> = {
  'E-02': 'NFPA 70, 500.5 and 500.8, as commonly applied',
  'E-03': 'NFPA 70, 500.6, as commonly applied',
  'E-15': 'NFPA 70, 501.15, as commonly applied',
};

/** Sets that ship with the product. */
export const SHIPPED: readonly ReferenceSet[] = [IEC_2013, IEC_2007_BARRIER];

/** A shipped set by its id; null for another id. */
export const shippedSet = (id: Id): ReferenceSet | null => SHIPPED.find((set) => set.id === id) ?? null;

/** Checks that also rest on the certificate and its assembly sheet. */
const ON_CERTIFICATE: ReadonlySet<string> = new Set([
  'E-01', 'E-02', 'E-03', 'E-04', 'E-05', 'E-06', 'E-07', 'E-11', 'E-12', 'E-13', 'E-17', 'E-18a', 'E-18b',
  'E-19', 'E-20', 'E-21', 'E-25', 'R-01', 'R-02', 'R-03',
  'M-01', 'M-02', 'M-04', 'M-05', 'M-08',
  'T-01', 'T-02', 'T-03', 'T-04', 'T-05', 'T-06', 'S-01', 'S-02', 'S-03', 'S-06',
]); // prettier-ignore

/**
 * The set that a site names: a shipped one, or its own laid over a shipped one. A set that is gone leaves
 * the shipped one.
 */
export function resolveReferences(id: Id, find: (id: Id) => ReferenceRecord | null): ReferenceSet {
  const shipped = shippedSet(id);
  if (shipped) return shipped;
  const own = find(id);
  if (!own) return IEC_2013;
  let set = resolved.get(own);
  if (!set) {
    const under = shippedSet(own.over) ?? IEC_2013;
    const over = Object.fromEntries(own.basis.map(({ check, text }) => [check, text]));
    set = { id, title: own.title, basis: { ...under.basis, ...over } };
    resolved.set(own, set);
  }
  return set;
}

// Records are never changed in place, so that a set resolved once stays right.
const resolved = new WeakMap<ReferenceRecord, ReferenceSet>();

/** Basis of a check for an entry, the certificate first where the check rests on it. */
export function basisOf(
  check: string,
  {
    site,
    certificate,
    references,
  }: { site: Site; certificate: Certificate | null; references: ReferenceSet },
): string {
  const shippedOne = shippedSet(references.id) !== null;
  const division = shippedOne && site.scheme === 'divisions' ? DIVISION_BASIS[check] : undefined;
  const older =
    shippedOne && check === 'E-15' && site.barrierSchool === '2007'
      ? IEC_2007_BARRIER.basis[check]
      : undefined;
  const clause = division ?? older ?? references.basis[check] ?? references.title;
  return certificate && ON_CERTIFICATE.has(check) ? `Certificate ${certificate.number} · ${clause}` : clause;
}
