import { NativeSelect, Table } from '@mantine/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { newestByPair, thresholdAt } from '../../core/rulebook/cable-tests';
import { at20C, pairsOf } from '../../core/mineral/insulation';
import { DRYING_READINGS, dryingState, fitTrend } from '../../core/mineral/trend';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { now } from '../../client/clock';
import { StartTest } from './StartTest';
import { testsOf } from './tests-of';
import { TesterTray } from './TesterTray';
import { megohmWords } from './insulation-words';

const LogChart = lazy(() => import('./LogChart'));

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** Drying an end out: readings while it warms, their trend, and when the threshold will be reached. */
export function Drying({
  slice,
  cable,
  entry = null,
}: {
  slice: Slice;
  cable: Cable;
  /** The end that is being made off; null where that is not said. */
  entry?: Id | null;
}) {
  const mineral = cable.mineral!;
  const pairs = pairsOf(mineral.conductors, mineral.screened);
  const [pair, setPair] = useState(pairs[0]!);
  const all = testsOf(slice, cable.id);
  const today = useMemo(
    () => all.filter(({ drying, at }) => drying && Date.parse(now()) - Date.parse(at) < 2 * DAY_MS),
    [all],
  );
  const threshold = thresholdAt(mineral, 'before-seal');
  const readings = useMemo(
    () =>
      today.flatMap(({ readings: some, temperatureC }) => {
        const reading = newestByPair(some).get(pair);
        return reading ? [{ t: Date.parse(reading.at), megohm: at20C(reading.megohm, temperatureC) }] : [];
      }),
    [today, pair],
  );
  const start = readings[0]?.t ?? 0;
  const minutes = readings.map(({ t, megohm }) => ({ t: (t - start) / MINUTE_MS, megohm }));
  const state = dryingState(minutes, threshold);
  const drawn = useMemo(() => {
    const from = readings[0]?.t ?? 0;
    const points = readings.map(({ t, megohm }) => ({ x: (t - from) / MINUTE_MS, y: megohm }));
    const last = points.slice(-DRYING_READINGS).map(({ x, y }) => ({ t: x, megohm: y }));
    const trend = last.length === DRYING_READINGS ? fitTrend(last) : null;
    const end = (last[last.length - 1]?.t ?? 0) * 1.4 + 1;
    const line = trend
      ? [last[0]!.t, end].map((t) => ({ x: t, y: Math.exp(trend.intercept + trend.slope * t) }))
      : [];
    return { points, line };
  }, [readings]);
  const open = today.find(({ readings: some }) => !newestByPair(some).has(pair));
  return (
    <>
      <p className="caution">
        Flame needs a hot work permit and a gas test, and never in a hazardous area without both. Warm from
        the sealed part towards the open end, evenly, and keep the sheath below its limit.
      </p>
      <NativeSelect
        className="field short"
        label="Pair"
        value={pair}
        onChange={(event) => setPair(event.target.value)}
      >
        {pairs.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </NativeSelect>
      {open ? (
        <TesterTray key={open.id} test={open} pair={pair} onRead={() => undefined} />
      ) : (
        <StartTest slice={slice} cable={cable} drying entry={entry} onDone={() => undefined} />
      )}
      <p
        className={`verdict ${state.is === 'reached' ? 'good' : state.is === 'not-rising' ? 'bad' : 'open'}`}
        role="status"
      >
        {state.is === 'too-few' &&
          `${state.have} of ${DRYING_READINGS} readings that a trend needs. A fall before the rise is usual.`}
        {state.is === 'reached' &&
          `${megohmWords(threshold)} is reached: let it cool, test every pair, and seal within ${mineral.windowMin} min.`}
        {state.is === 'not-rising' &&
          'It is not rising. Warm it further, or look for water that keeps coming in.'}
        {state.is === 'rising' &&
          `It rises: ${megohmWords(threshold)} in about ${figure(Math.max(0, state.crossing.t - (minutes[minutes.length - 1]?.t ?? 0)), 0)} min${state.crossing.expanded === null ? '' : ` (give or take ${figure(state.crossing.expanded, 0)} min)`}.`}
      </p>
      {readings.length > 0 && (
        <>
          <Suspense fallback={<div className="chart" />}>
            <LogChart
              points={drawn.points}
              fitted={drawn.line}
              threshold={threshold}
              xTitle="Minutes since the first reading"
              label="Insulation while drying"
            />
          </Suspense>
          <details>
            <summary>The same as a table</summary>
            <Table>
              <Table.Thead>
                <Table.Tr>
                  <Table.Th scope="col">Minutes</Table.Th>
                  <Table.Th scope="col">At 20 °C</Table.Th>
                </Table.Tr>
              </Table.Thead>
              <Table.Tbody>
                {minutes.map(({ t, megohm }) => (
                  <Table.Tr key={t}>
                    <Table.Td className="figures">{figure(t, 0)}</Table.Td>
                    <Table.Td className="figures">{megohmWords(megohm)}</Table.Td>
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          </details>
        </>
      )}
    </>
  );
}
