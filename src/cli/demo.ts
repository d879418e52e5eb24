import { SEEDED, SEEDING, seedDemo } from '../../demo/seed';
import { emptyFolder, isLeftMarked } from '../server/app/fresh';
import { appFromEnvironment, dataFolder, run, serve } from '../server/main/main';

/**
 * Starts the built application with the demo data; seeds when the folder is empty, anew with `--fresh` and where the
 * last seeding was cut short.
 */
void run(async () => {
  const folder = dataFolder();
  const cutShort = isLeftMarked(folder, SEEDING);
  if (cutShort) console.log('The last seeding was cut short; it is done anew.');
  if (cutShort || process.argv.includes('--fresh')) emptyFolder(folder, SEEDED);
  const app = appFromEnvironment();
  if (app.installation.sites().length === 0) {
    console.log('Seeding the demo data …');
    seedDemo(app);
  }
  await serve(app);
});
