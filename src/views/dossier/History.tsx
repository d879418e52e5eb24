import { useEffect, useState } from 'react';
import { api } from '../../client/api';
import type { Change } from '../../core/record/types';
import { day } from '../../core/words/format';

/** What happened to a record: who changed it when, and values that lost against later ones. */
export function History({ site, record, rev }: { site: string; record: string; rev: string | undefined }) {
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
      <ul>
        {changes?.map(({ id, at, by, kind, undone, lost }) => (
          <li key={id}>
            {day(at)}, {by}: {kind}
            {undone ? ', undone' : ''}
            {lost
              .filter((value) => value.id === record)
              .map(({ field, value }) => `; ${field} was ${JSON.stringify(value)}`)
              .join('')}
          </li>
        ))}
      </ul>
    </section>
  );
}
