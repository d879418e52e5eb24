import { Verdict } from '../../ui/Figure';
import { NativeSelect, Table } from '@mantine/core';
import { useMemo, useState } from 'react';
import { newestByPair, thresholdAt } from '../../core/rulebook/cable-tests';
import { at20C, pairsOf } from '../../core/mineral/insulation';
import { DRYING_READINGS, dryingState, fitTrend } from '../../core/mineral/trend';
import type { Slice } from '../../core/record/slice';
import type { Cable, Id, InsulationTest } from '../../core/record/types';
import { figure } from '../../core/words/en/format';
import { now } from '../../client/clock';
import type { LogCurve } from '../../ui/DrawnLogChart';
import { LogChart } from '../../ui/LogChart';
import { megohmWords } from './insulation-words';
import { StartTest } from './StartTest';
import { TesterTray } from './TesterTray';
import { testsOf } from './tests-of';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

interface DryingProps {
  slice: Slice;
  cable: Cable;
  /** The end that is being made off; null where that is not said. */
  entry?: Id | null;
}

/** Drying an end out: readings while it warms, their trend, and when the threshold will be reached. */
export function Drying({ slice, cable, entry = null }: DryingProps) {
  const mineral = cable.mineral!;
  const pairs = pairsOf(mineral.conductors, mineral.screened);
  const [pair, setPair] = useState(pairs[0]!);
  const all = testsOf(slice, cable.id);
  const today = useMemo(
    () => all.filter(({ drying, at }) => drying && Date.parse(now()) - Date.parse(at) < 2 * DAY_MS),
    [all],
  );
  const readings = useMemo(() => minutesOf(today, pair), [today, pair]);
  const open = today.find(({ readings: some }) => !newestByPair(some).has(pair));
  const thresholdMegohm = thresholdAt(mineral, 'before-seal');
  return (
    <>
      <p className="caution">
        Flame needs a hot work permit and a gas test, and never in a hazardous area without both. Warm from
        the sealed part towards the open end, evenly, and keep the sheath below its limit.
      </p>
      <NativeSelect
        maw={220}
        mb="xs"
        label="Pair"
        value={pair}
        data={pairs}
        onChange={(event) => setPair(event.currentTarget.value)}
      />
      {open ? (
        <TesterTray key={open.id} test={open} pair={pair} onRead={() => undefined} />
      ) : (
        <StartTest slice={slice} cable={cable} drying entry={entry} onDone={() => undefined} />
      )}
      <DryingState readings={readings} thresholdMegohm={thresholdMegohm} windowMin={mineral.windowMin} />
      {readings.length > 0 && <DryingCurve readings={readings} thresholdMegohm={thresholdMegohm} />}
    </>
  );
}

/** Insulation at 20 °C over the minutes since the first reading. */
type Minutes = readonly { t: number; megohm: number }[];

function minutesOf(tests: readonly InsulationTest[], pair: string): Minutes {
  const read = tests.flatMap(({ readings, temperatureC }) => {
    const reading = newestByPair(readings).get(pair);
    return reading ? [{ ms: Date.parse(reading.at), megohm: at20C(reading.megohm, temperatureC) }] : [];
  });
  return read.map(({ ms, megohm }) => ({ t: (ms - read[0]!.ms) / MINUTE_MS, megohm }));
}

interface DryingStateProps {
  readings: Minutes;
  thresholdMegohm: number;
  windowMin: number;
}

function DryingState({ readings, thresholdMegohm, windowMin }: DryingStateProps) {
  const state = dryingState(readings, thresholdMegohm);
  const good = state.is === 'reached' ? true : state.is === 'not-rising' ? false : null;
  const threshold = megohmWords(thresholdMegohm);
  return (
    <Verdict good={good}>
      {state.is === 'too-few' &&
        `${state.have} of ${DRYING_READINGS} readings that a trend needs. A fall before the rise is usual.`}
      {state.is === 'reached' &&
        `${threshold} is reached: let it cool, test every pair, and seal within ${windowMin} min.`}
      {state.is === 'not-rising' &&
        'It is not rising. Warm it further, or look for water that keeps coming in.'}
      {state.is === 'rising' &&
        `It rises: ${threshold} in about ${figure(Math.max(0, state.crossing.t - (readings.at(-1)?.t ?? 0)), 0)} min${state.crossing.expanded === null ? '' : ` (give or take ${figure(state.crossing.expanded, 0)} min)`}.`}
    </Verdict>
  );
}

/** The curve with the line through its last readings, and the same as a table. */
function DryingCurve({ readings, thresholdMegohm }: { readings: Minutes; thresholdMegohm: number }) {
  const curve = useMemo(() => curveOf(readings, thresholdMegohm), [readings, thresholdMegohm]);
  return (
    <>
      <LogChart
        curve={curve}
        xTitle="Minutes since the first reading"
        yTitle="Insulation at 20 °C, MΩ"
        label="Insulation while drying"
      />
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
            {readings.map(({ t, megohm }) => (
              <Table.Tr key={t}>
                <Table.Td className="figures">{figure(t, 0)}</Table.Td>
                <Table.Td className="figures">{megohmWords(megohm)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </details>
    </>
  );
}

function curveOf(readings: Minutes, thresholdMegohm: number): LogCurve {
  const last = readings.slice(-DRYING_READINGS);
  const trend = last.length === DRYING_READINGS ? fitTrend(last) : null;
  const end = (last.at(-1)?.t ?? 0) * 1.4 + 1;
  return {
    points: readings.map(({ t, megohm }) => ({ x: t, y: megohm })),
    fitted: trend
      ? [last[0]!.t, end].map((x) => ({ x, y: Math.exp(trend.intercept + trend.slope * x) }))
      : [],
    levels: [thresholdMegohm],
  };
}
