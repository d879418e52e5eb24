import { Button, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Id } from '../../core/record/types';
import { device } from '../hand/hand';

/** An entry of a large site that is not on this device: it comes along, where the server can be had. */
export default function NotHere({ entry, site }: { entry: Id; site: Id }) {
  const [problem, setProblem] = useState<string | null>(null);
  const [none, setNone] = useState(false);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let left = false;
    device.along.take({ entries: [entry] }).then(
      () => left || device.along.isHere(entry) || setNone(true),
      (error: Error) => left || setProblem(error.message),
    );
    return () => void (left = true);
  }, [entry, tries]);
  if (none)
    return (
      <main id="main" className="empty">
        <h1>This site has no such entry</h1>
        <p>It may have been removed. Find, or the list of entries, names those that there are.</p>
        <Button component="a" href={`/site/?site=${site}`}>
          Where things stand
        </Button>
      </main>
    );
  return (
    <main id="main" className="empty" aria-busy={problem === null}>
      <h1>{problem === null ? 'Fetching the entry …' : 'Not on this device'}</h1>
      {problem !== null && (
        <>
          <Text role="alert" mb="sm">
            {problem}
          </Text>
          <Button
            mr="sm"
            onClick={() => {
              setProblem(null);
              setTries(tries + 1);
            }}
          >
            Try again
          </Button>
          <Button component="a" variant="default" href={`/site/?site=${site}`}>
            Where things stand
          </Button>
        </>
      )}
    </main>
  );
}
