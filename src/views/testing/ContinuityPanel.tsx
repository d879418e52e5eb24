import { FieldGrid } from '../../ui/FieldGrid';
import { Button, NativeSelect } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Cable, Continuity } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { useAskBeforeLeaving } from '../../ui/leaving';
import { device } from '../hand/hand';
import { give } from '../hand/give';

interface ContinuityPanelProps {
  slice: Slice;
  cable: Cable;
  /** A tracing before this time does not count any more, ISO 8601. */
  since?: string;
}

/** Which conductor is which at both ends: the sleeve at the far end that a conductor comes out under. */
export function ContinuityPanel({ slice, cable, since = '' }: ContinuityPanelProps) {
  const traced = slice
    .by('continuity', 'cable', cable.id)
    .filter(({ at }) => at >= since)
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .at(-1);
  const [again, setAgain] = useState(false);
  return (
    <section aria-label="Continuity and sleeves" className="continuity">
      <h3>Continuity and sleeves, end to end</h3>
      {traced && <Traced names={cable.mineral!.conductors} traced={traced} />}
      {!traced || again ? (
        <TracingForm cable={cable} onDone={() => setAgain(false)} />
      ) : (
        <Button variant="default" onClick={() => setAgain(true)}>
          Trace them again
        </Button>
      )}
    </section>
  );
}

function Traced({ names, traced }: { names: readonly string[]; traced: Continuity }) {
  return (
    <>
      <ul>
        {names.map((name) => {
          const out = traced.found.find(({ near }) => near === name)?.far;
          return (
            <li key={name} className={out === name ? '' : 'tone-failed'}>
              {name}: {outWords(name, out)}
            </li>
          );
        })}
      </ul>
      <p className="quiet">
        {traced.by}, {day(traced.at)}
      </p>
    </>
  );
}

function outWords(name: string, out: string | null | undefined): string {
  if (out === undefined) return 'not traced';
  if (out === null) return 'nothing comes through';
  return out === name ? 'comes out under its own sleeve' : `comes out as ${out}: crossed`;
}

/** What the form says where nothing comes through. */
const NOTHING = '–';

function TracingForm({ cable, onDone }: { cable: Cable; onDone: () => void }) {
  const names = cable.mineral!.conductors;
  const form = useForm<Record<string, string>>({
    mode: 'controlled',
    initialValues: Object.fromEntries(names.map((name) => [name, ''])),
    validate: Object.fromEntries(
      names.map((name) => [
        name,
        (far: string) => (far === '' ? 'Trace it, and say under which sleeve it comes out.' : null),
      ]),
    ),
  });
  useAskBeforeLeaving(form.isDirty());
  const keep = (far: Record<string, string>) => {
    const found = names.map((near) => ({ near, far: far[near] === NOTHING ? null : far[near]! }));
    if (give('continuity.record', { id: device.id(), cable: cable.id, found }, 'The tracing is kept.'))
      onDone();
  };
  return (
    <form noValidate onSubmit={form.onSubmit(keep)}>
      <FieldGrid className="mineral-fields" min={220} gap="10px 16px">
        {names.map((name) => (
          <NativeSelect
            key={name}
            label={`${name} comes out at the far end as`}
            data={[
              { value: '', label: 'not traced yet' },
              ...names,
              { value: NOTHING, label: 'nothing comes through' },
            ]}
            {...form.getInputProps(name)}
          />
        ))}
      </FieldGrid>
      <Button type="submit">Keep the tracing</Button>
    </form>
  );
}
