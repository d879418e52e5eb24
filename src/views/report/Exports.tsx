import { Button, Group, Text } from '@mantine/core';
import { useRef, useState } from 'react';
import { ApiError, exportAddress, fetchExport } from '../../client/api';
import type { Id } from '../../core/record/types';
import { device } from '../hand/hand';
import { TaskBar } from '../frame/TaskBar';

/** Files that can be made of a site, and what is in each. */
const FILES: readonly (readonly [name: string, title: string, what: string])[] = [
  ['findings.csv', 'Findings, as a table', 'a line for each check of each entry, with figures, basis, date, inspector and instrument'],
  ['findings.json', 'Findings, for another program', 'the same with every fact by its name'],
  ['defects.csv', 'Defects, as a table', 'level, owner, what has to be done, due, state'],
  ['defects.json', 'Defects, for another program', 'the same, with photos by their names'],
  ['sizes.csv', 'Sizes of every certificate, as a table', 'seal ranges, clamping, threads; it can be edited and imported again'],
  ['site.json', 'The whole site', 'dossier, readings, looks, sealed records and defects in the open format'],
]; // prettier-ignore

/** What can be taken out of a site: each is made on the server, with how far it is, and can be cancelled. */
export function Exports({ site }: { site: Id }) {
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
    <section aria-label="Files">
      <ul className="bare files">
        {FILES.map(([name, title, what]) => (
          <ExportLine
            key={name}
            site={site}
            name={name}
            title={title}
            what={what}
            onMake={() => void make(name)}
          />
        ))}
      </ul>
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

interface ExportLineProps {
  site: Id;
  name: string;
  title: string;
  what: string;
  onMake: () => void;
}

/** One file: its button is a link, so that it can be copied and saved as one. */
const ExportLine = ({ site, name, title, what, onMake }: ExportLineProps) => (
  <Group component="li" gap="4px 16px" py="xs">
    <Button
      component="a"
      variant="default"
      w={300}
      maw="100%"
      href={exportAddress(site, name)}
      download
      onClick={(event) => {
        event.preventDefault();
        onMake();
      }}
    >
      {title}
    </Button>
    <Text component="span" c="dimmed" flex="1 1 300px">
      {what} <span className="figures">{name}</span>
    </Text>
  </Group>
);

/** Hands a file to the browser, as a link would. */
function save(file: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
