import { Stack } from '@mantine/core';
import { isSealed } from '../../core/commands/apply-inspection';
import type { Slice } from '../../core/record/slice';
import { askedLooks } from '../../core/rulebook/asked';
import type { Dossier } from '../../core/rulebook/dossier';
import { device } from '../hand/hand';
import { give } from '../hand/give';
import { LookCard } from '../judging/LookCard';

/** What is looked at on a transit. */
export function TransitLooks({ slice, dossier }: { slice: Slice; dossier: Dossier }) {
  const { entry, round } = dossier;
  if (!round) return <p>This entry belongs to no round yet. Add it to one under Dossier, Rounds.</p>;
  const sealed = isSealed(slice, entry.id, round.id);
  return (
    <Stack className="spot-alone" gap={10} maw={640} mt="sm">
      {askedLooks(dossier).map((look) => (
        <LookCard
          key={look.id}
          look={look}
          given={dossier.looks.get(look.id)}
          recorded={dossier.recorded.has(look.id)}
          sealed={sealed}
          onAnswer={({ id: name }, given) =>
            void give('look.answer', {
              id: device.id(),
              entry: entry.id,
              round: round.id,
              look: name,
              ...given,
            })
          }
        />
      ))}
    </Stack>
  );
}
