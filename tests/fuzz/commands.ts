import { PROVING_GROUND } from '../../demo/proving';
import { scriptOf } from '../../demo/seed';
import type { AnyCommand } from '../../src/core/commands/commands';
import type { App } from '../../src/server/app/app';
import { acceptCommands } from '../../src/server/commands/accept';

const LONG = 'x'.repeat(10_000);
let deep: unknown = 1;
for (let i = 0; i < 2500; i++) deep = [deep];

/** Values that are wrong nearly everywhere. */
export const WRONG: readonly unknown[] = [
  null, undefined, true, false, 0, -1, 1e9, 1e308, -0.000001, 0.5, NaN, Infinity, '', ' ', 'x', LONG, '\u0000', '\uD800',
  'a\u202Eb', 'a\u200Bb', '-000001-01-01T00:00:00Z', '9999-99-99', '2026-02-30', '../../etc/passwd', "'; DROP TABLE site; --",
  '__proto__', 'constructor', [], [[]], [null], ['x'], [1, 2, 3], {}, { x: 1 }, { id: {} },
  JSON.parse('{"__proto__": {"x": 1}}'), deep, Object.fromEntries(Array.from({ length: 400 }, (_, i) => [`k${i}`, i])),
]; // prettier-ignore

/** One sound command of every kind that the demo gives. */
function samples(today: Date): AnyCommand[] {
  const byKind = new Map<string, AnyCommand>();
  for (const { command } of scriptOf(PROVING_GROUND, today).commands) byKind.set(command.kind, command);
  const edits = [...byKind.values()].flatMap((command): AnyCommand[] => {
    const [table, verb] = command.kind.split('.');
    if (verb !== 'add') return [];
    const { id, ...set } = command.payload as { id: string };
    return [
      { ...command, kind: `${table}.edit`, payload: { id, set } },
      { ...command, kind: `${table}.remove`, payload: { id } },
    ] as unknown as AnyCommand[];
  });
  for (const edit of edits) if (!byKind.has(edit.kind)) byKind.set(edit.kind, edit);
  const any = [...byKind.values()][0]!;
  const { payload: instrument } = byKind.get('instrument.add') as { payload: { id: string } };
  byKind.set('instrument.lend', { ...any, kind: 'instrument.lend', payload: { ...instrument, id: 'lent', of: instrument.id } } as AnyCommand); // prettier-ignore
  byKind.set('undo', { ...any, kind: 'undo', payload: { command: 'none' } });
  return [...byKind.values()];
}

/** Every place in a value: paths to each field and list item, the whole itself included. */
function pathsOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  const inner = Array.isArray(value)
    ? value.slice(0, 2).map((one, i) => [i, one] as const)
    : Object.entries(value);
  return [path, ...inner.flatMap(([key, one]) => pathsOf(one, [...path, key]))];
}

function withAt(value: unknown, [key, ...rest]: readonly (string | number)[], wrong: unknown): unknown {
  if (key === undefined) return wrong;
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }) as Record<string | number, unknown>; // prettier-ignore
  copy[key] = withAt(copy[key], rest, wrong);
  return copy;
}

/** What became of the wrong commands. */
export interface Fuzzed {
  given: number;
  kinds: number;
  refused: number;
  /** Commands on which the server failed, the first few. */
  faults: string[];
  /** Slowest answer, ms. */
  slowestMs: number;
}

/**
 * Gives a site every kind of command with every field wrong in every way, each for itself.
 *
 * @param every only each so manieth of them, for a short run
 */
export function fuzzCommands(app: App, site: string, every = 1): Fuzzed {
  const found: Fuzzed = { given: 0, kinds: 0, refused: 0, faults: [], slowestMs: 0 };
  let n = 0;
  for (const sample of samples(app.clock())) {
    found.kinds++;
    const own = JSON.parse(JSON.stringify(sample)) as AnyCommand;
    for (const path of pathsOf({ ...own, id: 'x' })) {
      for (const [which, wrong] of WRONG.entries()) {
        if (n++ % every !== 0) continue;
        // As JSON carries it: what is no JSON is left out or null.
        const value = withAt({ ...own, id: path[0] === 'id' ? '' : `fz-${n}`, site }, path, wrong);
        const start = performance.now();
        const [answer] = acceptCommands(app, [JSON.parse(JSON.stringify(value ?? null))], {
          id: 'f',
          name: 'F. Uzz',
        });
        found.slowestMs = Math.max(found.slowestMs, performance.now() - start);
        found.given++;
        if (answer!.status !== 'refused') continue;
        found.refused++;
        if (answer!.code === 'fault' && found.faults.length < 20)
          found.faults.push(`${own.kind} ${path.join('.')} wrong ${which}`);
      }
    }
  }
  return found;
}
