import { EXPORTS, exportOf, type ExportName } from '../server/files/export';
import { appFromEnvironment, run } from '../server/main';
import { closeApp } from '../server/app';

/** `export SITE NAME`: writes an export of a site (by id or name) to the standard output. */
void run(async () => {
  const [wanted, name] = process.argv.slice(2);
  if (!wanted || !EXPORTS.includes(name as ExportName)) {
    throw new Error(`Usage: npm run --silent export -- SITE ${EXPORTS.join('|')}`);
  }
  const app = appFromEnvironment();
  try {
    const site = app.store.records
      .all('site')
      .find(({ id, name: called }) => id === wanted || called === wanted);
    if (!site)
      throw new Error(`There is no site "${wanted}". Sites: ${namesOf(app.store.records.all('site'))}.`);
    process.stdout.write(exportOf(app, site, name as ExportName).text);
  } finally {
    closeApp(app);
  }
});

const namesOf = (sites: readonly { name: string }[]) =>
  sites.map(({ name }) => name).join(', ') || 'none yet';
