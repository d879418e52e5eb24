import { Button, Group, Progress, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { onTask } from '../hand/hand';

/** How far a long request is, and what ends it. */
export function TaskBar({ task, words, onCancel }: { task: string; words: string; onCancel: () => void }) {
  const [far, setFar] = useState<{ done: number; of: number } | null>(null);
  useEffect(() => onTask((progress) => progress.task === task && setFar(progress)), [task]);
  const share = far && far.of > 0 ? (100 * far.done) / far.of : null;
  return (
    <Group role="status" gap="sm" className="task">
      <Text>
        {words}
        {far ? `: ${far.done} of ${far.of}` : ' …'}
      </Text>
      <Progress value={share ?? 100} animated={share === null} aria-label={words} w={180} />
      <Button size="compact-md" variant="default" onClick={onCancel}>
        Cancel
      </Button>
    </Group>
  );
}
