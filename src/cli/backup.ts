import { dataFolder, environmentClock, run } from '../server/main/main';
import { backUp } from '../server/keep/backup';

/** `backup TARGET`: a verified copy of the data folder, also while the server runs. */
void run(async () => {
  const [target] = process.argv.slice(2);
  if (!target) throw new Error('Usage: npm run --silent backup -- TARGET');
  const at = environmentClock()().toISOString();
  const { folder, manifest } = await backUp(dataFolder(), target, at, (what) => console.error(`${what} …`));
  for (const { id, seq, hash, photos } of manifest.sites)
    console.log(`${id}: ${seq} lines, ${photos} photos, head ${hash}`);
  console.log(`Backed up and verified: ${folder}`);
});
