import { useMemo } from 'react';
import { now } from '../../client/clock';
import type { Finding } from '../../core/record/finding';
import type { Defect } from '../../core/record/types';
import { dossierOf } from '../../core/rulebook/dossier';
import { neededFor, type Needed } from '../../core/rulebook/needed';
import { parameter, useDeviceLater } from '../hand/hand';
import { roundOfProof } from '../judging/reinspect';
import type { Judged } from './use-judged';

/** A defect that is looked at again. */
export interface Proof {
  defect: Defect;
  /** What its check rested on when it failed. */
  needed: Needed;
  /** Whether the entry lies on the bench in a round that can prove it. */
  running: boolean;
  /** Its check as it is judged now; null for an observation, or where nobody asks for it. */
  finding: Finding | null;
}

/** The defect that the page's address names, where it is one of the entry on the bench. */
export function useProof({ dossier, defects, findings }: Judged): Proof | null {
  const { slice } = useDeviceLater();
  const named = parameter('defect');
  const defect = defects.find(({ id }) => id === named) ?? null;
  const { id, check = null, round } = defect ?? {};
  const needed = useMemo(() => {
    const found = round === undefined ? null : dossierOf(slice, dossier.entry.id, slice.get('round', round));
    return check === null || !found ? NOTHING : neededFor(found, check, now());
    // A round that was over when the defect was found says the same for good.
  }, [slice, id, check, round]); // eslint-disable-line react-hooks/exhaustive-deps
  if (!defect) return null;
  const running = roundOfProof(slice, defect) !== null;
  return { defect, needed, running, finding: findings.find((one) => one.check === check) ?? null };
}

const NOTHING: Needed = { places: [], looks: [] };
