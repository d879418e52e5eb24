import { Box, Button, Group } from '@mantine/core';
import { useDeferredValue, useMemo, useState } from 'react';
import type { PackStep } from '../../core/transit/pack/pack';
import { packedFrom } from '../../core/rulebook/transit-planned';
import type { Slice } from '../../core/record/slice';
import type { Id, PackedOpening, TransitSheet } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { count, figure } from '../../core/words/en/format';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { CableChoice } from './CableChoice';
import { packJob } from './pack-job';
import { PackPlan } from './PackPlan';
import { LockedRows, UnusedSizes } from './PlanLimits';
import { usePacking, type PackingRun } from './use-packing';

interface PlannerProps {
  slice: Slice;
  dossier: Dossier;
  sheet: TransitSheet;
  onTake: (openings: PackedOpening[]) => void;
}

/** Packs the cables of a transit anew: the answer at once, better ones as they are found, cancelled at any time. */
export default function Planner({ slice, dossier, sheet, onTake }: PlannerProps) {
  const openings = dossier.transit?.openings ?? [];
  const held = openings.flatMap(({ blocks }) => blocks.flatMap(({ block }) => block.cable ?? []));
  const [cables, setCables] = useState<readonly Id[]>(held);
  const [locks, setLocks] = useState<readonly string[]>([]);
  const [forbidden, setForbidden] = useState<readonly number[]>([]);
  const spare = useMeasure('percent', 20, (pct) => (pct <= 100 ? null : 'At most 100 %.'));
  const run = usePacking(slice);
  const { planned, take } = usePlanned(dossier, run, onTake);
  const start = () => {
    const sparePct = spare.need();
    if (sparePct === null) return;
    if (forbidden.length === sheet.blocks.length)
      return run.refuse('Every block size is forbidden. Allow at least one.');
    run.start(packJob(slice, dossier, sheet, { cables, locks, forbidden, sparePct }));
  };
  return (
    <>
      <p className="no-print">
        Every cable in a block whose range holds it, fewest openings, least height, fewest sizes, then the
        wanted spare share. A locked row keeps its cables.
      </p>
      <Group className="no-print" gap={24} align="flex-start">
        <CableChoice slice={slice} site={dossier.entry.site} chosen={cables} onChoose={setCables} />
        <Box flex="1 1 360px">
          <MeasureInput label="Wanted spare share" {...fieldOf(spare)} />
          <RunButtons run={run} onStart={start} onTake={take} />
          <RunSteps run={run} wantedPct={spare.value ?? 0} />
          <UnusedSizes sheet={sheet} forbidden={forbidden} onForbid={setForbidden} />
          <LockedRows openings={openings} locks={locks} onLock={setLocks} />
        </Box>
      </Group>
      {planned && <PackPlan slice={slice} dossier={dossier} sheet={sheet} openings={planned} />}
    </>
  );
}

/** The best packing as it is built. It is drawn when there is time for it, so that the page answers meanwhile. */
function usePlanned(dossier: Dossier, { best }: PackingRun, onTake: PlannerProps['onTake']) {
  const bonded = kindOf(dossier).transit === 'bonded';
  const drawn = useDeferredValue(best);
  const planned = useMemo(() => drawn && packedFrom(drawn, bonded), [drawn, bonded]);
  return { planned, take: () => best && onTake(packedFrom(best, bonded)) };
}

interface RunButtonsProps {
  run: PackingRun;
  onStart: () => void;
  onTake: () => void;
}

const RunButtons = ({ run: { state, best, cancel }, onStart, onTake }: RunButtonsProps) => (
  <Group gap="sm" my="sm">
    {state === 'running' ? (
      <Button variant="default" onClick={cancel}>
        Cancel
      </Button>
    ) : (
      <Button onClick={onStart}>{state === 'idle' ? 'Pack it' : 'Pack it again'}</Button>
    )}
    {best && state !== 'running' && (
      <>
        <Button variant="default" onClick={onTake}>
          Take this packing
        </Button>
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </>
    )}
  </Group>
);

const STEP_WORDS: Record<PackStep, string> = {
  first: 'A first complete packing',
  openings: 'Fewest openings',
  height: 'Least height of the rows with cables',
  sizes: 'Fewest block sizes',
  spare: 'Spare share',
  largest: 'Largest spare blocks',
};

function RunSteps({
  run: { state, steps, best, problem },
  wantedPct,
}: {
  run: PackingRun;
  wantedPct: number;
}) {
  return (
    <>
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      <ol aria-live="polite">
        {steps.map(({ step, packing, ms }, i) => (
          <li key={i}>
            {STEP_WORDS[step]}: {figure(packing.cableRowsHeightMm, 0)} mm of rows with cables,{' '}
            {count(packing.openingsUsed, 'opening')}, {count(packing.sizesUsed, 'size')},{' '}
            {figure(packing.sparePct, 1)} % spare
            {packing.provenBest && ', proven best'} <small className="quiet">{figure(ms / 1000, 1)} s</small>
          </li>
        ))}
      </ol>
      {state === 'running' && <p role="status">Looking for better…</p>}
      {state === 'cancelled' && best && <p role="status">Cancelled; the best so far stands.</p>}
      {state === 'done' && best && best.sparePct < wantedPct - 1e-6 && (
        <p role="status" className="tone-close">
          {figure(wantedPct, 1)} % spare cannot be had; {figure(best.sparePct, 1)} % is the most.
        </p>
      )}
    </>
  );
}
