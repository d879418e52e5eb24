import { Button, NavLink, Text } from '@mantine/core';
import '@mantine/core/styles/NavLink.layer.css';
import { memo, useMemo } from 'react';
import type { Clock } from '../../core/makeoff/clocks';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { CLOCK_WORDS, DUE_WORDS, span } from '../../core/words/en/makeoff';
import { now } from '../../client/clock';
import { clocksHere } from '../hand/alarm';
import { useNow } from '../hand/use-now';
import { openWork, runningWork } from './work';

interface Props {
  slice: Slice;
  site: Id;
  /** Grows with every change, so that the list is drawn again. */
  version: number;
  current: Id | null;
  onOpen: (id: Id | null) => void;
}

/** Work that is going on, side by side: where each one stands, and what it waits for. */
export const WorkList = memo(function WorkList({ slice, site, version, current, onOpen }: Props) {
  // Planned when a record changes; every second only the clocks are looked at.
  const lines = useMemo(() => linesOf(slice, site), [slice, site, version]); // eslint-disable-line react-hooks/exhaustive-deps
  const nowMs = useNow(1000);
  const { clocks } = clocksHere(site, nowMs);
  return (
    <nav className="works beside" aria-label="Work going on">
      <h2 style={{ whiteSpace: 'nowrap' }}>Going on</h2>
      {lines.length === 0 && (
        <Text c="dimmed" m="sm">
          Nothing. Choose an entry and start.
        </Text>
      )}
      {lines.map(({ id, entry, title, beside }) => (
        <NavLink
          key={id}
          component="button"
          active={entry === current}
          aria-current={entry === current ? 'page' : undefined}
          label={title}
          description={
            <>
              {beside}
              <Waits clock={clocks.find((one) => one.entry === entry)} nowMs={nowMs} />
            </>
          }
          onClick={() => onOpen(entry)}
        />
      ))}
      <Button variant="default" m="sm" flex="none" onClick={() => onOpen(null)}>
        Start another
      </Button>
    </nav>
  );
});

function linesOf(slice: Slice, site: Id) {
  return runningWork(slice, site).flatMap(({ id, entry }) => {
    const opened = openWork(slice, entry, Date.parse(now()));
    if (!opened) return [];
    const { dossier, plan } = opened;
    const steps = [...plan.slipOn, ...plan.steps];
    const done = steps.filter(({ tick }) => tick).length;
    return [
      {
        id,
        entry,
        title: `${dossier.enclosure.tag}, entry ${dossier.entry.label}`,
        beside: `${kindTitle(dossier.entry.kind)}, ${done} of ${steps.length} done`,
      },
    ];
  });
}

/** What a piece of work waits for. */
function Waits({ clock, nowMs }: { clock: Clock | undefined; nowMs: number }) {
  if (!clock) return null;
  const left = Date.parse(clock.due) - nowMs;
  return (
    <>
      <br />
      <span className={left <= 0 ? 'tone-failed' : ''}>
        {left <= 0 ? DUE_WORDS[clock.is] : `${CLOCK_WORDS[clock.is]}: ${span(left)}`}
      </span>
    </>
  );
}
