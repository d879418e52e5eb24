import { Button, Group, Kbd, Box, Text } from '@mantine/core';
import { useEffect, useRef, useState, type KeyboardEvent, type RefObject } from 'react';
import { asItShould, type LookGroup, type LookQuestion } from '../../core/kinds/look';
import type { Look } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { SPOT_WORDS } from '../../core/words/en/kinds/looks';
import { LookCard, type LookAnswerGiven } from './LookCard';

interface Props {
  groups: readonly LookGroup[];
  given: ReadonlyMap<string, Look>;
  recorded: ReadonlySet<string>;
  sealed: boolean;
  /** Look that has the eye; null for none. */
  active: string | null;
  onActive: (look: string) => void;
  onAnswer: (look: LookQuestion, given: LookAnswerGiven) => void;
  /** Everything open of a group was seen, and is as it should be. */
  onTogether: (group: LookGroup) => void;
}

/** What is answered by looking, in the order of the place: a card for each spot where one stands. */
export const LookGroups = ({ groups, ...rest }: Props) => (
  <Box mt={14} style={{ display: 'grid', gap: 14 }}>
    {groups.map((group) => (
      <SpotCard key={group.spot} group={group} {...rest} />
    ))}
  </Box>
);

function SpotCard({
  group,
  given,
  recorded,
  sealed,
  active,
  ...on
}: Omit<Props, 'groups'> & { group: LookGroup }) {
  const card = useRef<HTMLElement>(null);
  const seen = useSeen(card, group);
  const answered = group.looks.filter(({ id }) => given.has(id)).length;
  const open = group.looks.filter((look) => !given.has(look.id) && asItShould(look) !== null);
  const unseen = open.filter(({ id }) => !seen.has(id));
  // One look is answered as fast by itself.
  const offered = !sealed && open.length > 1;
  const together = () => (unseen.length > 0 ? on.onActive(unseen[0]!.id) : on.onTogether(group));
  const zero = (event: KeyboardEvent) => {
    if (event.key !== '0' || !offered || (event.target as HTMLElement).matches('input, textarea')) return;
    event.preventDefault();
    event.stopPropagation();
    together();
  };
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- a key for all of its looks
    <section ref={card} className="spot" aria-label={SPOT_WORDS[group.spot]} onKeyDown={zero}>
      <Group component="header" gap="sm" align="baseline" p="10px 12px 4px">
        <h2 className="flush">{SPOT_WORDS[group.spot]}</h2>
        <span className="quiet">
          {answered} of {group.looks.length} answered
        </span>
      </Group>
      {group.looks.map((look) => (
        <LookCard
          key={look.id}
          look={look}
          given={given.get(look.id)}
          recorded={recorded.has(look.id)}
          sealed={sealed}
          active={active === look.id}
          onAnswer={on.onAnswer}
          onActive={on.onActive}
        />
      ))}
      {offered && <Together open={open.length} unseen={unseen.length} onPress={together} />}
    </section>
  );
}

/** Answers what is open of a spot in one, once each of its questions has been on the screen. */
function Together({ open, unseen, onPress }: { open: number; unseen: number; onPress: () => void }) {
  return (
    <Group className="together" gap="sm" p="10px 12px">
      <Button variant="default" onClick={onPress}>
        <Kbd size="sm" aria-hidden="true" mr={6}>
          0
        </Kbd>
        {unseen > 0 ? 'Show what I have not seen yet' : 'All seen, all as they should be'}
      </Button>
      <Text component="small" size="sm" c="dimmed" flex="1 1 200px">
        {unseen > 0
          ? `${count(unseen, 'question')} of this card not on the screen yet`
          : `Answers ${count(open, 'look')} in one; the record says so. What can be right in two ways stays open.`}
      </Text>
    </Group>
  );
}

/** Looks of a card whose questions have been on the screen, whole. */
function useSeen(card: RefObject<HTMLElement | null>, group: LookGroup): ReadonlySet<string> {
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const ids = group.looks.map(({ id }) => id).join(' ');
  useEffect(() => {
    const watcher = new IntersectionObserver(
      (entries) => {
        const now = entries.flatMap(({ isIntersecting, target }) => isIntersecting ? ((target as HTMLElement).dataset.question ?? []) : []); // prettier-ignore
        if (now.length > 0) setSeen((before) => new Set([...before, ...now]));
      },
      { threshold: 1 },
    );
    for (const question of card.current?.querySelectorAll('[data-question]') ?? []) watcher.observe(question);
    return () => watcher.disconnect();
  }, [card, ids]);
  return seen;
}
