import { DropArea } from '../../ui/DropArea';
import { FileChoice } from '../../ui/FileChoice';
import { Button, NativeSelect } from '@mantine/core';
import { useRef, useState } from 'react';
import { count } from '../../core/words/en/format';
import { api, ApiError, type ImportPreview } from '../../client/api';
import type { ImportItem } from '../../core/commands/commands';
import { device } from '../hand/hand';
import { give } from '../hand/give';
import { TaskBar } from './TaskBar';

const KINDS = {
  certificate: {
    title: 'Certificate with its assembly sheet (JSON)',
    accept: '.json,application/json',
    what: 'certificate',
  },
  sizes: { title: 'Sizes of certificates on file (CSV)', accept: '.csv,text/csv', what: 'sizes' },
} as const;

type ImportKind = keyof typeof KINDS;
const ALL = Object.keys(KINDS) as ImportKind[];

/** Takes a file in: shows what it would change, row by row, before anything is changed. */
export default function ImportPanel({ site, kinds = ALL }: { site: string; kinds?: readonly ImportKind[] }) {
  const [kind, setKind] = useState<ImportKind>(kinds[0]!);
  const { name, preview, problem, reading, read, forget, cancel } = useReading(site, kind);
  const take = () => {
    if (!preview) return;
    const items = preview.items as ImportItem[];
    const done = `${count(items.length, 'record')} from ${name} ${items.length === 1 ? 'is' : 'are'} taken in.`;
    if (give('dossier.import', { source: name, items }, done)) forget();
  };
  return (
    <section className="import" aria-label="Certificates">
      <h2>Certificates and their sizes</h2>
      <NativeSelect
        mb="xs"
        label="What the file holds"
        value={kind}
        data={kinds.map((id) => ({ value: id, label: KINDS[id].title }))}
        onChange={(event) => {
          setKind(event.currentTarget.value as ImportKind);
          forget();
        }}
      />
      <DropArea onFile={(file) => void read(file)}>
        <FileChoice
          title="Choose the file"
          accept={KINDS[kind].accept}
          onFiles={([file]) => void read(file!)}
        />
      </DropArea>
      {reading && <TaskBar task={reading} words={`Reading ${name}`} onCancel={cancel} />}
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      {preview && <Preview preview={preview} name={name} onTake={take} />}
    </section>
  );
}

/** Reads a file on the server, which says what it would change. */
function useReading(site: string, kind: ImportKind) {
  const [name, setName] = useState('');
  const [preview, setPreview] = useState<ImportPreview | null>(null);
  const [problem, setProblem] = useState('');
  const [reading, setReading] = useState<string | null>(null);
  const abort = useRef<AbortController | null>(null);
  const forget = () => setPreview(null);
  const read = async (file: File) => {
    setName(file.name);
    forget();
    setProblem('');
    const task = device.id();
    setReading(task);
    abort.current = new AbortController();
    try {
      setPreview(await api.previewImport(site, kind, file, task, abort.current.signal));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setProblem(abort.current.signal.aborted ? 'The reading of the file was cancelled.' : error.message);
    } finally {
      setReading(null);
    }
  };
  return { name, preview, problem, reading, read, forget, cancel: () => abort.current?.abort() };
}

const ACTIONS = { add: 'new', change: 'changed', same: 'as on file' } as const;

function Preview({ preview, name, onTake }: { preview: ImportPreview; name: string; onTake: () => void }) {
  const { faults, rows, items } = preview;
  if (faults.length > 0) {
    return (
      <div role="alert">
        <p>
          <b>Nothing is taken from {name}.</b> Mend these and choose the file again:
        </p>
        <ul className="faults">
          {faults.map(({ row, field, message }, i) => (
            <li key={i}>
              {row === null ? '' : `Row ${row}, `}
              <b>{field}</b>: {message}
            </li>
          ))}
        </ul>
      </div>
    );
  }
  return (
    <>
      <p>
        {items.length === 0
          ? `${name} holds nothing that is not on file.`
          : `${name} would change ${items.length} of ${rows.length}:`}
      </p>
      <ul className="preview">
        {rows.map(({ row, what, action, fields }) => (
          <li key={row}>
            <b>{what}</b> {ACTIONS[action]} <span className="quiet">{fields.join(', ')}</span>
          </li>
        ))}
      </ul>
      {items.length > 0 && <Button onClick={onTake}>Take them in</Button>}
    </>
  );
}
