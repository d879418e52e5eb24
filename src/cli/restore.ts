import { dataFolder, run } from '../server/main/main';
import { restore } from '../server/keep/restore';

const USAGE = 'Usage: npm run --silent restore -- SOURCE [--site ID] [--at TIME]';

/** `restore SOURCE [--site ID] [--at TIME]`: a backup or a replica into the data folder, which has to be empty. */
void run(async () => {
  const [source, ...words] = process.argv.slice(2);
  if (!source || source.startsWith('--')) throw new Error(USAGE);
  const { verified, madeAt, endsAt } = restore(source, dataFolder(), {
    site: valueOf(words, '--site'),
    at: valueOf(words, '--at'),
  });
  for (const { id, seq, hash, photos } of verified.sites) {
    const ends = endsAt[id] ? `, received at ${endsAt[id]}` : '';
    console.log(`${id}: ${seq} lines, ${photos} photos, head ${hash}${ends}`);
  }
  for (const note of verified.notes) console.log(note);
  console.log(
    madeAt === null
      ? `Restored and verified into ${dataFolder()}. What was accepted in the last seconds after these lines may be missing; devices that sent it offer it again.`
      : `Restored and verified into ${dataFolder()}, as of ${madeAt}. What came later is not in it.`,
  );
});

function valueOf(words: readonly string[], name: string): string | null {
  const at = words.indexOf(name);
  if (at < 0) return null;
  const value = words[at + 1];
  if (!value) throw new Error(USAGE);
  return value;
}
