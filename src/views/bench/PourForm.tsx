import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import { now } from '../../client/clock';
import type { Id } from '../../core/record/types';
import { useAskBeforeLeaving } from '../../ui/leaving';
import { fieldOf, useMeasure } from '../../ui/measure';
import { FieldGrid } from '../../ui/FieldGrid';
import { MeasureInput } from '../../ui/MeasureInput';
import { device } from '../hand/hand';
import { tryGive } from '../hand/give';

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

interface PourFormProps {
  entry: Id;
  round: Id;
  onDone: () => void;
}

/** What was mixed and packed, and when. */
export default function PourForm(props: PourFormProps) {
  const { form, temperature, problem, save } = usePourForm(props);
  const justNow = () => {
    if (form.getValues().mixedAt === '') form.setFieldValue('mixedAt', local(now()));
    form.setFieldValue('packedAt', local(now()));
  };
  return (
    <form noValidate onSubmit={form.onSubmit(save)}>
      <FieldGrid min={180} fit>
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
          <Button variant="default" onClick={props.onDone}>
            Cancel
          </Button>
        </div>
      </FieldGrid>
    </form>
  );
}

function usePourForm({ entry, round, onDone }: PourFormProps) {
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
  return { form, temperature, problem, save };
}
