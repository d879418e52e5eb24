import { Button, Group, SimpleGrid, Text } from '@mantine/core';
import '@mantine/core/styles/SimpleGrid.layer.css';
import { useState } from 'react';
import { api } from '../../client/api';
import { BULK_TABLES, BULK_WORDS, COLUMNS } from '../../core/bulk/columns';
import type { SheetSaid, SheetsPreview, SheetTaken } from '../../core/bulk/preview';
import type { Id } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { DropArea } from '../../ui/DropArea';
import { FileChoice } from '../../ui/FileChoice';
import { TaskBar } from '../frame/TaskBar';
import { saveFile } from '../hand/save-file';
import { ImportRows } from './ImportRows';
import { keepMapping, knownOf } from './kept-mapping';
import { SheetMapping } from './SheetMapping';
import { takeTogether } from './take-together';
import { usePreview } from './use-preview';

const ACCEPTED = '.xlsx,.csv,.txt,text/csv,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** Takes areas, enclosures, cables, entries and instruments in from a workbook or a table. */
export default function SheetsImport({ site }: { site: Id }) {
  const [file, setFile] = useState<File | null>(null);
  const [taking, setTaking] = useState(false);
  const { preview, problem, task, run, cancel, forget, fail } = usePreview();
  const name = file?.name ?? '';
  const read = (chosen: File) => {
    setFile(chosen);
    forget();
    void run(async (asking) => {
      const found = await api.previewSheets(site, chosen, { said: [], ...asking });
      const known = knownOf(found.sheets);
      if (known.length === 0) return found;
      return api.previewSheets(site, chosen, { said: allSaid(found.sheets, known), ...asking });
    });
  };
  const resay = (one: SheetSaid) => {
    if (one.mapping) keepMapping({ table: one.table, mapping: one.mapping });
    const said = allSaid(preview!.sheets, [one]);
    void run((asking) => api.previewSheets(site, file!, { said, ...asking }));
  };
  const take = async ({ items }: SheetsPreview) => {
    setTaking(true);
    const why = await takeTogether(site, name, items, `${count(items.length, 'record')} from ${name} ${items.length === 1 ? 'is' : 'are'} taken in.`); // prettier-ignore
    setTaking(false);
    if (why === null) forget();
    else fail(`Nothing was taken: ${why}`);
  };
  return (
    <section className="import" aria-label="Take in sheets">
      <h2>Areas, enclosures, cables, entries and instruments</h2>
      <p>A workbook with a sheet for each, or a table (CSV). What is blank stays not recorded; nothing is changed before you have seen it.</p>
      <DropArea onFile={read}>
        <FileChoice title="Choose the workbook or table" accept={ACCEPTED} onFiles={([chosen]) => read(chosen!)} />
      </DropArea>
      <Templates />
      {task && <TaskBar task={task} words={`Reading ${name}`} onCancel={cancel} />}
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      {preview && <Found name={name} preview={preview} busy={task !== null} taking={taking} onSaid={resay} onTake={() => void take(preview)} />}
    </section>
  );
} // prettier-ignore

interface FoundProps {
  name: string;
  preview: SheetsPreview;
  /** Whether another preview is on its way. */
  busy: boolean;
  taking: boolean;
  onSaid: (said: SheetSaid) => void;
  onTake: () => void;
}

/** What was found in a file, and the press that takes it in. */
function Found({ name, preview, busy, taking, onSaid, onTake }: FoundProps) {
  const { sheets, items, counts } = preview;
  return (
    <>
      <h3>{name}</h3>
      <SimpleGrid cols={{ base: 1, sm: Math.min(3, sheets.length) }} my="sm">
        {sheets.map((sheet) => (
          <SheetMapping key={sheet.name} sheet={sheet} onSaid={onSaid} />
        ))}
      </SimpleGrid>
      <ImportRows preview={preview} name={name} />
      {items.length > 0 && (
        <Button mt="md" loading={taking} disabled={busy} onClick={onTake}>
          Take in {count(items.length, 'record')}
        </Button>
      )}
      {items.length === 0 && counts.refused === 0 && <p>{name} holds nothing that is not on file.</p>}
    </>
  );
}

/** What is said of every sheet, so that nothing is proposed anew. */
const allSaid = (sheets: readonly SheetTaken[], changed: readonly SheetSaid[]): SheetSaid[] =>
  sheets.map(({ name, table, mapping }) => changed.find((one) => one.name === name) ?? { name, table, mapping: table === null ? null : mapping }); // prettier-ignore

/** Tables with nothing but their headings, to be filled. */
function Templates() {
  return (
    <Group gap="xs" my="sm">
      <Text size="sm">Templates to fill:</Text>
      {BULK_TABLES.map((table) => {
        const { many } = BULK_WORDS[table];
        const heading = COLUMNS[table].map(({ id }) => id).join(',');
        return (
          <Button key={table} variant="default" size="compact-md" onClick={() => saveFile(`${many}.csv`, 'text/csv', `\uFEFF${heading}\r\n`)}>
            {many}
          </Button>
        );
      })}
    </Group>
  );
} // prettier-ignore
