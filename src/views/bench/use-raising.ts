import { useState } from 'react';
import type { Finding } from '../../core/record/finding';
import type { Defect, Grade, Id } from '../../core/record/types';
import { give } from '../hand/give';
import { device, say } from '../hand/hand';
import type { Judged } from './use-judged';

/** Raising defects from checks that fail. */
export interface Raising {
  /** Check that is selected in the judgement; null for none. */
  check: string | null;
  select: (check: string) => void;
  /** Defect whose sheet is open; null for none. */
  sheet: Id | null;
  close: () => void;
  /** Raises a defect from a check, or from the selected one, and opens its sheet. */
  raise: (finding?: Finding) => void;
  raiseAll: (all: readonly Finding[]) => void;
}

/** Raises defects on the entry that lies on the bench. */
export function useRaising({ dossier, round, grade, findings, defects }: Judged): Raising {
  const [check, select] = useState<string | null>(null);
  const [sheet, setSheet] = useState<Id | null>(null);
  const entry = dossier.entry.id;
  const put = (of: string, id: Id) =>
    give('defect.raise', defectOf(id, entry, round.id, of, grade), `Defect ${of} is raised.`) !== null;
  return {
    check,
    select,
    sheet,
    close: () => setSheet(null),
    raise(finding) {
      const failed =
        finding ??
        findings.find((one) => one.check === check && one.outcome === 'fails') ??
        findings.find((one) => one.outcome === 'fails' && !openOf(defects, one.check));
      if (!failed) return say('No failed check is without a defect. Select a failed check first.');
      const open = openOf(defects, failed.check);
      if (open) return setSheet(open.id);
      const id = device.id();
      if (!put(failed.check, id)) return;
      // One that was raised before is raised again under its own id.
      const { slice } = device.state();
      const again = slice.by('defect', 'entry', entry).find((one) => one.check === failed.check);
      setSheet(again?.id ?? id);
    },
    raiseAll(all) {
      // Pressed twice, each is raised once.
      const { slice } = device.state();
      const raised = slice.by('defect', 'entry', entry).filter(({ state }) => state !== 'proven');
      for (const { check: of } of all) if (!raised.some((one) => one.check === of)) put(of, device.id());
    },
  };
}

/** The defect of a check that somebody still has to mend; undefined for none. */
const openOf = (defects: readonly Defect[], check: string): Defect | undefined =>
  defects.find((one) => one.check === check && one.state !== 'done' && one.state !== 'proven');

/** A defect as it is raised from a check: nobody has said yet what is done about it. */
const defectOf = (id: Id, entry: Id, round: Id, check: string, grade: Grade) => ({
  id, entry, round, check, grade, photos: [], action: '', observation: null,
}); // prettier-ignore
