import { NavLink } from '@mantine/core';
import '@mantine/core/styles/NavLink.layer.css';
import type { ReactNode } from 'react';
import './list.css';
import { ListFilters } from './ListFilters';
import type { Source } from './source';
import { useList, type Filter } from './use-list';

interface SideListProps<R> {
  label: string;
  source: Source<R>;
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
export function SideList<R>(props: SideListProps<R>) {
  const { label, source, filters = [], keyOf, current, onOpen, mark, empty, children } = props;
  const list = useList(source);
  return (
    <aside className="side-list beside" aria-label={label}>
      <ListFilters list={list} search={props.search} placeholder={props.placeholder} filters={filters} />
      {list.of === 0 && empty}
      {list.of !== 0 && list.matching === 0 && <p>Nothing matches. Clear the search.</p>}
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
