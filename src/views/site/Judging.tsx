import { Button, Group, Text } from '@mantine/core';
import { setJudging } from '../../client/lists';
import { count } from '../../core/words/en/format';
import { say, useJudging } from '../hand/hand';

/** Fewer are judged sooner than it is told. */
const WORTH_TELLING = 500;

/** How many entries of the site the server judges anew; it can be stopped, and gone on with. */
export function Judging() {
  const judging = useJudging();
  if (!judging || (judging.left < WORTH_TELLING && !judging.stopped)) return null;
  const { site, left, stopped } = judging;
  const set = (go: boolean) => {
    setJudging(site, go).catch((error: Error) => say(error.message));
  };
  return (
    <Group role="status" aria-label="Judged anew" gap="sm" my={6}>
      <Text size="sm">
        {count(left, 'entry', 'entries')} {stopped ? 'wait to be judged anew' : 'being judged anew'}: their
        states may be of before.
      </Text>
      <Button size="compact-md" variant="default" onClick={() => set(stopped)}>
        {stopped ? 'Go on' : 'Stop'}
      </Button>
    </Group>
  );
}
