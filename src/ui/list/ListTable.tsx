import { Button, Group, Table, Text, UnstyledButton } from '@mantine/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Fragment, memo, useEffect, useRef, type ReactNode } from 'react';
import './list.css';
import { ListFilters } from './ListFilters';
import type { Query, Source } from './source';
import { TOLD } from './told-size';
import { useList, type Filter, type List } from './use-list';

/** A column of a table. */
export interface Column<R> {
  id: string;
  title: string;
  cell: (row: R) => ReactNode;
  /** Whether the rows can be put in its order. */
  sorts?: boolean;
}

interface ListTableProps<R> extends TableProps<R> {
  source: Source<R>;
}

/** What a table shows of a list, wherever that comes from. */
export interface TableProps<R> {
  label: string;
  start?: Partial<Query>;
  /** Hears what is asked, where something beside the list follows it. */
  onQuery?: (query: Query) => void;
  search: string;
  placeholder?: string;
  filters?: readonly Filter[];
  /** The first names the row: it is what is pressed. */
  columns: readonly Column<R>[];
  keyOf: (row: R) => string;
  /** Where a row leads; or what it opens in place. */
  hrefOf?: (row: R) => string;
  onOpen?: (key: string) => void;
  open?: string | null;
  detail?: (row: R) => ReactNode;
  rowClass?: (row: R) => string;
  /** Beside search and filters. */
  beside?: ReactNode;
  /** What to do first, where there is nothing at all. */
  empty: ReactNode;
  className?: string;
}

/** Rows are about so high, px, until they have been measured. */
const ROW_PX = 56;

/** A list as a table: searched, filtered, sorted, page by page; only what is in view is drawn. */
export function ListTable<R>({ source, ...props }: ListTableProps<R>) {
  return <Listing {...props} list={useList(source, props.start, props.onQuery)} />;
}

/** A list that is followed already, as a table. */
export function Listing<R>(props: TableProps<R> & { list: List<R> }) {
  const { list, filters = [], empty } = props;
  const none = !list.asking && list.problem === null && list.matching === 0;
  const { text, only } = list.query;
  const all = text.trim() === '' && Object.values(only).every((value) => value === '');
  // Where nobody has counted, what is asked of everything says whether there is anything.
  const nothing = list.of === null ? all : list.of === 0;
  return (
    <section
      className={`list-table ${props.className ?? ''}`}
      aria-label={props.label}
      aria-busy={list.asking || undefined}
    >
      <ListFilters list={list} search={props.search} placeholder={props.placeholder} filters={filters}>
        <Text component="span" c="dimmed" mb="sm" role="status">
          {list.asking && list.rows.length === 0 ? 'asking …' : countWords(list)}
        </Text>
        {props.beside}
      </ListFilters>
      {list.problem !== null && <Problem list={list} />}
      {none && nothing && empty}
      {none && !nothing && <p className="empty">Nothing matches. Clear the search or a filter.</p>}
      {list.matching > 0 && <Rows {...props} />}
    </section>
  );
}

const countWords = ({ matching, of }: { matching: number; of: number | null }): string =>
  of === null ? `${matching} found` : `${matching} of ${of}`;

const Problem = <R,>({ list }: { list: List<R> }) => (
  <Group role="alert" gap="sm" mb="sm">
    <span className="tone-failed">{list.problem}</span>
    <Button variant="default" onClick={list.again}>
      Try again
    </Button>
  </Group>
);

function Rows<R>(props: TableProps<R> & { list: List<R> }) {
  const { list, columns, keyOf, hrefOf, onOpen, open, detail, rowClass } = props;
  const { rows } = list;
  const box = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- what it gives is used here alone, anew with each render
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    ...TOLD,
    getItemKey: (i) => keyOf(rows[i]!),
    overscan: 6,
  });
  const items = virtual.getVirtualItems();
  const end = items.at(-1)?.index ?? -1;
  useEffect(() => {
    if (end >= rows.length - 1) list.more();
  }, [end, rows.length]); // eslint-disable-line react-hooks/exhaustive-deps
  // What is open is on the screen, however far down it stands.
  const opened = props.open == null ? -1 : rows.findIndex((row) => keyOf(row) === props.open);
  useEffect(() => {
    if (opened >= 0) virtual.scrollToIndex(opened, { align: 'start' });
  }, [opened]); // eslint-disable-line react-hooks/exhaustive-deps
  const below = virtual.getTotalSize() - (items.at(-1)?.end ?? 0);
  return (
    <div className="list-box" ref={box}>
      <Table stickyHeader>
        <Head columns={columns} list={list} />
        <Gap height={items[0]?.start ?? 0} />
        {items.map(({ index, key }) => (
          <Table.Tbody key={key} ref={virtual.measureElement} data-index={index}>
            <RowInView row={rows[index]!} {...{ columns, keyOf, hrefOf, onOpen, detail, rowClass }} isOpen={open === keyOf(rows[index]!)} />
          </Table.Tbody>
        ))}
        <Gap height={below} />
      </Table>
    </div>
  ); // prettier-ignore
}

/** Room for rows that are not drawn. */
const Gap = ({ height }: { height: number }) =>
  height <= 0 ? null : (
    <Table.Tbody aria-hidden="true">
      <Table.Tr style={{ height, border: 0 }}>
        <Table.Td p={0} />
      </Table.Tr>
    </Table.Tbody>
  );

function Head<R>({ columns, list }: { columns: readonly Column<R>[]; list: List<R> }) {
  return (
    <Table.Thead>
      <Table.Tr>
        {columns.map(({ id, title, sorts }) => (
          <Table.Th key={id} scope="col" aria-sort={list.query.sort === id ? 'ascending' : undefined}>
            {sorts ? (
              <UnstyledButton className="sort" mih={40} td="underline" onClick={() => list.setSort(id)}>
                {title}
                <span aria-hidden="true">{list.query.sort === id ? ' ↓' : ''}</span>
              </UnstyledButton>
            ) : (
              title
            )}
          </Table.Th>
        ))}
      </Table.Tr>
    </Table.Thead>
  );
}

interface RowProps<R> extends Pick<
  TableProps<R>,
  'columns' | 'keyOf' | 'hrefOf' | 'onOpen' | 'detail' | 'rowClass'
> {
  row: R;
  isOpen: boolean;
}

/** A row: pressed anywhere, it opens; what it opens in place stands under it. */
function Row<R>({ row, isOpen, columns, keyOf, hrefOf, onOpen, detail, rowClass }: RowProps<R>) {
  const key = keyOf(row);
  return (
    <Fragment>
      <Table.Tr className={rowClass?.(row)} data-row={key}>
        {columns.map(({ id, cell }, i) => (
          <Table.Td key={id}>
            {i > 0 ? (
              cell(row)
            ) : hrefOf ? (
              <a className="line" href={hrefOf(row)}>
                {cell(row)}
              </a>
            ) : onOpen ? (
              <UnstyledButton
                className="line"
                aria-expanded={detail ? isOpen : undefined}
                onClick={() => onOpen(key)}
              >
                {cell(row)}
              </UnstyledButton>
            ) : (
              cell(row)
            )}
          </Table.Td>
        ))}
      </Table.Tr>
      {isOpen && detail && (
        <Table.Tr className="row-detail">
          <Table.Td colSpan={columns.length}>{detail(row)}</Table.Td>
        </Table.Tr>
      )}
    </Fragment>
  );
}

// While the list is scrolled, what stays in view is not drawn anew.
const RowInView = memo(Row) as typeof Row;
