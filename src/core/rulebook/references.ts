import type { Dossier } from './dossier';

/** Where a check has its basis: document and clause, in the words of the reference set. */
export interface ReferenceSet {
  id: string;
  title: string;
  basis: Record<string, string>;
  /** Checks that also rest on the certificate and its assembly sheet. */
  onCertificate: readonly string[];
}

/** The set that ships with the product. Newer editions exist; the site names the one its plant is kept by. */
const IEC_2013: ReferenceSet = {
  id: 'iec-2013',
  title: 'IEC 60079-14:2013 and IEC 60079-17:2013',
  basis: {
    'E-01': 'IEC 60079-17:2013, Table 1, entry devices and blanking elements',
    'E-02': 'IEC 60079-14:2013, 5.3 and 5.4',
    'E-03': 'IEC 60079-14:2013, 5.5',
    'E-04': 'IEC 60079-14:2013, 5.6 and 9.3',
    'E-05': 'IEC 60079-14:2013, 10.2; IEC 60079-0',
    'E-06': 'IEC 60079-14:2013, 10.2 to 10.6',
    'E-07': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, entry devices',
    'E-08': 'IEC 60079-1, cylindrical and taper threaded joints',
    'E-11': 'IEC 60079-14:2013, 10.2',
    'E-12': 'IEC 60079-14:2013, 10.2 and 10.6',
    'E-13': 'IEC 60079-14:2013, 10.2',
    'E-14': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, entry devices',
    'E-23a': 'IEC 60079-17:2013, Table 1, earthing',
    'E-23b': 'IEC 60079-17:2013, Table 1, earthing; site limit',
    'E-27': 'IEC 60079-17:2013, Table 1, cable type; cable record',
    'E-29': 'IEC 60079-17:2013, Table 1, damage and environment',
  },
  onCertificate: ['E-01', 'E-02', 'E-03', 'E-04', 'E-05', 'E-06', 'E-07', 'E-11', 'E-12', 'E-13'],
};

const SETS: Record<string, ReferenceSet> = { [IEC_2013.id]: IEC_2013 };

/** The reference set of an id. */
export const referenceSet = (id: string): ReferenceSet => SETS[id] ?? IEC_2013;

/** Basis of a check for an entry, the certificate first where the check rests on it. */
export function basisOf(check: string, { site, certificate }: Pick<Dossier, 'site' | 'certificate'>): string {
  const set = referenceSet(site.references);
  const clause = set.basis[check] ?? set.title;
  return certificate && set.onCertificate.includes(check)
    ? `Certificate ${certificate.number} · ${clause}`
    : clause;
}
