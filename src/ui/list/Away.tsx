import { Button, Group, Text } from '@mantine/core';
import type { List } from './use-list';

/** A list that could not be had: what is on the device stands under it. */
export const Away = <R,>({ list }: { list: List<R> }) => (
  <Group role="alert" gap="sm" p={6} mb="sm">
    <Text size="sm" flex="1 1 200px">
      {list.problem} Here is what is on this device.
    </Text>
    <Button variant="default" onClick={list.again}>
      Ask again
    </Button>
  </Group>
);
