import { UnstyledButton } from '@mantine/core';
import { memo } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { clocksOfSite } from '../../core/makeoff/clocks';
import { CLOCK_WORDS, DUE_WORDS, span } from '../../core/words/en/makeoff';
import { useNow } from '../hand/use-now';
import { openWork, runningWork } from './work';
import { kindTitle } from '../../core/words/en/kinds/kinds';

/** Work that is going on, side by side: where each one stands, and what it waits for. */
export const WorkList = memo(function WorkList({
  slice,
  site,
  current,
  onOpen,
}: {
  slice: Slice;
  site: Id;
  /** Grows with every change, so that the list is drawn again. */
  version: number;
  current: Id | null;
  onOpen: (id: Id | null) => void;
}) {
  const nowMs = useNow(1000);
  const works = runningWork(slice, site);
  const { clocks } = clocksOfSite(slice, site, nowMs);
  return (
    <nav className="works" aria-label="Work going on">
      <h2>Going on</h2>
      {works.length === 0 && <p className="quiet">Nothing. Choose an entry and start.</p>}
      <ul>
        {works.map(({ id, entry }) => {
          const opened = openWork(slice, entry, nowMs);
          if (!opened) return null;
          const { dossier, plan } = opened;
          const total = plan.slipOn.length + plan.steps.length;
          const done = [...plan.slipOn, ...plan.steps].filter(({ tick }) => tick).length;
          const clock = clocks.find((one) => one.entry === entry);
          return (
            <li key={id}>
              <UnstyledButton
                aria-current={entry === current ? 'page' : undefined}
                onClick={() => onOpen(entry)}
              >
                <b>
                  {dossier.enclosure.tag}, entry {dossier.entry.label}
                </b>
                <small>
                  {kindTitle(dossier.entry.kind)}, {done} of {total} done
                </small>
                {clock && (
                  <small className={Date.parse(clock.due) <= nowMs ? 'tone-failed' : ''}>
                    {Date.parse(clock.due) <= nowMs
                      ? DUE_WORDS[clock.is]
                      : `${CLOCK_WORDS[clock.is]}: ${span(Date.parse(clock.due) - nowMs)}`}
                  </small>
                )}
              </UnstyledButton>
            </li>
          );
        })}
      </ul>
      <UnstyledButton className="another" onClick={() => onOpen(null)}>
        Start another
      </UnstyledButton>
    </nav>
  );
});
