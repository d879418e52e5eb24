import { Button, Group, Text } from '@mantine/core';
import { useMemo } from 'react';
import type { SheetsPreview } from '../../core/bulk/preview';
import type { BulkRow } from '../../core/bulk/sheets';
import { count } from '../../core/words/en/format';
import { fieldWords } from '../../core/words/en/lost';
import { ListTable, type Column } from '../../ui/list/ListTable';
import { listed, type Listed } from '../../ui/list/source';
import type { Filter } from '../../ui/list/use-list';
import { saveFile } from '../hand/save-file';

const ACTIONS = { add: 'new', change: 'changed', same: 'as on file', refused: 'refused' } as const;

const LISTED: Listed<BulkRow> = {
  key: ({ sheet, row, what }) => `${sheet} ${row} ${what}`,
  words: ({ sheet, what, why, notes }) => [sheet, what, ...why, ...notes].join(' '),
  only: { action: ({ action }, value) => action === value },
};

const FILTERS: readonly Filter[] = [
  {
    id: 'action',
    label: 'Show',
    options: [
      ['', 'all'],
      ['refused', 'refused'],
      ['add', 'new'],
      ['change', 'changed'],
    ],
  },
];

const COLUMNS: readonly Column<BulkRow>[] = [
  { id: 'what', title: 'What', cell: ({ what }) => <b>{what}</b> },
  { id: 'row', title: 'Row', cell: ({ sheet, row }) => (sheet ? `${sheet}, row ${row}` : '') },
  {
    id: 'action',
    title: 'What becomes of it',
    cell: ({ action, fields, why, notes }) => (
      <>
        <b className={action === 'refused' ? 'tone-failed' : undefined}>{ACTIONS[action]}</b>{' '}
        <span className={why.length > 0 ? 'tone-failed' : 'quiet'}>
          {[...fields.map((field) => fieldWords(field)), ...why, ...notes].join(' · ')}
        </span>
      </>
    ),
  },
];

/** What an import would change, row by row, and what it refuses. */
export function ImportRows({ preview, name }: { preview: SheetsPreview; name: string }) {
  const { rows, counts, refused } = preview;
  const source = useMemo(() => listed(rows, LISTED), [rows]);
  return (
    <>
      <p role="status">
        <b>{count(counts.add, 'new record')}</b>, {counts.change} changed, {counts.same} as on file,{' '}
        <b className={counts.refused > 0 ? 'tone-failed' : ''}>{counts.refused} refused</b>.
      </p>
      {refused.length > 0 && (
        <Group gap="sm" mb="sm">
          <Text size="sm">The refused rows, each with the reason, to mend and bring again:</Text>
          {refused.map(({ sheet, csv }) => (
            <Button key={sheet} variant="default" size="compact-md" onClick={() => saveFile(`${sheet} refused.csv`, 'text/csv', csv)}>
              {sheet} refused (CSV)
            </Button>
          ))}
        </Group>
      )}
      {rows.length > 0 && (
        <ListTable
          label={`Rows of ${name}`}
          source={source}
          search="Search the rows"
          filters={FILTERS}
          columns={COLUMNS}
          keyOf={LISTED.key}
          empty={<p className="empty">No row would change anything.</p>}
        />
      )}
    </>
  );
} // prettier-ignore
