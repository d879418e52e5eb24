import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { ListTable } from '../../ui/list/ListTable';
import { listed, naturally } from '../../ui/list/source';

interface ChooseEntryProps {
  slice: Slice;
  site: Id;
  onOpen: (id: Id) => void;
}

/** Which entry is made off. */
export default function ChooseEntry({ slice, site, onOpen }: ChooseEntryProps) {
  const entries = slice
    .by('entry', 'site', site)
    .map(({ id, enclosure, label, kind, cable }) => ({
      id,
      title: `${slice.get('enclosure', enclosure)?.tag ?? '?'}, entry ${label}`,
      what: kindTitle(kind),
      cable: cable ? (slice.get('cable', cable)?.tag ?? '?') : 'not recorded',
    }))
    .sort((a, b) => naturally(a.title, b.title));
  const source = listed(entries, {
    key: ({ id }) => id,
    words: ({ title, what, cable }) => `${title} ${what} ${cable}`,
  });
  return (
    <main id="main" className="work" tabIndex={-1}>
      <h1>Make off an entry</h1>
      <p>
        This cable, that hole: choose the entry. Its plan says what to slip on, where to cut and how far to
        close.
      </p>
      <ListTable
        label="Entries"
        source={source}
        search="Enclosure, kind or cable"
        placeholder="for example AX-31 or barrier"
        columns={[
          { id: 'title', title: 'Entry', cell: ({ title }) => <b>{title}</b> },
          { id: 'what', title: 'What it is', cell: ({ what }) => what },
          { id: 'cable', title: 'Cable', cell: ({ cable }) => cable },
        ]}
        keyOf={({ id }) => id}
        onOpen={onOpen}
        empty={<p>No entry yet. Entries are made under Dossier.</p>}
      />
    </main>
  );
}
