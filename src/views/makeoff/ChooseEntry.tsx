import { useMemo, type ReactNode } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { ListTable } from '../../ui/list/ListTable';
import { FarTable } from '../../ui/list/FarTable';
import { listed, naturally, type FarSource } from '../../ui/list/source';
import { farEntries } from '../hand/FarEntries';

interface ChooseEntryProps {
  slice: Slice;
  site: Id;
  onOpen: (id: Id) => void;
}

/** Which entry is made off. */
export default function ChooseEntry(props: ChooseEntryProps) {
  return (
    <Choosing>
      <Near {...props} />
    </Choosing>
  );
}

function Near({ slice, site, onOpen }: ChooseEntryProps) {
  const entries = slice
    .by('entry', 'site', site)
    .map(({ id, enclosure, label, kind, cable }) => ({
      id,
      title: `${slice.get('enclosure', enclosure)?.tag ?? '?'}, entry ${label}`,
      what: `${kindTitle(kind)}, ${cable ? `cable ${slice.get('cable', cable)?.tag ?? '?'}` : 'cable not recorded'}`,
    }))
    .sort((a, b) => naturally(a.title, b.title));
  const source = listed(entries, {
    key: ({ id }) => id,
    words: ({ title, what }) => `${title} ${what}`,
  });
  return <ListTable {...TABLE} source={source} onOpen={onOpen} />;
}

/** The same of a site that is too large to lie on a device. */
export function FarChooseEntry(props: ChooseEntryProps) {
  const { site, onOpen } = props;
  const source = useMemo(() => farLines(site), [site]);
  return (
    <Choosing>
      <FarTable
        {...TABLE}
        start={{ sort: 'tag' }}
        source={source}
        onOpen={onOpen}
        near={<Near {...props} />}
      />
    </Choosing>
  );
}

const Choosing = ({ children }: { children: ReactNode }) => (
  <main id="main" className="work" tabIndex={-1}>
    <h1>Make off an entry</h1>
    <p>
      This cable, that hole: choose the entry. Its plan says what to slip on, where to cut and how far to
      close.
    </p>
    {children}
  </main>
);

/** An entry that may be made off, in words. */
interface Line {
  id: Id;
  title: string;
  what: string;
}

const TABLE = {
  label: 'Entries',
  search: 'Enclosure, kind or cable',
  placeholder: 'for example AX-31 or barrier',
  columns: [
    { id: 'title', title: 'Entry', cell: ({ title }: Line) => <b>{title}</b> },
    { id: 'what', title: 'What it is', cell: ({ what }: Line) => what },
  ],
  keyOf: ({ id }: Line) => id,
  empty: <p>No entry yet. Entries are made under Dossier.</p>,
};

function farLines(site: Id): FarSource<Line> {
  const { version, ask } = farEntries(site, {});
  return {
    version,
    ask: async (...asked) => {
      const page = await ask(...asked);
      return { ...page, rows: page.rows.map(({ id, title, words }) => ({ id, title, what: words })) };
    },
  };
}
