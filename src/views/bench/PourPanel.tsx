import { fieldOf, useMeasure } from '../../ui/measure';
import { MeasureInput } from '../../ui/MeasureInput';
import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useAskBeforeLeaving } from '../../ui/leaving';
import { useState } from 'react';
import { now } from '../../client/clock';
import { KINDS } from '../../core/kinds/kinds';
import type { Id, Pour } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { clocksOf } from '../../core/rulebook/judge-pour';
import { compoundFill } from '../../core/gland/compound';
import { count, figure } from '../../core/words/en/format';
import { device } from '../hand/hand';
import { give, tryGive } from '../hand/give';

interface Props {
  dossier: Dossier;
  entry: Id;
  round: Id;
  sealed: boolean;
}

/** What was mixed and packed into the pot, with the clocks that follow, and the next mixing. */
export function PourPanel({ dossier, entry, round, sealed }: Props) {
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
        {compound && open && <PourForm entry={entry} round={round} onDone={() => setOpen(false)} />}
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

const moment = (iso: string) =>
  new Date(iso).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

function PourLine({
  pour,
  dossier,
  round,
  sealed,
}: {
  pour: Pour;
  dossier: Dossier;
  round: Id;
  sealed: boolean;
}) {
  const lowest = useMeasure('temperature', pour.lowestC);
  const compound = dossier.certificate?.sheet.compound;
  const clocks = compound ? clocksOf(compound, pour) : null;
  const own = pour.round === round;
  const keep = () => {
    const value = lowest.need();
    if (value === null) return;
    give('pour.edit', { id: pour.id, set: { lowestC: value } }, 'The lowest temperature is kept.');
  };
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
      {own && !sealed && (
        <span className="look-foot">
          <MeasureInput label="Lowest since packing" {...fieldOf(lowest)} />
          <Button variant="default" onClick={keep}>
            Keep
          </Button>
          {pour.lookedAt === null && (
            <Button
              variant="default"
              onClick={() =>
                give('pour.edit', { id: pour.id, set: { lookedAt: now() } }, 'The look is kept.')
              }
            >
              Opened and looked at now
            </Button>
          )}
        </span>
      )}
    </li>
  );
}

const local = (iso: string) => {
  const at = new Date(iso);
  at.setMinutes(at.getMinutes() - at.getTimezoneOffset());
  return at.toISOString().slice(0, 16);
};

/** What is typed of a mixing; nothing of it is assumed. */
interface PourDraft {
  batch: string;
  expires: string;
  ratio: string;
  mixedAt: string;
  packedAt: string;
}

const whenFault = (what: string) => (at: string) => (at === '' ? `Say when it was ${what}.` : null);

function PourForm({ entry, round, onDone }: { entry: Id; round: Id; onDone: () => void }) {
  const form = useForm<PourDraft>({
    mode: 'controlled',
    initialValues: { batch: '', expires: '', ratio: '', mixedAt: '', packedAt: '' },
    validate: { mixedAt: whenFault('mixed'), packedAt: whenFault('packed') },
    validateInputOnChange: ['mixedAt', 'packedAt'],
  });
  const temperature = useMeasure('temperature');
  const [problem, setProblem] = useState('');
  useAskBeforeLeaving(form.isDirty());
  const save = ({ batch, expires, ratio, mixedAt, packedAt }: PourDraft) => {
    if (temperature.faulty) return void temperature.need();
    const given = tryGive(
      'pour.record',
      {
        id: device.id(),
        entry,
        round,
        batch: batch.trim() || null,
        expires: expires || null,
        ratioKept: ratio === '' ? null : ratio === 'yes',
        mixedAt: new Date(mixedAt).toISOString(),
        packedAt: new Date(packedAt).toISOString(),
        temperatureC: temperature.value,
        lowestC: null,
        lookedAt: null,
      },
      'The mixing is kept.',
    );
    if (typeof given === 'string') return onDone();
    if (given.field === 'packedAt' || given.field === 'mixedAt')
      form.setFieldError(given.field, given.message);
    else setProblem(given.message);
  };
  const justNow = () => {
    if (form.getValues().mixedAt === '') form.setFieldValue('mixedAt', local(now()));
    form.setFieldValue('packedAt', local(now()));
  };
  return (
    <form className="pour-form" noValidate onSubmit={form.onSubmit(save)}>
      <TextInput label="Batch on the label" maxLength={60} {...form.getInputProps('batch')} />
      <TextInput type="date" label="Expires" {...form.getInputProps('expires')} />
      <NativeSelect
        label="Ratio of the sheet kept"
        data={[{ value: '', label: 'not recorded' }, 'yes', 'no']}
        {...form.getInputProps('ratio')}
      />
      <TextInput type="datetime-local" label="Mixed at" {...form.getInputProps('mixedAt')} />
      <TextInput type="datetime-local" label="Packed at" {...form.getInputProps('packedAt')} />
      <Button variant="default" onClick={justNow}>
        Packed just now
      </Button>
      <MeasureInput label="Temperature at mixing" {...fieldOf(temperature)} />
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      <div>
        <Button type="submit">Keep the mixing</Button>{' '}
        <Button variant="default" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
