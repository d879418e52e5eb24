import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from '../server/main/main';
import { PUBLISHED } from '../server/files/schema';

/** `schemas`: writes the published formats anew, from the shapes that what comes in is checked by. */
void run(async () => {
  for (const [name, schema] of Object.entries(PUBLISHED)) {
    const path = join('docs', 'schemas', `${name}.schema.json`);
    writeFileSync(path, schema());
    process.stdout.write(`${path}\n`);
  }
});
