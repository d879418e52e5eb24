import { Box, Group, Stack } from '@mantine/core';
import type { Clock } from '../../core/makeoff/clocks';
import type { Id } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { CLOCK_WORDS } from '../../core/words/en/makeoff';
import { clockWhat, whereWords } from '../../core/words/en/where';
import { ClockRing } from '../../ui/ClockRing';
import { ListFilters } from '../../ui/list/ListFilters';
import { listed } from '../../ui/list/source';
import { useList, type Filter } from '../../ui/list/use-list';
import { Root, type ViewProps } from '../frame/Root';
import { clocksHere } from '../hand/alarm';
import { clockAddress } from '../hand/clock-address';
import { untold } from '../hand/far-clocks';
import { useNow } from '../hand/use-now';
import { Signals } from './Signals';
import { Temperature } from './Temperature';

const KINDS: Filter['options'] = [
  ['', 'Every clock'],
  ['working-life', 'Working life'],
  ['look', 'Look'],
  ['energise', 'Energise'],
  ['stale-test', 'Insulation test'],
];

/** Clocks: everything that is curing or stiffening, what is due next first. */
export default function Clocks() {
  return <Root view="clocks">{(state) => <ClocksOf state={state} />}</Root>;
}

function ClocksOf({ state: { slice, site, part } }: ViewProps) {
  const nowMs = useNow(1000);
  const { clocks } = clocksHere(site, nowMs);
  return (
    <Box component="main" id="main" className="page" maw={1100} tabIndex={-1}>
      <header className="title">
        <h1>Clocks</h1>
        <p>
          {clocks.length === 0 ? 'Nothing runs' : `${clocks.length} running`},{' '}
          {clocks.filter(({ due }) => Date.parse(due) <= nowMs).length} due
          {part && untold() > 0 && `; ${untold()} more run out later`}
        </p>
      </header>
      <Late site={site} nowMs={nowMs} />
      <Running clocks={clocks} site={site} nowMs={nowMs} />
      <Temperature slice={slice} site={site} />
      <p className="quiet">
        The cure runs on the lowest temperature since packing and is never shortened; below the sheet’s
        minimum it stands still. An insulation test is too old to seal by once the window of its cable has
        passed.
      </p>
    </Box>
  );
}

/** Compound that was packed after it had stiffened. */
const Late = ({ site, nowMs }: { site: Id; nowMs: number }) =>
  clocksHere(site, nowMs).late.map(({ pour, entry, where, byMin }) => (
    <p key={pour} className="make-safe" role="alert">
      <b>{whereWords(where)}</b>: the compound was packed {figure(byMin, 0)} min after it had stiffened. Take
      it out and pack fresh compound. <a href={`/makeoff/?site=${site}&entry=${entry}`}>To its make-off</a>
    </p>
  ));

interface RunningProps {
  clocks: readonly Clock[];
  site: Id;
  nowMs: number;
}

/** The clocks with search and filter. */
function Running({ clocks, site, nowMs }: RunningProps) {
  const list = useList(
    listed(clocks, {
      key: ({ id }) => id,
      words: ({ where, compound, is }) => `${whereWords(where)} ${clockWhat(compound)} ${CLOCK_WORDS[is]}`,
      only: { is: (clock, value) => clock.is === value },
    }),
  );
  return (
    <>
      <ListFilters
        list={list}
        search="Entry or compound"
        placeholder="for example AX-31"
        filters={[{ id: 'is', label: 'Show', options: KINDS }]}
      >
        <Signals />
      </ListFilters>
      {clocks.length === 0 && (
        <p>
          A clock starts when compound or resin is mixed at a make-off, or a mineral cable tests sound before
          sealing. <a href={`/makeoff/?site=${site}`}>Start one</a>.
        </p>
      )}
      {clocks.length > 0 && list.matching === 0 && <p>No clock matches. Clear the search.</p>}
      <ul className="bare clock-list">
        {list.rows.map((clock) => (
          <Group component="li" key={clock.id} grow style={{ borderBottom: 'var(--hair) solid var(--rule)' }}>
            <ClockRing clock={clock} nowMs={nowMs} />
            <Stack gap={0}>
              <a className="line" href={clockAddress(clock, site)}>
                {whereWords(clock.where)}
              </a>
              <small className="quiet">{clockWhat(clock.compound)}</small>
            </Stack>
          </Group>
        ))}
      </ul>
    </>
  );
}
