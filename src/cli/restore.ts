import { dataFolder, run } from '../server/main';
import { restore } from '../server/keep/restore';

const USAGE = 'Usage: npm run --silent restore -- SOURCE [--site ID] [--at TIME]';

/** `restore SOURCE [--site ID] [--at TIME]`: a backup into the data folder, which has to be empty. */
void run(async () => {
  const [source, ...words] = process.argv.slice(2);
  if (!source || source.startsWith('--')) throw new Error(USAGE);
  const { manifest, verified } = restore(source, dataFolder(), {
    site: valueOf(words, '--site'),
    at: valueOf(words, '--at'),
  });
  for (const { id, seq, hash, photos } of verified.sites)
    console.log(`${id}: ${seq} lines, ${photos} photos, head ${hash}`);
  console.log(
    `Restored and verified into ${dataFolder()}, as of ${manifest.madeAt}. What came later is not in it.`,
  );
});

function valueOf(words: readonly string[], name: string): string | null {
  const at = words.indexOf(name);
  if (at < 0) return null;
  const value = words[at + 1];
  if (!value) throw new Error(USAGE);
  return value;
}
