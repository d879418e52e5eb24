import { EXPORTS, exportText, type ExportName } from '../server/files/export';
import { dataFolder, environmentClock, run } from '../server/main/main';
import { readingSite } from '../server/app/reading';

/** `export SITE NAME`: writes an export of a site (by id or name) to the standard output. */
void run(async () => {
  const [wanted, name] = process.argv.slice(2);
  if (!wanted || !EXPORTS.includes(name as ExportName)) {
    throw new Error(`Usage: npm run --silent export -- SITE ${EXPORTS.join('|')}`);
  }
  const at = environmentClock()().toISOString();
  process.stdout.write(
    readingSite(dataFolder(), wanted, (store) => exportText(store, name as ExportName, at)),
  );
});
