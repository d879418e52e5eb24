import { NavLink } from '@mantine/core';
import '@mantine/core/styles/NavLink.layer.css';
import type { ReactNode } from 'react';
import './list.css';
import { ListFilters } from './ListFilters';
import type { Source } from './source';
import { useList, type Filter, type List } from './use-list';

/** What a side list shows, wherever it comes from. */
export interface SideProps<R> {
  label: string;
  search: string;
  placeholder?: string;
  filters?: readonly Filter[];
  keyOf: (row: R) => string;
  /** Key of the row that is open; null for none. */
  current: string | null;
  onOpen: (key: string) => void;
  mark?: (row: R) => ReactNode;
  title: (row: R) => ReactNode;
  beside: (row: R) => ReactNode;
  /** What to do first, where there is nothing at all. */
  empty?: ReactNode;
  children?: ReactNode;
}

/** A list at the side of a view: search, filters, and what is opened beside it. */
export function SideList<R>({ source, ...props }: SideProps<R> & { source: Source<R> }) {
  return <SideListing {...props} list={useList(source)} />;
}

/** A list that is followed already, at the side of a view. */
export function SideListing<R>(props: SideProps<R> & { list: List<R> }) {
  const { label, list, filters = [], keyOf, current, onOpen, mark, empty, children } = props;
  return (
    <aside className="side-list beside" aria-label={label} aria-busy={list.asking || undefined}>
      <ListFilters list={list} search={props.search} placeholder={props.placeholder} filters={filters} />
      {list.of === 0 && empty}
      {list.of !== 0 && list.matching === 0 && !list.asking && <p>Nothing matches. Clear the search.</p>}
      <div className="side-rows" onScroll={({ currentTarget: box }) => isNearEnd(box) && list.more()}>
        {list.rows.map((row) => (
          <NavLink
            key={keyOf(row)}
            component="button"
            active={keyOf(row) === current}
            aria-current={keyOf(row) === current ? 'page' : undefined}
            leftSection={mark?.(row)}
            label={props.title(row)}
            description={props.beside(row)}
            onClick={() => onOpen(keyOf(row))}
          />
        ))}
      </div>
      {children}
    </aside>
  );
}

/** How near its end a list fetches more, px. */
const NEAR_PX = 400;
const isNearEnd = ({
  scrollHeight,
  scrollTop,
  clientHeight,
  scrollWidth,
  scrollLeft,
  clientWidth,
}: Element) =>
  scrollHeight - scrollTop - clientHeight < NEAR_PX && scrollWidth - scrollLeft - clientWidth < NEAR_PX;
