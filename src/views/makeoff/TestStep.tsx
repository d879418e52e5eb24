import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import { stateOfTest } from '../../core/rulebook/cable-tests';
import type { TestHold } from '../../core/kinds/steps';
import type { Slice } from '../../core/record/slice';
import type { InsulationTest } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { testBefore } from '../../core/rulebook/mineral-records';
import { ContinuityPanel } from '../testing/ContinuityPanel';
import { Drying } from '../testing/Drying';
import { InsulationGrid } from '../testing/InsulationGrid';
import { StartTest } from '../testing/StartTest';
import { useNow } from '../hand/use-now';

/** A test that a step of the make-off waits for: tracing, or the insulation before and after sealing. */
export default function TestStep({
  dossier,
  slice,
  hold,
  since,
}: {
  dossier: Dossier;
  slice: Slice;
  hold: TestHold;
  /** When the work began, ISO 8601. */
  since: string;
}) {
  const { cable } = dossier;
  if (!cable?.mineral) {
    return (
      <p className="tone-failed">
        The cable is not recorded as mineral insulated. Complete its record under Dossier, Cables.
      </p>
    );
  }
  if (hold === 'continuity') return <ContinuityPanel slice={slice} cable={cable} since={since} />;
  return <Insulation dossier={dossier} slice={slice} after={hold === 'insulation-after'} />;
}

function Insulation({ dossier, slice, after }: { dossier: Dossier; slice: Slice; after: boolean }) {
  const { entry, mineral } = dossier;
  const cable = dossier.cable!;
  const [starting, setStarting] = useState(false);
  const [drying, setDrying] = useState(false);
  const nowMs = useNow(5000);
  const own = (mineral?.tests ?? []).filter((test) => test.entry === entry.id);
  const ofStage = (stage: InsulationTest['stage']) =>
    own.filter((test) => test.stage === stage).at(-1) ?? null;
  const before = mineral && cable && testBefore(mineral, cable, entry.id);
  const test = after ? ofStage('after-seal') : ofStage('before-seal');
  const action = test && stateOfTest(cable, test, nowMs).action;
  return (
    <div className="test-step">
      {test && !drying && !starting && (
        <InsulationGrid cable={cable} test={test} before={after ? before : null} />
      )}
      {(!test || starting) && !drying && (
        <StartTest
          slice={slice}
          cable={cable}
          drying={false}
          entry={entry.id}
          stage={after ? 'after-seal' : 'before-seal'}
          onDone={() => setStarting(false)}
        />
      )}
      {test && (
        <Group gap="sm" my="sm">
          {!drying && (
            <Button variant="default" onClick={() => setStarting(!starting)}>
              {starting ? 'Back to the test' : 'Test every pair again'}
            </Button>
          )}
          {!after && !starting && (action === 'dry-out' || drying) && (
            <Button variant="default" aria-expanded={drying} onClick={() => setDrying(!drying)}>
              {drying ? 'Fold the drying-out away' : 'Dry it out'}
            </Button>
          )}
        </Group>
      )}
      {drying && !after && <Drying slice={slice} cable={cable} entry={entry.id} />}
    </div>
  );
}
