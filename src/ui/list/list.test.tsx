// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { show, type } from '../../../tests/dom/page';
import { ListTable, type Column } from './ListTable';
import { SideList } from './SideList';
import { listed, naturally, type Query } from './source';

interface Row {
  id: string;
  tag: string;
  state: string;
}
const row = (n: number): Row => ({ id: `r${n}`, tag: `P-${n}`, state: n % 3 === 0 ? 'open' : 'done' });
const rows = (n: number) => Array.from({ length: n }, (_, i) => row(i + 1));
const HOW = {
  key: ({ id }: Row) => id,
  words: ({ tag, state }: Row) => `${tag} ${state}`,
  only: { state: ({ state }: Row, value: string) => state === value },
  sorts: { tag: (a: Row, b: Row) => naturally(b.tag, a.tag) },
};
const ask = (query: Partial<Query> = {}): Query => ({ text: '', only: {}, sort: '', ...query });

describe('a source over rows in memory', () => {
  it('gives every row that answers, once, page by page, whatever is asked', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 350 }), fc.constantFrom('', 'open', 'done'), fc.constantFrom('', 'tag'), (n, state, sort) => {
        const source = listed(rows(n), HOW);
        const query = ask({ only: { state }, sort });
        const got: Row[] = [];
        let page = source(query, null);
        got.push(...page.rows);
        while (page.next !== null) {
          page = source(query, page.next);
          got.push(...page.rows);
        }
        const wanted = rows(n).filter((one) => state === '' || one.state === state);
        expect(new Set(got.map(({ id }) => id))).toEqual(new Set(wanted.map(({ id }) => id)));
        expect(got).toHaveLength(wanted.length);
        expect(page).toMatchObject({ matching: wanted.length, of: n });
      }),
      { numRuns: 40 },
    ); // prettier-ignore
  });
  it('finds words in any order and any case, and counts as people do', () => {
    const source = listed(rows(30), HOW);
    expect(source(ask({ text: 'OPEN p-12' }), null).rows.map(({ id }) => id)).toEqual(['r12']);
    expect(source(ask({ text: 'p-12 done' }), null).rows).toEqual([]);
    expect(source(ask({ sort: 'tag' }), null).rows[0]!.tag).toBe('P-30');
    expect(['P-10', 'P-9'].sort(naturally)).toEqual(['P-9', 'P-10']);
  });
});

const COLUMNS: readonly Column<Row>[] = [
  { id: 'tag', title: 'Tag', sorts: true, cell: ({ tag }) => tag },
  { id: 'state', title: 'How it is', cell: ({ state }) => state },
];

const table = (n: number, beside: object = {}) => {
  const onOpen = vi.fn();
  const page = show(
    <ListTable<Row>
      label="Cables"
      source={listed(rows(n), HOW)}
      search="Search cables"
      filters={[{ id: 'state', label: 'State', options: [['', 'All states'], ['open', 'Open']] }]}
      columns={COLUMNS}
      keyOf={({ id }) => id}
      onOpen={onOpen}
      empty={<p>Type the first cable.</p>}
      {...beside}
    />,
  ); // prettier-ignore
  return { ...page, onOpen };
};
const shown = () => screen.queryAllByRole('button', { name: /^P-/ }).map((one) => one.textContent);

describe('a list as a table', () => {
  it('says what to do first where there is nothing', () => {
    table(0);
    expect(screen.getByText('Type the first cable.')).toBeTruthy();
    expect(screen.queryByRole('table')).toBeNull();
  });
  it('draws of a long list only what is in view, and says how long it is', () => {
    table(2000);
    expect(screen.getByRole('status').textContent).toBe('2000 of 2000');
    expect(shown().length).toBeGreaterThan(5);
    expect(shown().length).toBeLessThan(60);
  });
  it('is searched and filtered, and says when nothing matches', async () => {
    const { hands } = table(40);
    await type(hands, 'Search cables', 'p-1');
    expect(screen.getByRole('status').textContent).toBe('11 of 40');
    await hands.selectOptions(screen.getByLabelText('State'), 'open');
    expect(shown()).toEqual(['P-12', 'P-15', 'P-18']);
    await type(hands, 'Search cables', 'nothing');
    expect(screen.getByText(/Nothing matches/)).toBeTruthy();
  });
  it('is put in the order of a column, which says so', async () => {
    const { hands } = table(5);
    await hands.click(screen.getByRole('button', { name: /^Tag/ }));
    expect(shown()).toEqual(['P-5', 'P-4', 'P-3', 'P-2', 'P-1']);
    expect(screen.getByRole('columnheader', { name: /Tag/ }).getAttribute('aria-sort')).toBe('ascending');
    expect(screen.queryByRole('button', { name: 'How it is' })).toBeNull();
  });
  it('opens a row in place', async () => {
    const { hands, onOpen, unmount } = table(3, {
      detail: ({ tag }: Row) => <p>All of {tag}</p>,
      open: null,
    });
    const line = screen.getByRole('button', { name: 'P-2' });
    expect(line.getAttribute('aria-expanded')).toBe('false');
    await hands.click(line);
    expect(onOpen).toHaveBeenCalledWith('r2');
    unmount();
    table(3, { detail: ({ tag }: Row) => <p>All of {tag}</p>, open: 'r2' });
    expect(screen.getByText('All of P-2')).toBeTruthy();
  });
  it('leads where a row leads', () => {
    table(2, { hrefOf: ({ id }: Row) => `/bench/?entry=${id}` });
    expect(screen.getByRole('link', { name: 'P-1' }).getAttribute('href')).toBe('/bench/?entry=r1');
  });
});

describe('a list at the side of a view', () => {
  it('shows which is open, and opens another', async () => {
    const onOpen = vi.fn();
    const { hands } = show(
      <SideList<Row>
        label="Cables"
        source={listed(rows(4), HOW)}
        search="Cable"
        keyOf={({ id }) => id}
        current="r2"
        onOpen={onOpen}
        title={({ tag }) => tag}
        beside={({ state }) => state}
      />,
    );
    const list = within(screen.getByRole('complementary', { name: 'Cables' }));
    expect(list.getByRole('button', { name: /P-2/ }).getAttribute('aria-current')).toBe('page');
    await hands.click(list.getByRole('button', { name: /P-3/ }));
    expect(onOpen).toHaveBeenCalledWith('r3');
    await type(hands, 'Cable', 'p-4');
    expect(list.getAllByRole('button')).toHaveLength(1);
    await type(hands, 'Cable', 'p-9');
    expect(list.getByText('Nothing matches. Clear the search.')).toBeTruthy();
  });
});
