import { useRef, useState } from 'react';
import { ApiError, exportAddress, fetchExport } from '../../client/api';
import type { Id } from '../../core/record/types';
import { device } from '../hand/hand';
import { TaskBar } from '../frame/TaskBar';

const NAMES = ['findings.csv', 'findings.json', 'defects.csv', 'defects.json', 'sizes.csv', 'site.json'];

/** What can be taken out of a site: each is made on the server, with how far it is, and can be cancelled. */
export function ExportPanel({ site }: { site: Id }) {
  const [making, setMaking] = useState<{ name: string; task: string } | null>(null);
  const [problem, setProblem] = useState('');
  const abort = useRef<AbortController | null>(null);

  const make = async (name: string) => {
    abort.current?.abort();
    const own = new AbortController();
    abort.current = own;
    setProblem('');
    const task = device.id();
    setMaking({ name, task });
    try {
      save(await fetchExport(site, name, task, own.signal), `${site}-${name}`);
    } catch (error) {
      if (!own.signal.aborted) setProblem(error instanceof ApiError ? error.message : String(error));
    }
    if (abort.current === own) setMaking(null);
  };
  return (
    <section>
      <h2>Export</h2>
      {NAMES.map((name) => (
        <a
          key={name}
          className="export"
          href={exportAddress(site, name)}
          download
          onClick={(event) => {
            event.preventDefault();
            void make(name);
          }}
        >
          {name}
        </a>
      ))}
      {making && (
        <TaskBar
          task={making.task}
          words={`Making ${making.name}`}
          onCancel={() => {
            abort.current?.abort();
            setMaking(null);
          }}
        />
      )}
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
    </section>
  );
}

/** Hands a file to the browser, as a link would. */
function save(file: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
