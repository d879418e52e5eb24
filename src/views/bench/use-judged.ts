import { useMemo } from 'react';
import { now } from '../../client/clock';
import { isSealed } from '../../core/commands/apply-inspection';
import { KINDS } from '../../core/kinds/kinds';
import type { Kind } from '../../core/kinds/kind';
import { bySpot, type LookGroup } from '../../core/kinds/look';
import type { Finding } from '../../core/record/finding';
import type { Defect, EntryStatus, Grade, Id, Round } from '../../core/record/types';
import { askedLooks, askedPlaces } from '../../core/rulebook/asked';
import { assessDossier, openingSettles } from '../../core/rulebook/assess';
import { currentRound, dossierOf, type Dossier } from '../../core/rulebook/dossier';
import { asksFor } from '../../core/rulebook/grades';
import { contextOf } from '../../core/rulebook/judge';
import type { Slice } from '../../core/record/slice';
import { device, useDeviceLater } from '../hand/hand';
import { inOrder, placeView, type PlaceView } from './place-view';

/** An entry as it lies on the bench: what is asked of it, and what is judged. */
export interface Judged {
  dossier: Dossier;
  round: Round;
  kind: Kind;
  grade: Grade;
  views: PlaceView[];
  groups: LookGroup[];
  findings: Finding[];
  status: EntryStatus;
  /** Checks that only opening the entry would settle. */
  opening: Finding[];
  defects: Defect[];
  sealed: boolean;
}

/** How often an entry was judged on this page: once per change that touches it. */
export const judgements = { count: 0 };

/**
 * Judges an entry; again only when something touches it, another grade is asked for or another day has begun.
 *
 * @returns null where there is no such entry; the dossier alone where it belongs to no round yet
 */
export function useJudged(entry: Id | null, grade: Grade | null): Judged | { dossier: Dossier } | null {
  const { slice } = useDeviceLater();
  const version = entry === null ? 0 : device.touched.versionOf(entry);
  const day = now().slice(0, 10);
  return useMemo(
    () => (entry === null ? null : judged(slice, entry, grade)),
    // The slice is the same object while what it shows changes.
    [slice, entry, grade, version, day], // eslint-disable-line react-hooks/exhaustive-deps
  );
}

function judged(slice: Slice, entry: Id, chosen: Grade | null): Judged | { dossier: Dossier } | null {
  const record = slice.get('entry', entry);
  const round = record && currentRound(slice, entry, record.site);
  const dossier = record && dossierOf(slice, entry, round);
  if (!dossier) return null;
  if (!round) return { dossier };
  judgements.count++;
  const at = now();
  const grade = chosen ?? round.grade;
  const { findings, status } = assessDossier(slice, dossier, at, grade);
  const context = contextOf(dossier, grade, at);
  return {
    dossier,
    round,
    kind: KINDS[dossier.entry.kind],
    grade,
    views: inOrder(askedPlaces(context))
      .filter((place) => asksFor(grade, place.grade))
      .map((place) => placeView(context, place, findings)),
    groups: bySpot(askedLooks(dossier).filter((look) => asksFor(grade, look.grade))),
    findings,
    status,
    opening: openingSettles(dossier, grade, at),
    defects: slice.by('defect', 'entry', entry),
    sealed: isSealed(slice, entry, round.id),
  };
}
