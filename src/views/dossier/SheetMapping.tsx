import { NativeSelect, Table, Text } from '@mantine/core';
import { BULK_TABLES, BULK_WORDS, COLUMNS, type BulkTable } from '../../core/bulk/columns';
import { proposedMapping } from '../../core/bulk/headings';
import type { SheetSaid, SheetTaken } from '../../core/bulk/preview';

const LEFT_OUT = { value: '', label: 'left out' };

/** What a sheet and its headings are taken for; each can be said otherwise. */
export function SheetMapping({ sheet, onSaid }: { sheet: SheetTaken; onSaid: (said: SheetSaid) => void }) {
  const { name, table, mapping, missing } = sheet;
  const say = (column: string, heading: number) => {
    // A column is filled from one heading.
    const next = mapping.map((one, i) => {
      if (i === heading) return { ...one, column: column || null, unit: null };
      return one.column === column ? { ...one, column: null, unit: null } : one;
    });
    onSaid({ name, table, mapping: next });
  };
  return (
    <section className="sheet-mapping" aria-label={`Sheet ${name}`}>
      <NativeSelect
        label={`The sheet “${name}” holds`}
        value={table ?? ''}
        data={[{ value: '', label: 'nothing that is taken in' }, ...BULK_TABLES.map((one) => ({ value: one, label: BULK_WORDS[one].many }))]}
        onChange={({ currentTarget: { value } }) => onSaid({ name, table: (value || null) as BulkTable | null, mapping: value ? proposedMapping(value as BulkTable, mapping.map(({ heading }) => heading)) : null })}
      />
      {missing.length > 0 && (
        <Text role="alert" className="tone-failed" mt="xs">
          No heading says {missing.join(', ')}: say below which one does, or add the column to the sheet.
        </Text>
      )}
      {table !== null && (
        <details open={missing.length > 0}>
          <summary>
            {mapping.filter(({ column }) => column !== null).length} of {mapping.length} headings are taken in
          </summary>
          <Table>
            <Table.Tbody>
              {mapping.map(({ heading, column, unit }, i) => (
                <Table.Tr key={i}>
                  <Table.Td>
                    <b>{heading || `column ${i + 1}`}</b> {unit && <span className="quiet">in {unit}</span>}
                  </Table.Td>
                  <Table.Td>
                    <NativeSelect
                      aria-label={`What “${heading}” holds`}
                      value={column ?? ''}
                      data={[LEFT_OUT, ...COLUMNS[table].map(({ id, title }) => ({ value: id, label: title }))]}
                      onChange={(event) => say(event.currentTarget.value, i)}
                    />
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </details>
      )}
    </section>
  );
} // prettier-ignore
