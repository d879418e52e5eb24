import { Button, Group, Stack, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { fetchCopies, missingCopies, trimCopies } from '../../client/photo-copies';
import { lists } from '../../client/lists';
import { namedIn, type Scope } from '../../core/record/closure';
import type { Slice } from '../../core/record/slice';
import type { Area, Id, Round } from '../../core/record/types';
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
      <Group gap="sm" mb={6} wrap="nowrap">
        <Text size="sm" role="status" flex={1}>
          {doing.what ?? wordsOf(part)}
        </Text>
        {doing.stop && (
          <Button variant="default" h={40} onClick={doing.stop}>
            Stop
          </Button>
        )}
      </Group>
      <Photos state={state} doing={doing} />
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

/** Photos of what is here whose copies are not. */
function Photos({ state: { site, slice, version }, doing }: ViewProps & { doing: Doing }) {
  const [missing, setMissing] = useState(0);
  useEffect(() => {
    const look = missingCopies(site, photosOf(slice));
    void look.then(({ length }) => setMissing(length), () => undefined); // prettier-ignore
  }, [site, slice, version, doing.what]);
  if (missing === 0 || doing.what !== null) return null;
  return (
    <Group gap="sm" mb={6}>
      <Text size="sm" flex={1}>
        {count(missing, 'photo')} of what stands here can be seen with a signal only.
      </Text>
      <Button h={40} onClick={() => doing.run('Fetching photos …', fetchPhotos)}>
        Fetch {missing === 1 ? 'it' : 'them'}
      </Button>
    </Group>
  );
}

/** Fetches the photos of everything that is here; those that came before it is stopped stay. */
async function fetchPhotos(tell: Tell): Promise<void> {
  const { site, slice } = device.state();
  const missing = site === null ? [] : await missingCopies(site, photosOf(slice));
  if (missing.length === 0) return;
  const control = new AbortController();
  const told = (done: number) => tell(`${done} of ${count(missing.length, 'photo')} fetched`, () => control.abort());
  try {
    await fetchCopies(site!, missing, { told, signal: control.signal });
  } catch (error) {
    if (!control.signal.aborted) throw error;
  }
} // prettier-ignore

/** Every photo that the records here show. */
function photosOf(slice: Slice): Id[] {
  const looks = slice.all('look').flatMap(({ photo }) => photo ?? []);
  return [...new Set([...looks, ...slice.all('defect').flatMap(({ photos }) => photos)])];
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

/** Says how far something is, and what stops it. */
type Tell = (words: string, stop?: () => void) => void;

interface Doing {
  /** What is under way; null while nothing is. */
  what: string | null;
  /** Stops it; null where it cannot be stopped. */
  stop: (() => void) | null;
  problem: string | null;
  run: (what: string, doIt: (tell: Tell) => Promise<void>) => void;
}

function useDoing(): Doing {
  const [under, setUnder] = useState<{ what: string; stop: (() => void) | null } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const run: Doing['run'] = (words, doIt) => {
    setUnder({ what: words, stop: null });
    setProblem(null);
    doIt((what, stop) => setUnder({ what, stop: stop ?? null }))
      .catch((error: Error) => setProblem(error.message))
      .finally(() => setUnder(null));
  };
  return { what: under?.what ?? null, stop: under?.stop ?? null, problem, run };
}

async function leave(less: Partial<Scope>): Promise<void> {
  await device.along.leave(less);
  const { site, slice } = device.state();
  if (site !== null) await trimCopies(site, photosOf(slice));
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
      onClick={() => doing.run(`Leaving ${name} behind …`, () => leave(less))}
    >
      Leave behind
    </Button>
  </Group>
);

const Offered = ({ name, more, doing }: { name: string; more: Partial<Scope>; doing: Doing }) => (
  <Group gap="sm" wrap="nowrap">
    <span style={{ flex: 1 }}>{name}</span>
    <Button h={40} disabled={doing.what !== null} onClick={() => doing.run(`Fetching ${name} …`, (tell) => device.along.take(more).then(() => fetchPhotos(tell)))}>
      Take along
    </Button>
  </Group>
); // prettier-ignore
