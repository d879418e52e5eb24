import { Text } from '@mantine/core';
import type { HistoryLine } from '../../core/words/en/history';
import { moment } from '../../core/words/en/format';

/** A history: when, who, and what from what to what. */
export function HistoryList({ lines }: { lines: readonly HistoryLine[] }) {
  return (
    <Text component="ul" size="sm" m={0} pl={18}>
      {lines.map(({ id, at, by, undone, said }) => (
        <li key={id} className={undone ? 'undone' : ''}>
          <span className="quiet">
            {moment(at)}, {by}
            {undone ? ' (undone)' : ''}
          </span>
          <ul>
            {said.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </li>
      ))}
    </Text>
  );
}
