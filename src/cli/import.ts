import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { ulid } from 'ulid';
import { importCommands } from '../core/commands/import-commands';
import { closeApp, siteCalled } from '../server/app/app';
import { acceptCommands } from '../server/commands/accept';
import { IMPORT_KINDS, previewImport, type ImportKind } from '../server/files/import';
import { previewSheets } from '../server/files/import-sheets';
import type { ImportPreview } from '../server/files/import-preview';
import { appFromEnvironment, run } from '../server/main/main';

const KINDS = [...IMPORT_KINDS, 'sheets'];
const USAGE = `Usage: npm run --silent import -- SITE ${KINDS.join('|')} FILE [--dry-run]`;

/** `import SITE certificate|sizes|sheets FILE [--dry-run]`: all of the file, or nothing. */
void run(async () => {
  const [wanted, kind, file, dry] = process.argv.slice(2);
  if (!wanted || !file || !KINDS.includes(kind!)) throw new Error(USAGE);
  const app = appFromEnvironment();
  try {
    const store = siteCalled(app, wanted);
    const preview =
      kind === 'sheets'
        ? await sheetsOf(store, file)
        : previewImport(store, kind as ImportKind, readFileSync(file, 'utf8'));
    for (const { row, field, message } of preview.faults) {
      console.error(`${row === null ? '' : `row ${row}, `}${field}: ${message}`);
    }
    if (preview.faults.length > 0) throw new Error('Nothing was imported. Mend the file and try again.');
    for (const { what, action, fields } of preview.rows)
      console.log(`${action} ${what} ${fields.join(', ')}`.trim());
    if (dry === '--dry-run' || preview.items.length === 0) return;
    const commands = importCommands(preview.items, {
      site: store.id,
      source: basename(file),
      at: app.clock().toISOString(),
      id: ulid,
    });
    for (const answer of acceptCommands(app, commands, { id: 'command-line', name: 'command line' })) {
      if (answer.status !== 'applied') throw new Error(`Nothing was imported: ${answer.message}`);
    }
  } finally {
    closeApp(app);
  }
});

/** A workbook or table as a preview of all or nothing: a row that is refused is a fault. */
async function sheetsOf(store: ReturnType<typeof siteCalled>, file: string): Promise<ImportPreview> {
  const read = await previewSheets(store, { bytes: readFileSync(file), name: basename(file), said: [] });
  if ('fault' in read)
    return { rows: [], faults: [{ row: null, field: '(file)', message: read.fault }], items: [] };
  const unread = read.sheets.filter(({ table, missing }) => table === null || missing.length > 0);
  const faults = [
    ...unread.map(({ name, missing }) => ({ row: null, field: name, message: missing.length > 0 ? `lacks the columns ${missing.join(', ')}.` : 'cannot be told what it holds; name the sheet areas, cables, enclosures, entries or instruments.' })),
    ...read.rows.filter(({ action }) => action === 'refused').map(({ row, what, why }) => ({ row, field: what, message: why.join(' ') })),
  ]; // prettier-ignore
  const rows = read.rows.flatMap((one) => (one.action === 'refused' ? [] : [{ ...one, action: one.action }]));
  return { rows, faults, items: read.items };
}
