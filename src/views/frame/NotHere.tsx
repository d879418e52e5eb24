import { Button, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Scope } from '../../core/record/closure';
import type { Id } from '../../core/record/types';
import { device } from '../hand/hand';

interface NotHereProps {
  site: Id;
  /** What it is, in a word. */
  what: string;
  /** What brings it along. */
  more: Partial<Scope>;
  isHere: () => boolean;
}

/** Something of a large site that is not on this device: it comes along, where the server can be had. */
export default function NotHere({ site, what, more, isHere }: NotHereProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const [none, setNone] = useState(false);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let left = false;
    device.along.take(more).then(
      () => left || isHere() || setNone(true),
      (error: Error) => left || setProblem(error.message),
    );
    return () => void (left = true);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is asked for is another by its key
  }, [tries]);
  if (none)
    return (
      <main id="main" className="empty">
        <h1>This site has no such {what}</h1>
        <p>It may have been removed. Find, or the list under Where things stand, names what there is.</p>
        <Button component="a" href={`/site/?site=${site}`}>
          Where things stand
        </Button>
      </main>
    );
  return (
    <main id="main" className="empty" aria-busy={problem === null}>
      <h1>{problem === null ? `Fetching the ${what} …` : 'Not on this device'}</h1>
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
