import { Button, Group, Progress, Table } from '@mantine/core';
import { useMemo } from 'react';
import { partsList, type Proposal } from '../../core/finder/schedule';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { washerFacts } from '../../core/rulebook/washer';
import { count } from '../../core/words/en/format';
import { connectionWords } from '../../core/words/en/makeoff';
import { supplyList } from '../../core/words/en/supplies';
import { washerWords } from '../../core/words/en/washer';
import { endWords } from '../../core/words/en/where';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { ListTable, type Column } from '../../ui/list/ListTable';
import { listed, naturally, type Listed } from '../../ui/list/source';
import type { Filter } from '../../ui/list/use-list';
import { saveFile } from '../hand/save-file';
import { useSchedule, type ScheduleRun } from './use-schedule';
import { VERDICT_GLYPHS, VERDICT_WORDS } from './verdict';

/** A gland for every cable of the schedule at once, worked out beside the page, with the parts list. */
export default function Schedule({ slice, site }: { slice: Slice; site: Id }) {
  const run = useSchedule(slice, site);
  const { proposals, state, problem } = run;
  const parts = useMemo(() => partsOf(slice, proposals), [proposals, slice]);
  return (
    <main id="main" className="page finder" tabIndex={-1}>
      <h1>A gland for every cable</h1>
      <p>Each end of each cable against every size on file, by the rules that judge the finished entry.</p>
      <Group gap="sm">
        {state === 'running' ? (
          <Button variant="default" onClick={run.cancel}>
            Cancel
          </Button>
        ) : (
          <Button onClick={run.start}>{state === 'idle' ? 'Find them' : 'Find them again'}</Button>
        )}
        {proposals.length > 0 && state !== 'running' && <Files proposals={proposals} parts={parts} />}
      </Group>
      {state !== 'idle' && <Far run={run} />}
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      {proposals.length > 0 && <Proposals proposals={proposals} site={site} />}
      {proposals.length > 0 && <Parts parts={parts} />}
    </main>
  );
}

type PartsList = ReturnType<typeof supplyList>;

const partsOf = (slice: Slice, proposals: readonly Proposal[]): PartsList =>
  supplyList(
    partsList(
      proposals.flatMap(({ cable, best }) => {
        const record = slice.get('cable', cable);
        return record ? [{ cable: record, best }] : [];
      }),
    ),
  );

/** How far the search is. */
function Far({ run: { state, proposals, total } }: { run: ScheduleRun }) {
  return (
    <>
      <p role="status">
        {proposals.length} of {count(total, 'end')}
        {state === 'cancelled' && ', cancelled: what was found stays'}
        {state === 'done' && total === 0 && ': no cable is on file. Take in a schedule under Dossier, Files.'}
      </p>
      {state === 'running' && (
        <Progress value={(100 * proposals.length) / total} aria-label="Proposals worked out" />
      )}
    </>
  );
}

function Files({ proposals, parts }: { proposals: readonly Proposal[]; parts: PartsList }) {
  const rows = parts.map(({ part, count: n }) => ({ part, count: n }));
  return (
    <>
      <Button variant="default" onClick={() => void save('proposals.csv', proposals.map(rowOf))}>
        Proposals (CSV)
      </Button>
      <Button variant="default" onClick={() => void save('parts.csv', rows)}>
        Parts list (CSV)
      </Button>
    </>
  );
}

async function save(name: string, rows: Record<string, unknown>[]): Promise<void> {
  const { unparse } = (await import('papaparse')).default;
  saveFile(name, 'text/csv', `\uFEFF${unparse(rows, { escapeFormulae: true, newline: '\r\n' })}\r\n`);
}

const keyOf = ({ cable, where }: Proposal): string => `${cable} ${endWords(where)}`;

/** How the proposals are searched, filtered and sorted. */
const LISTED: Listed<Proposal> = {
  key: keyOf,
  words: (one) => `${one.tag} ${endWords(one.where)} ${nameOf(one)}`,
  only: {
    show: (one, value) =>
      value === 'none' ? one.best === null : value === 'other' ? isOther(one) : one.best?.verdict === value,
  },
  sorts: { cable: (a, b) => naturally(a.tag, b.tag), proposed: (a, b) => naturally(nameOf(a), nameOf(b)) },
};

const FILTERS: readonly Filter[] = [
  {
    id: 'show',
    label: 'Show',
    options: [
      ['', 'every end'],
      ['fits', 'fits'],
      ['close', 'close call'],
      ['open', 'not all known'],
      ['none', 'no size on file'],
      ['other', 'another than is fitted'],
    ],
  },
];

const columnsOf = (site: Id): readonly Column<Proposal>[] => [
  { id: 'cable', title: 'Cable', sorts: true, cell: ({ tag }) => <b>{tag}</b> },
  {
    id: 'end',
    title: 'End',
    cell: ({ entry, where }) =>
      entry ? (
        <a href={`/certificates/?site=${site}&tab=find&entry=${entry}`}>{endWords(where)}</a>
      ) : (
        endWords(where)
      ),
  },
  {
    id: 'proposed',
    title: 'Proposed',
    sorts: true,
    cell: (one) =>
      one.best ? (
        <>
          <SealGlyph state={VERDICT_GLYPHS[one.best.verdict]} label={VERDICT_WORDS[one.best.verdict]} />{' '}
          {nameOf(one)}
        </>
      ) : (
        <span className="tone-failed">no size on file fits</span>
      ),
  },
  {
    id: 'how',
    title: 'How',
    cell: ({ best, entry }) => (best && entry ? connectionWords(best.connection) : ''),
  },
  {
    id: 'fitted',
    title: 'Fitted now',
    cell: (one) => <span className={isOther(one) ? 'tone-close' : ''}>{one.fitted ?? ''}</span>,
  },
];

const Proposals = ({ proposals, site }: { proposals: readonly Proposal[]; site: Id }) => (
  <ListTable
    className="proposals"
    label="Proposals"
    source={listed(proposals, LISTED)}
    search="Cable, entry or gland"
    filters={FILTERS}
    columns={columnsOf(site)}
    keyOf={keyOf}
    empty={null}
  />
);

function Parts({ parts }: { parts: PartsList }) {
  return (
    <>
      <h2>Parts list</h2>
      <Table>
        <Table.Tbody>
          {parts.map(({ part, count: n }) => (
            <Table.Tr key={part}>
              <Table.Td className="figures">{n} ×</Table.Td>
              <Table.Th scope="row">{part}</Table.Th>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}

const nameOf = ({ best }: Proposal): string => (best ? `${best.certificate.number}, ${best.size.size}` : '');
const isOther = (one: Proposal): boolean =>
  one.fitted !== null && one.best !== null && nameOf(one) !== one.fitted;

const rowOf = (one: Proposal): Record<string, unknown> => ({
  cable: one.tag,
  end: endWords(one.where),
  certificate: one.best?.certificate.number ?? '',
  size: one.best?.size.size ?? '',
  thread: one.best?.size.thread ?? '',
  ring: one.best?.ringFace ?? '',
  verdict: one.best ? VERDICT_WORDS[one.best.verdict] : 'No size on file fits',
  central_pct: one.best ? Math.round(one.best.centrality * 100) : '',
  adaptor: one.best?.connection.adaptor
    ? `${one.best.connection.adaptor.male} to ${one.best.connection.adaptor.female}`
    : '',
  washer: one.best ? washerWords(washerFacts(one.best.washer)) : '',
  fitted: one.fitted ?? '',
});
