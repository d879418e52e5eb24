import { readFileSync } from 'node:fs';
import { fuzzEndpoints } from '../fuzz/endpoints';
import { serveDemo } from '../server/served';

/** Every wrong request to every endpoint, several times: how slow the slowest answer was, and what memory did. */
export async function fuzz(): Promise<void> {
  const served = await serveDemo();
  for (let turn = 1; turn <= 3; turn++) {
    const { asked, slowestMs, faults } = await fuzzEndpoints(served.address, 1);
    console.log(
      `turn ${turn}: ${asked} requests, ${faults.length} faults, slowest answer ${slowestMs.toFixed(0)} ms, memory ${memoryMB(served.process.pid!)} MB ${faults.join('; ')}`,
    );
  }
  await served.stop();
}

/** Resident memory of a process, MB. */
const memoryMB = (pid: number): string =>
  (Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1000).toFixed(0);
