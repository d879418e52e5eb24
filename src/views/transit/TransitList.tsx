import { standingState } from '../../core/record/standing';
import type { EntryState } from '../../core/record/finding';
import type { Slice } from '../../core/record/slice';
import type { Entry, Id } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { listed, naturally } from '../../ui/list/source';
import { SideList } from '../../ui/list/SideList';
import { useStatuses } from '../hand/hand';

interface TransitListProps {
  slice: Slice;
  entries: readonly Entry[];
  current: Id | null;
  onOpen: (id: Id) => void;
}

/** Every transit of the site, with where it stands. */
export function TransitList({ slice, entries, current, onOpen }: TransitListProps) {
  const statusOf = useStatuses();
  const rows = entries
    .map((entry) => {
      const status = statusOf(entry.id);
      const state: EntryState = status ? standingState(status) : 'incomplete';
      const box = slice.get('enclosure', entry.enclosure);
      return { entry, tag: box?.tag ?? '', what: box?.what ?? '', state };
    })
    .sort((a, b) => naturally(`${a.tag} ${a.entry.label}`, `${b.tag} ${b.entry.label}`));
  const source = listed(rows, {
    key: ({ entry }) => entry.id,
    words: ({ entry, tag, what }) => `${tag} ${entry.label} ${what} ${kindTitle(entry.kind)}`,
    only: { state: ({ state }, value) => state === value },
  });
  return (
    <SideList
      label="Transits"
      source={source}
      search="Wall, deck or kind"
      filters={[
        { id: 'state', label: 'Show', options: [['', 'every transit'], ...Object.entries(STATE_WORDS)] },
      ]}
      keyOf={({ entry }) => entry.id}
      current={current}
      onOpen={onOpen}
      mark={({ state }) => <SealGlyph state={glyphOfState(state)} label={STATE_WORDS[state]} />}
      title={({ tag, entry }) => `${tag}, entry ${entry.label}`}
      beside={({ entry, what }) => `${kindTitle(entry.kind)}; ${what}`}
    />
  );
}
