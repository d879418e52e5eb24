import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { openDoorLine, openDoorText, type DoorAnswer } from '../server/doors/door';

const FAULT = 1;
const INVALID = 2;

/** `door NAME < input.json`, or `door --lines` with one `{"door", "input"}` per line. */
async function main(): Promise<void> {
  const [name] = process.argv.slice(2);
  if (name === undefined) {
    console.error('Name a door: npm run --silent door -- NAME < input.json, or use --lines.');
    process.exitCode = INVALID;
    return;
  }
  if (name === '--lines') return lines();
  const answer = guarded(() => openDoorText(name, readFileSync(0, 'utf8')));
  console.log(JSON.stringify('output' in answer ? answer.output : answer));
  if ('error' in answer) process.exitCode = answer.error.code === 'fault' ? FAULT : INVALID;
}

async function lines(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    process.stdout.write(`${JSON.stringify(guarded(() => openDoorLine(line)))}\n`);
  }
}

function guarded(open: () => DoorAnswer): DoorAnswer {
  try {
    return open();
  } catch (error) {
    console.error(error);
    return {
      error: { code: 'fault', field: null, message: 'The calculation failed; please report this input.' },
    };
  }
}

void main();
