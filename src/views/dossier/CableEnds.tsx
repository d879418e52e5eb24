import { Button, Group, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { api } from '../../client/api';
import type { SheetsPreview } from '../../core/bulk/preview';
import { KIND_IDS } from '../../core/record/kind-ids';
import type { Id } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { TaskBar } from '../frame/TaskBar';
import { ImportRows } from './ImportRows';
import { takeTogether } from './take-together';
import { usePreview } from './use-preview';

/** Makes an entry for each cable end that has none, in the enclosures that the schedule names. */
export default function CableEnds({ site }: { site: Id }) {
  const [kind, setKind] = useState('');
  const [error, setError] = useState('');
  const [taking, setTaking] = useState(false);
  const { preview, problem, task, run, cancel, forget, fail } = usePreview();
  const look = () => {
    if (!kind) return setError('Say which kind of entry they are; each can be changed later.');
    void run((asking) => api.previewEnds(site, kind, asking));
  };
  const take = async ({ items }: SheetsPreview) => {
    setTaking(true);
    const why = await takeTogether(site, 'cable ends', items, `${count(items.length, 'entry', 'entries')} for cable ends ${items.length === 1 ? 'is' : 'are'} made.`); // prettier-ignore
    setTaking(false);
    if (why === null) forget();
    else fail(`Nothing was made: ${why}`);
  };
  return (
    <section className="import" aria-label="Entries for cable ends">
      <h2>An entry for every cable end</h2>
      <p>Where a cable’s “from” or “to” is the tag of an enclosure and no entry there has the cable yet.</p>
      <Group align="flex-start" gap="sm">
        <NativeSelect
          label="Kind of the new entries"
          value={kind}
          error={error}
          data={[{ value: '', label: 'choose' }, ...KIND_IDS.map((id) => ({ value: id, label: kindTitle(id) }))]}
          onChange={(event) => {
            setKind(event.currentTarget.value);
            setError('');
            forget();
          }}
        />
        <Button mt={27} variant="default" onClick={look}>
          Look for them
        </Button>
      </Group>
      {task && <TaskBar task={task} words="Looking at the cables" onCancel={cancel} />}
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      {preview && (
        <>
          <ImportRows preview={preview} name="cable ends" />
          {preview.items.length > 0 ? (
            <Button mt="md" loading={taking} onClick={() => void take(preview)}>
              Make {count(preview.items.length, 'entry', 'entries')}
            </Button>
          ) : (
            <p>Every cable end that names an enclosure has its entry.</p>
          )}
        </>
      )}
    </section>
  );
} // prettier-ignore
