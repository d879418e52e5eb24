import { replicate } from '../server/keep/replicate';
import { dataFolder, run } from '../server/main/main';

/** `replicate TARGET`: copies the data folder as it is written, until it is stopped. */
void run(async () => {
  const [target] = process.argv.slice(2);
  if (!target) throw new Error('Usage: npm run --silent replicate -- TARGET');
  const { done, stop } = replicate(dataFolder(), target, (what) => console.log(what));
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  await done;
});
