import { Button, SimpleGrid, Stack, Text } from '@mantine/core';
import '@mantine/core/styles/SimpleGrid.layer.css';
import { ENTRY_STATES, type EntryState } from '../../core/record/finding';
import { SOON_DAYS, type DueWhen } from '../../core/programme/due-when';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';

/** How many entries are in which state; each shows its own alone. */
export function Summary({
  counts,
  only,
  onOnly,
}: {
  counts: Readonly<Record<EntryState, number>>;
  only: EntryState | 'all';
  onOnly: (state: EntryState | 'all') => void;
}) {
  return (
    <SimpleGrid cols={4} spacing={6} role="group" aria-label="Show by state">
      {ENTRY_STATES.map((state) => (
        <Button
          key={state}
          variant="default"
          bd={only === state ? '2px solid var(--ink)' : 'var(--hair) solid var(--rule)'}
          h={76}
          px={2}
          aria-pressed={only === state}
          onClick={() => onOnly(only === state ? 'all' : state)}
        >
          <Stack component="span" align="center" gap={2}>
            <SealGlyph state={glyphOfState(state)} size={22} label="" />
            <b className="figures">{counts[state]}</b>
            <small>{STATE_WORDS[state]}</small>
          </Stack>
        </Button>
      ))}
    </SimpleGrid>
  );
}

/** What the programme asks for: what is overdue, never inspected, or due next. */
export function DueLine({ counts }: { counts: Readonly<Record<DueWhen, number>> }) {
  const { overdue, initial, soon, later } = counts;
  if (overdue + initial + soon + later === 0) return null;
  return (
    <Text size="sm" my={6} role="status" aria-label="Due by programme">
      <b className={overdue > 0 ? 'tone-failed' : ''}>{overdue} overdue</b> for inspection
      {initial > 0 && `, ${initial} never inspected as the programme asks`}, {soon} due within {SOON_DAYS}{' '}
      days.
    </Text>
  );
}
