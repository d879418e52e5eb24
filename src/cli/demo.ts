import { SEEDED, seedDemo } from '../../demo/seed';
import { emptyFolder } from '../server/app/fresh';
import { appFromEnvironment, dataFolder, run, serve } from '../server/main/main';

/** Starts the built application with the demo data; seeds when the folder is empty, or anew with `--fresh`. */
void run(async () => {
  if (process.argv.includes('--fresh')) emptyFolder(dataFolder(), SEEDED);
  const app = appFromEnvironment();
  if (app.installation.sites().length === 0) {
    console.log('Seeding the demo data …');
    seedDemo(app);
  }
  await serve(app);
});
