import { useMemo, type ReactNode } from 'react';
import { lists } from '../../client/lists';
import type { Id } from '../../core/record/types';
import { FarTable } from '../../ui/list/FarTable';
import type { FarSource } from '../../ui/list/source';
import { farEntries } from '../hand/FarEntries';
import type { FarTableName } from './far';
import { FORMS } from './forms';

interface FarLine {
  id: Id;
  name: string;
  beside: string;
}

interface FarRecordsProps {
  table: FarTableName;
  site: Id;
  /** Counts what this device has given and heard: the list is asked again then. */
  version: number;
  onOpen: (id: Id) => void;
  /** The same of what is on this device. */
  near: ReactNode;
}

/** A table of a site that is too large to lie on a device: asked of the server, page by page. */
export default function FarRecords({ table, site, version, onOpen, near }: FarRecordsProps) {
  const form = FORMS[table];
  const source = useMemo(() => farLines(table, site, version), [table, site, version]);
  return (
    <FarTable
      className="records"
      label={form.title}
      source={source}
      near={near}
      start={{ sort: table === 'entry' ? 'tag' : '' }}
      search={`Search ${form.title.toLowerCase()}`}
      columns={[
        { id: 'name', title: 'Name', cell: ({ name }) => <b>{name}</b> },
        { id: 'beside', title: 'What it is', cell: ({ beside }) => beside },
      ]}
      keyOf={({ id }) => id}
      onOpen={onOpen}
      empty={<p className="empty">{form.empty}</p>}
    />
  );
} // prettier-ignore

function farLines(table: FarTableName, site: Id, seen: number): FarSource<FarLine> {
  if (table === 'entry') {
    const { version, ask } = farEntries(site, {}, seen);
    return {
      version,
      ask: async (...asked) => {
        const page = await ask(...asked);
        return { ...page, rows: page.rows.map(({ id, title, words }) => ({ id, name: title, beside: words })) };
      },
    };
  }
  const { name, beside } = FORMS[table];
  return {
    version: `${table} ${seen}`,
    ask: async ({ text }, after, signal) => {
      const { rows, next, matching } = await lists.named(site, table, { q: text, after }, signal);
      return {
        rows: rows.map((row) => ({ id: row.id, name: name(row as never), beside: beside(row as never) })),
        next,
        matching: matching ?? 0,
        of: null,
      };
    },
  };
} // prettier-ignore
