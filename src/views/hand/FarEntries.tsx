import { useMemo, useRef, useState, type ReactNode } from 'react';
import { lists } from '../../client/lists';
import type { KindId } from '../../core/record/kind-ids';
import { standingState } from '../../core/record/standing';
import type { EntryRow } from '../../core/programme/lists';
import type { Id } from '../../core/record/types';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { Away } from '../../ui/list/Away';
import { SideListing } from '../../ui/list/SideList';
import type { FarSource } from '../../ui/list/source';
import { useFarList } from '../../ui/list/use-far-list';
import { device } from './hand';

interface FarEntriesProps {
  site: Id;
  label: string;
  search: string;
  /** Kinds that are listed. */
  kinds: readonly KindId[];
  current: Id | null;
  /** The entry is on this device by then, where the server could be had. */
  onOpen: (id: Id) => void;
  /** The same of what is on this device, while the server is away. */
  children: ReactNode;
}

/** Entries of a site that is too large to lie on a device, asked of the server: what is opened comes along first. */
export default function FarEntries({ site, label, search, kinds, current, onOpen, children }: FarEntriesProps) {
  const source = useMemo(() => farEntries(site, { kind: kinds }), [site, kinds]);
  const list = useFarList(source, { sort: 'tag' });
  const [fetching, setFetching] = useState<Id | null>(null);
  const wanted = useRef<Id | null>(null);
  const open = (id: Id) => {
    wanted.current = id;
    setFetching(id);
    const there = () => {
      // Who has pressed another one since waits for that.
      if (wanted.current !== id) return;
      setFetching(null);
      onOpen(id);
    };
    // What cannot be had says so where it is opened.
    if (device.along.isHere(id)) there();
    else device.along.take({ entries: [id] }).then(there, there);
  };
  if (list.problem !== null)
    return (
      <div>
        <Away list={list} />
        {children}
      </div>
    );
  return (
    <SideListing
      label={label}
      list={list}
      search={search}
      filters={[{ id: 'state', label: 'Show', options: [['', 'every state'], ...Object.entries(STATE_WORDS)] }]}
      keyOf={({ id }) => id}
      current={fetching ?? current}
      onOpen={open}
      mark={({ status }) => <SealGlyph state={glyphOfState(standingState(status))} label={STATE_WORDS[standingState(status)]} />}
      title={({ title }) => title}
      beside={({ id, words }) => (id === fetching ? 'Fetching …' : words)}
    />
  );
} // prettier-ignore

/** What narrows a list of entries down, beside its own search and filters. */
interface Only {
  state?: string | null;
  area?: Id | null;
  kind?: readonly KindId[];
}

/**
 * The list of entries as the server has it.
 *
 * @param version another word asks again
 */
export const farEntries = (site: Id, only: Only, version = 0): FarSource<EntryRow> => ({
  version: JSON.stringify({ ...only, version }),
  ask: async ({ text, only: filters, sort }, after, signal) => {
    const { state = '', due = '' } = filters;
    const asked = { ...only, state: only.state ?? state, due, q: text, sort, after };
    const { rows, next, matching, judging } = await lists.entries(site, asked, signal);
    return { rows, next, matching: matching ?? 0, of: null, unsettled: judging > 0 };
  },
});
