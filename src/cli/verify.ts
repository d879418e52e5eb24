import { dataFolder, run } from '../server/main/main';
import { verifyFolder } from '../server/keep/verify';

/** `verify [FOLDER]`: every chain, photo and record of a data folder or a backup; exit code 1 with each damage named. */
void run(async () => {
  const folder = process.argv[2] ?? dataFolder();
  const { damages, sites, notes } = verifyFolder(folder, (what) => console.error(`Looking at ${what} …`));
  for (const { id, name, seq, hash, photos } of sites)
    console.log(`${name ?? id}: ${seq} lines, ${photos} photos, head ${hash}`);
  for (const note of notes) console.log(note);
  for (const { where, what } of damages) console.error(`${where}: ${what}`);
  if (damages.length > 0)
    throw new Error(`${damages.length} damage${damages.length === 1 ? '' : 's'} found.`);
  console.log('Everything holds.');
});
