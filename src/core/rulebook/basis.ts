import type { Certificate, Id, Site } from '../record/types';
import type { Check } from './check';
import type { ReferenceSet } from './references';
import { ruleOf, RULES } from './rules';

/** Basis of a check for an entry, the certificate first where the check rests on it. */
export function basisOf(
  check: string,
  {
    site,
    certificate,
    references,
  }: { site: Site; certificate: Certificate | null; references: ReferenceSet },
): string {
  const basis = ruleOf(check)?.basis;
  const clause = (basis && clauseOf(check, basis, site, references)) ?? references.title;
  return certificate && basis?.certificate ? `Certificate ${certificate.number} · ${clause}` : clause;
}

function clauseOf(check: string, basis: Check['basis'], site: Site, references: ReferenceSet): string {
  // A site's own set says what it says, whatever the scheme.
  if (references.id === references.over) {
    if (site.scheme === 'divisions' && basis.divisions) return basis.divisions;
    const older = basis['iec-2013-barrier-2007'];
    if (site.barrierSchool === '2007' && older) return older;
  }
  return references.own[check] ?? basis[references.over] ?? basis['iec-2013'];
}

/** A set of references with what every check rests on in it, as it is kept where it must speak for itself. */
export function wholeSet({ id, title, over, own }: ReferenceSet): {
  id: Id;
  title: string;
  basis: Record<string, string>;
} {
  const shipped = RULES.map(({ id: check, basis }) => [check, basis[over] ?? basis['iec-2013']]);
  return { id, title, basis: { ...Object.fromEntries(shipped), ...own } as Record<string, string> };
}
