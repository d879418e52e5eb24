import type { Certificate, Id } from '../record/types';
import type { Candidate } from './candidate';
import type { Proposal } from './schedule';

/** A proposal as it travels between threads: certificate and size by their names. */
export interface SlimProposal extends Omit<Proposal, 'best'> {
  best: (Omit<Candidate, 'certificate' | 'size'> & { certificate: Id; size: string }) | null;
}

/** The same without the records that the other side has already. */
export const slim = ({ best, ...rest }: Proposal): SlimProposal => ({
  ...rest,
  best: best && { ...best, certificate: best.certificate.id, size: best.size.size },
});

/** The same with its records again; null certificates are those that have gone meanwhile. */
export function whole({ best, ...rest }: SlimProposal, certificates: ReadonlyMap<Id, Certificate>): Proposal {
  const certificate = best && certificates.get(best.certificate);
  const size = certificate?.sheet.sizes.find((one) => one.size === best!.size);
  return { ...rest, best: best && certificate && size ? { ...best, certificate, size } : null };
}
