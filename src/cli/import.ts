import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { ulid } from 'ulid';
import type { Command } from '../core/commands/commands';
import { closeApp, siteCalled } from '../server/app/app';
import { acceptCommands } from '../server/commands/accept';
import { IMPORT_KINDS, previewImport, type ImportKind } from '../server/files/import';
import { appFromEnvironment, run } from '../server/main/main';

const USAGE = `Usage: npm run --silent import -- SITE ${IMPORT_KINDS.join('|')} FILE [--dry-run]`;

/** `import SITE cables|certificate FILE [--dry-run]`: all of the file, or nothing. */
void run(async () => {
  const [wanted, kind, file, dry] = process.argv.slice(2);
  if (!wanted || !file || !IMPORT_KINDS.includes(kind as ImportKind)) throw new Error(USAGE);
  const text = readFileSync(file, 'utf8');
  const app = appFromEnvironment();
  try {
    const store = siteCalled(app, wanted);
    const preview = previewImport(store, kind as ImportKind, text);
    for (const { row, field, message } of preview.faults) {
      console.error(`${row === null ? '' : `row ${row}, `}${field}: ${message}`);
    }
    if (preview.faults.length > 0) throw new Error('Nothing was imported. Mend the file and try again.');
    for (const { what, action, fields } of preview.rows)
      console.log(`${action} ${what} ${fields.join(', ')}`.trim());
    if (dry === '--dry-run' || preview.items.length === 0) return;
    const command: Command<'dossier.import'> = {
      id: ulid(),
      kind: 'dossier.import',
      site: store.id,
      at: app.clock().toISOString(),
      payload: { source: basename(file), items: preview.items },
    };
    const [answer] = acceptCommands(app, [command], { id: 'command-line', name: 'command line' });
    if (answer?.status !== 'applied') throw new Error(answer ? answer.message : 'The import was not taken.');
  } finally {
    closeApp(app);
  }
});
