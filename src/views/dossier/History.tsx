import { useEffect, useState } from 'react';
import { api } from '../../client/api';
import type { Change } from '../../core/record/types';
import { historyOf } from '../../core/words/en/history';
import { HistoryList } from '../judging/HistoryList';
import { useDevice } from '../hand/hand';
import type { DossierTable } from '../../core/commands/commands';
import type { Field } from './fields';

/** What happened to a record: who changed what, from what, to what, and values that did not stand. */
export function History({
  table,
  site,
  record,
  rev,
  fields,
}: {
  table: DossierTable;
  site: string;
  record: string;
  rev: string | undefined;
  fields: readonly Field[];
}) {
  const { slice } = useDevice();
  const [changes, setChanges] = useState<Change[] | null>(null);
  useEffect(() => {
    let gone = false;
    api
      .history(site, record)
      .then((found) => !gone && setChanges(found))
      .catch(() => !gone && setChanges(null));
    return () => {
      gone = true;
    };
  }, [site, record, rev]);
  return (
    <section className="record-history">
      <h2>History</h2>
      {changes === null && <p className="quiet">The history is shown when the server can be reached.</p>}
      {changes && (
        <HistoryList
          lines={historyOf(changes, record, slice.get(table, record), (path) => {
            const title = titleIn(fields, path);
            return title ? { title } : null;
          })}
        />
      )}
    </section>
  );
}

/** The title of the field at a path, with those of the groups and lines that it stands in. */
function titleIn(fields: readonly Field[], path: string): string | null {
  for (const field of fields) {
    if (field.path === path) return field.title;
    if (!path.startsWith(`${field.path}.`)) continue;
    const rest = path.slice(field.path.length + 1);
    if (field.type === 'group') return join(field.title, titleIn(field.fields, rest));
    if (field.type !== 'list') continue;
    const [index, ...inner] = rest.split('.');
    const line = `${field.title}, line ${Number(index) + 1}`;
    return inner.length === 0 ? line : join(line, titleIn(field.fields, inner.join('.')));
  }
  return null;
}

const join = (outer: string, inner: string | null): string => (inner ? `${outer}: ${inner}` : outer);
