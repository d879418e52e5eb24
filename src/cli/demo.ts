import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { seedDemo } from '../../demo/seed';
import { appFromEnvironment, dataFolder, run, serve } from '../server/main';

/** Starts the built application with the demo data; seeds when the database is empty, or with `--fresh`. */
void run(async () => {
  if (process.argv.includes('--fresh')) {
    for (const name of ['yendral.db', 'yendral.db-wal', 'yendral.db-shm']) {
      rmSync(join(dataFolder(), name), { force: true });
    }
    rmSync(join(dataFolder(), 'photos'), { recursive: true, force: true });
  }
  const app = appFromEnvironment();
  if (app.store.records.all('site').length === 0) {
    console.log('Seeding the demo data …');
    seedDemo(app);
  }
  await serve(app);
});
