import { dossierOf } from '../rulebook/dossier';
import { canonicalHash } from '../record/seal';
import type { Slice } from '../record/slice';
import type { Inspection } from '../record/types';

/**
 * Hash of an inspection as rule 1 made it: over the sealed fields and the live records as they stood, the reducer's
 * own fields included. It covered neither packing nor insulation nor continuity.
 *
 * @param slice the records as they were when it was sealed
 * @returns null when the entry or its round is not there
 */
export function hashByRule1(slice: Slice, inspection: Inspection): string | null {
  const { hash: _hash, rev: _rev, stamps: _stamps, ...sealed } = inspection;
  const round = slice.get('round', inspection.round);
  const dossier = round && dossierOf(slice, inspection.entry, round);
  if (!dossier) return null;
  const { readings, cable, certificate, enclosure, area, entry, pours, record, references } = dossier;
  const looks = [...dossier.looks.values()];
  const instruments = [...dossier.instruments.values()];
  const asLeft = record?.hash ?? null;
  return canonicalHash({ sealed, readings, looks, instruments, cable, certificate, enclosure, area, entry, pours, asLeft, references }); // prettier-ignore
}
