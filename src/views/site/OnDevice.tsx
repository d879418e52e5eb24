import { Button, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { lists } from '../../client/lists';
import { namedIn, type Scope } from '../../core/record/closure';
import type { Area, Round } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import type { ViewProps } from '../frame/Root';
import { device } from '../hand/hand';
import { useAsked } from '../hand/use-asked';

/** Rounds under way that are offered. */
const MOST_OFFERED = 12;

/** What of a large site is on this device, and what can be taken along. */
export function OnDevice({ state, area }: ViewProps & { area: Area | null }) {
  const { site, slice, part } = state;
  const offered = useAsked(
    (signal) => lists.named(site, 'round', { q: 'under way', limit: MOST_OFFERED }, signal),
    site,
  );
  const doing = useDoing();
  if (!part) return null;
  const { scope } = part;
  const rounds = (offered.answer?.rows ?? []).filter(({ id }) => !scope.rounds.includes(id));
  return (
    <section aria-label="On this device">
      <h2>On this device</h2>
      <Text size="sm" mb={6} role="status">
        {doing.what ?? wordsOf(part)}
      </Text>
      {doing.problem && (
        <Text role="alert" size="sm" className="tone-failed">
          {doing.problem}
        </Text>
      )}
      <Stack gap={6}>
        {scope.rounds.map((id) => (
          <Taken key={id} name={roundWords(slice.get('round', id))} doing={doing} less={{ rounds: [id] }} />
        ))}
        {scope.areas.map((id) => (
          <Taken key={id} name={slice.get('area', id)?.name ?? 'An area'} doing={doing} less={{ areas: [id] }} />
        ))}
        {openedHere(scope) && (
          <Taken name={openedHere(scope)} doing={doing} less={{ entries: scope.entries, enclosures: scope.enclosures, cables: scope.cables }} />
        )}
        {rounds.map((round) => (
          <Offered key={round.id} name={roundWords(round)} doing={doing} more={{ rounds: [round.id] }} />
        ))}
        {area && !scope.areas.includes(area.id) && (
          <Offered name={area.name} doing={doing} more={{ areas: [area.id] }} />
        )}
      </Stack>
    </section>
  ); // prettier-ignore
}

/** What came along by being opened, in words; empty where nothing has. */
function openedHere({ entries, enclosures, cables }: Scope): string {
  const lists = [
    [entries, 'entry', 'entries'],
    [enclosures, 'enclosure', 'enclosures'],
    [cables, 'cable', 'cables'],
  ] as const;
  const some = lists.filter(([of]) => of.length > 0).map(([of, one, many]) => count(of.length, one, many));
  return some.length > 0 ? `${some.join(', ')} opened here` : '';
}

const roundWords = (round: Round | null): string =>
  round ? `${round.name}, ${count(round.entries.length, 'entry', 'entries')}` : 'A round';

function wordsOf({ scope, bytes }: { scope: Scope; bytes: number }): string {
  const mb = `${(bytes / 1e6).toFixed(1)} MB`;
  return namedIn(scope) === 0
    ? 'Nothing yet: take a round along, or choose an area on the plan. What you open comes along by itself.'
    : `${mb} fetched. What stands here works without a signal.`;
}

interface Doing {
  /** What is under way; null while nothing is. */
  what: string | null;
  problem: string | null;
  run: (what: string, doIt: () => Promise<void>) => void;
}

function useDoing(): Doing {
  const [what, setWhat] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const run = (words: string, doIt: () => Promise<void>) => {
    setWhat(words);
    setProblem(null);
    doIt()
      .catch((error: Error) => setProblem(error.message))
      .finally(() => setWhat(null));
  };
  return { what, problem, run };
}

const Taken = ({ name, less, doing }: { name: string; less: Partial<Scope>; doing: Doing }) => (
  <Group gap="sm" wrap="nowrap">
    <span style={{ flex: 1 }}>
      <b>{name}</b>
    </span>
    <Button
      variant="default"
      h={40}
      disabled={doing.what !== null}
      onClick={() => doing.run(`Leaving ${name} behind …`, () => device.along.leave(less))}
    >
      Leave behind
    </Button>
  </Group>
);

const Offered = ({ name, more, doing }: { name: string; more: Partial<Scope>; doing: Doing }) => (
  <Group gap="sm" wrap="nowrap">
    <span style={{ flex: 1 }}>{name}</span>
    <Button h={40} disabled={doing.what !== null} onClick={() => doing.run(`Fetching ${name} …`, () => device.along.take(more))}>
      Take along
    </Button>
  </Group>
); // prettier-ignore
