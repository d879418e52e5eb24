import { Button } from '@mantine/core';
import { now } from '../../client/clock';
import type { Slice } from '../../core/record/slice';
import type { Entry } from '../../core/record/types';
import { entryListed } from '../../core/words/en/listed';
import { device, useDevice } from '../hand/hand';
import { give } from '../hand/give';

/** Shown when the address names no entry of this site. */
export function NoEntry() {
  const { site } = useDevice();
  return (
    <main id="main" className="empty">
      <h1>No entry is chosen</h1>
      <p>Choose one on the plan, or make the first one under Dossier.</p>
      <Button component="a" href={`/site/?site=${site ?? ''}`}>
        Go to the plan
      </Button>
    </main>
  );
}

/** Shown for an entry that belongs to no round yet: readings belong to a round. */
export function NoRound({ entry, slice }: { entry: Entry; slice: Slice }) {
  const open = slice.by('round', 'site', entry.site).filter(({ closed }) => !closed);
  return (
    <main id="main" className="empty">
      <h1>{entryListed(slice, entry).title} is in no round yet</h1>
      <p>Readings belong to a round, which says how closely the entry is inspected.</p>
      {open.map((round) => (
        <Button
          key={round.id}
          mr="sm"
          mb="sm"
          onClick={() =>
            give(
              'round.edit',
              { id: round.id, set: { entries: [...round.entries, entry.id] } },
              `Added to ${round.name}.`,
            )
          }
        >
          Add to {round.name} ({round.grade})
        </Button>
      ))}
      <Button
        variant="default"
        onClick={() =>
          give(
            'round.add',
            {
              id: device.id(),
              name: `Round of ${now().slice(0, 10)}`,
              grade: 'detailed',
              entries: [entry.id],
              started: now(),
              closed: null,
            },
            'A detailed round is started.',
          )
        }
      >
        Start a detailed round
      </Button>
    </main>
  );
}
