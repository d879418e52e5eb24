import type { AnyCommand, Payloads } from '../../src/core/commands/commands';
import { lookOf } from '../../src/core/kinds/kinds';
import { asItShould, type Spot } from '../../src/core/kinds/look';
import { addDossierOf } from '../seed';
import { addMineralEnds } from '../rounds';
import { entryId, type EntrySpec, type Script, type SiteSpec } from '../spec';
import { addPacking } from '../transits';
import { inspect } from '../visit';

type Given = Script['commands'][number];

/** Who inspects a block. */
const PEOPLE = ['A. Vell', 'M. Okonjo'] as const;

/** A part of the plant that one round goes through. */
export interface Block {
  number: number;
  spec: SiteSpec;
  /** Days from the generating day to its round; negative. */
  days: number;
}

/** What makes a block: its records, its mineral-insulated ends, and its close round, sealed. */
export function commandsOf(script: Script, { number, spec, days }: Block): Given[] {
  addDossierOf(script, spec);
  addMineralEnds(script, spec);
  const by = PEOPLE[number % PEOPLE.length]!;
  const round = `${spec.prefix}-round-${String(number + 100)}`;
  const entries = spec.entries.map((entry) => entryId(spec, entry));
  const started = script.at(days);
  script.add('round.add', { id: round, name: `Round ${number + 100}`, grade: 'close', entries, started, closed: null }, started, by); // prettier-ignore
  for (const entry of spec.entries) visit(script, spec, entry, { round, days: days + 1, by });
  for (const entry of spec.entries)
    if (entry.planted) raise(script, spec, entry, { round, days: days + 1, by });
  for (const entry of spec.entries) {
    const at = script.at(days + 2);
    script.add('inspection.seal', { id: script.id(at), entry: entryId(spec, entry), round }, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(days + 3) } }, script.at(days + 3), by);
  const ends = `${spec.prefix}-round-11`;
  const own = `${ends}-${number}`;
  // Told part by part, given in the order of time.
  script.commands.sort((a, b) => (a.command.at < b.command.at ? -1 : a.command.at > b.command.at ? 1 : 0));
  // The rounds of each block are its own.
  return together(spec, script.commands.splice(0)).map(({ command, by: giver }) => ({
    command: JSON.parse(JSON.stringify(command).replaceAll(`"${ends}"`, `"${own}"`)) as AnyCommand,
    by: giver,
  }));
}

interface Visited {
  round: string;
  days: number;
  by: string;
}

function visit(script: Script, spec: SiteSpec, entry: EntrySpec, visited: Visited): void {
  if (entry.transit) addPacking(script, spec, entry, script.at(visited.days), visited.by);
  inspect(script, spec, entry, { ...visited, reach: 'outside', sealedBefore: Boolean(entry.mineral) });
}

function raise(script: Script, spec: SiteSpec, entry: EntrySpec, { round, days, by }: Visited): void {
  const at = script.at(days);
  const of = { entry: entryId(spec, entry), round, check: entry.planted![0]!, grade: 'close' as const };
  script.add('defect.raise', { id: script.id(at), ...of, photos: [], action: '', observation: null }, at, by);
}

/** The last round, under way: everything of it is looked at, nothing measured yet. */
export function lastRound(
  script: Script,
  spec: SiteSpec,
  entries: readonly EntrySpec[],
  round: string,
): Given[] {
  const by = PEOPLE[0];
  for (const entry of entries)
    inspect(script, spec, entry, { round, days: -1, by, reach: 'all', sealedBefore: true });
  const looks = script.commands.splice(0).filter(({ command }) => command.kind === 'look.answer');
  return together(spec, looks);
}

/** Answers that are as they should be are given together, spot by spot, as a hand does. */
function together(spec: SiteSpec, commands: readonly Given[]): Given[] {
  const kinds = new Map(spec.entries.map((entry) => [entryId(spec, entry), entry.kind]));
  const done: Given[] = [];
  const groups = new Map<string, Payloads['look.together']>();
  for (const given of commands) {
    const spot = given.command.kind === 'look.answer' ? spotOf(given.command.payload, kinds) : null;
    if (spot === null) {
      done.push(given);
      continue;
    }
    const { id, entry, round, look } = given.command.payload as Payloads['look.answer'];
    const of = `${entry} ${round} ${spot}`;
    let payload = groups.get(of);
    if (!payload) {
      groups.set(of, (payload = { entry, round, spot, answers: [] }));
      const first: Given = { by: given.by, command: { ...given.command, kind: 'look.together', payload } as AnyCommand }; // prettier-ignore
      done.push(first);
    }
    (payload.answers as { id: string; look: string }[]).push({ id, look });
  }
  return done;
}

/** Where a look is given together with others; null for one that stands by itself. */
function spotOf(
  { entry, look, answer }: Payloads['look.answer'],
  kinds: ReadonlyMap<string, EntrySpec['kind']>,
): Spot | null {
  const kind = kinds.get(entry);
  const question = kind && lookOf(kind, look);
  return question && asItShould(question) === answer ? question.spot : null;
}
