import { useState } from 'react';
import type { Dossier } from '../../core/rulebook/dossier';
import { Choice } from '../../ui/Figure';
import { BarrierPath } from './BarrierPath';
import { DivisionSeals } from './DivisionSeals';

/** Is a barrier needed: the rule as a path of questions, or the seal rules of a division site. */
export function BarrierTool({ dossier }: { dossier: Dossier | null }) {
  const [scheme, setScheme] = useState<'zones' | 'divisions'>(dossier?.site.scheme ?? 'zones');
  return (
    <>
      <Choice
        title="Areas classified by"
        value={scheme}
        options={[
          ['zones', 'zones'],
          ['divisions', 'divisions'],
        ]}
        onChange={setScheme}
      />
      {scheme === 'zones' ? <BarrierPath dossier={dossier} /> : <DivisionSeals dossier={dossier} />}
    </>
  );
}
