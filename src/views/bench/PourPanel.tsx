import { Button, Group } from '@mantine/core';
import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { useState } from 'react';
import { now } from '../../client/clock';
import { KINDS } from '../../core/kinds/kinds';
import type { Id, Pour } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { clocksOf } from '../../core/rulebook/judge-pour';
import { compoundFill } from '../../core/gland/compound';
import { count, figure, moment } from '../../core/words/en/format';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { give } from '../hand/give';

const PourForm = fetched(() => import('./PourForm'));

interface Props {
  dossier: Dossier;
  entry: Id;
  round: Id;
  sealed: boolean;
}

/** What was mixed and packed into the pot, with the clocks that follow, and the next mixing. */
export default function PourPanel({ dossier, entry, round, sealed }: Props) {
  const [open, setOpen] = useState(false);
  const kind = KINDS[dossier.entry.kind];
  if (kind.pot === 'none') return null;
  const what = kind.pot === 'resin' ? 'Resin' : 'Compound';
  const compound = dossier.certificate?.sheet.compound ?? null;
  return (
    <details className="bench-panel" open>
      <summary>
        {what}: {dossier.pours.length === 0 ? 'no mixing recorded' : count(dossier.pours.length, 'mixing')}
      </summary>
      <div>
        {compound && <Needed dossier={dossier} />}
        <ul>
          {dossier.pours.map((pour) => (
            <PourLine key={pour.id} pour={pour} dossier={dossier} round={round} sealed={sealed} />
          ))}
        </ul>
        {!compound && (
          <p>The sheet says nothing about a compound. Complete it under Dossier, Certificates.</p>
        )}
        {compound && !sealed && !open && (
          <Button variant="default" onClick={() => setOpen(true)}>
            Record a mixing
          </Button>
        )}
        <Later>
          {compound && open && <PourForm entry={entry} round={round} onDone={() => setOpen(false)} />}
        </Later>
        <p className="quiet">Gloves and goggles; keep to the data sheet.</p>
      </div>
    </details>
  );
}

/** How much has to be mixed for this cable. */
function Needed({ dossier: { size, cable, certificate } }: { dossier: Dossier }) {
  const pot = size?.pot;
  const compound = certificate?.sheet.compound;
  if (!pot || !cable || !compound) return null;
  const taken = cable.cores.reduce((sum, { count: n, diameterMm }) => sum + n * diameterMm ** 2, 0);
  if (taken >= pot.boreMm ** 2) return <p>The cores fill the whole pot: take a larger size.</p>;
  const fill = compoundFill(pot.boreMm, pot.depthMm, cable.cores, compound.wastePct, compound.packMl);
  return (
    <p>
      {compound.name}: {figure(fill.neededMl, 1)} ml with {compound.wastePct} % waste,{' '}
      {count(fill.packs, 'pack')} of {compound.packMl} ml, ratio {compound.ratio}; it fills{' '}
      {figure(fill.freePct, 0)} % of the pot. Not mixed below {compound.minimumC} °C.
    </p>
  );
}

interface PourLineProps {
  pour: Pour;
  dossier: Dossier;
  round: Id;
  sealed: boolean;
}

function PourLine({ pour, dossier, round, sealed }: PourLineProps) {
  const compound = dossier.certificate?.sheet.compound;
  const clocks = compound ? clocksOf(compound, pour) : null;
  return (
    <li>
      Batch {pour.batch ?? 'unknown'}, expires {pour.expires ?? 'unknown'}; mixed {moment(pour.mixedAt)} at{' '}
      {pour.temperatureC === null ? 'an unknown temperature' : `${figure(pour.temperatureC, 1)} °C`},{' '}
      {pour.packedAt ? `packed ${moment(pour.packedAt)}` : 'not packed yet'}.{' '}
      {clocks && (
        <>
          Stiff at {moment(clocks.stiffAt)}
          {clocks.lookAt && `, look from ${moment(clocks.lookAt)}`}
          {clocks.energiseAt && `, energise from ${moment(clocks.energiseAt)}`}.{' '}
        </>
      )}
      {pour.lookedAt ? `Looked at ${moment(pour.lookedAt)}.` : 'Not looked at yet.'}
      {pour.round === round && !sealed && <PourLater pour={pour} />}
    </li>
  );
}

/** What is said of a mixing later on: the lowest temperature, and the look. */
function PourLater({ pour }: { pour: Pour }) {
  const lowest = useMeasure('temperature', pour.lowestC);
  const keep = () => {
    const value = lowest.need();
    if (value === null) return;
    give('pour.edit', { id: pour.id, set: { lowestC: value } }, 'The lowest temperature is kept.');
  };
  return (
    <Group component="span" gap={6}>
      <MeasureInput label="Lowest since packing" {...fieldOf(lowest)} />
      <Button variant="default" onClick={keep}>
        Keep
      </Button>
      {pour.lookedAt === null && (
        <Button
          variant="default"
          onClick={() => give('pour.edit', { id: pour.id, set: { lookedAt: now() } }, 'The look is kept.')}
        >
          Opened and looked at now
        </Button>
      )}
    </Group>
  );
}
