import { LogChart } from '../../ui/LogChart';
import { Button, Table } from '@mantine/core';
import { useMemo, useState } from 'react';
import { historyOf } from '../../core/rulebook/cable-tests';
import { isSignificant, type Trend } from '../../core/mineral/trend';
import type { Slice } from '../../core/record/slice';
import type { Cable, InsulationTest } from '../../core/record/types';
import { count, figure, month } from '../../core/words/en/format';
import { now } from '../../client/clock';
import { InsulationGrid } from '../testing/InsulationGrid';
import { megohmWords } from '../testing/insulation-words';
import { StartTest } from '../testing/StartTest';
import { testsOf } from '../testing/tests-of';

const DAY_MS = 86_400_000;
const YEAR_MS = 365.25 * DAY_MS;

/** The insulation of one cable: the test in hand as a grid of pairs, what to do, and the years before. */
export function Insulation({ slice, cable }: { slice: Slice; cable: Cable }) {
  const tests = testsOf(slice, cable.id);
  const own = tests.filter(({ drying }) => !drying);
  const newest = own[own.length - 1] ?? null;
  // A test stays in hand until its pairs are read, and for the rest of its day.
  const inHand = newest && Date.parse(now()) - Date.parse(newest.at) < DAY_MS ? newest : null;
  const [starting, setStarting] = useState(false);
  const before = inHand ? (own[own.length - 2] ?? null) : null;
  return (
    <>
      <p>
        {cable.from} to {cable.to}, {cable.lengthM} m, {count(cable.mineral!.conductors.length, 'conductor')}
        {cable.mineral!.screened && ', screened'}
        {cable.mineral!.jacketed && ', jacketed'}; tested at {cable.mineral!.testVoltage} V d.c.
      </p>
      <p className="caution">
        The test voltage can ignite: not in a hazardous atmosphere. Disconnect equipment, and discharge the
        cable after each reading.
      </p>
      {inHand && <InsulationGrid cable={cable} test={inHand} before={before} />}
      {(!inHand || starting) && (
        <StartTest slice={slice} cable={cable} drying={false} onDone={() => setStarting(false)} />
      )}
      {inHand && !starting && (
        <Button variant="default" onClick={() => setStarting(true)}>
          Start another test
        </Button>
      )}
      <History cable={cable} tests={own} />
    </>
  );
}

/** Why there is no forecast. */
function noForecast(trend: Trend | null): string {
  if (!trend) return 'Fewer than four tests count: no forecast.';
  if (trend.slope >= 0) return 'It does not fall towards its limit.';
  return isSignificant(trend)
    ? 'It falls slowly: its limit lies further ahead than twice the time that was watched. No forecast.'
    : 'No fall beyond the scatter of the tests: no forecast.';
}

/** The worst pair of every test on a log axis, with the forecast. */
function History({ cable, tests }: { cable: Cable; tests: readonly InsulationTest[] }) {
  const { points, trend, crossing } = useMemo(() => historyOf(cable, tests), [cable, tests]);
  const { serviceMegohm } = cable.mineral!;
  const curve = useMemo(() => {
    const x = (t: number) => t / YEAR_MS + 1970;
    const until = crossing ? crossing.t : (points[points.length - 1]?.t ?? 0);
    const line =
      trend && points.length > 0
        ? [points[0]!.t, until].map((t) => ({ x: x(t), y: Math.exp(trend.intercept + trend.slope * t) }))
        : [];
    return {
      points: points.map(({ t, megohm }) => ({ x: x(t), y: megohm })),
      fitted: line,
      levels: [serviceMegohm],
    };
  }, [points, trend, crossing, serviceMegohm]);
  if (points.length === 0) return <p className="quiet">No test of this cable counts yet.</p>;
  return (
    <section>
      <h2>The worst pair of every test</h2>
      <LogChart
        curve={curve}
        xTitle="Year"
        yTitle="Insulation at 20 °C, MΩ"
        label="Insulation over the years"
        xWords={yearWords}
      />
      <p className={crossing ? 'tone-close' : ''} role="status">
        {crossing
          ? `At this rate it falls below ${megohmWords(serviceMegohm)} in ${month(crossing.t)}${crossing.expanded === null ? '' : `, give or take ${spanWords(crossing.expanded)}`}.`
          : points[points.length - 1]!.megohm < serviceMegohm
            ? `It has fallen below ${megohmWords(serviceMegohm)}.`
            : noForecast(trend)}
      </p>
      <details>
        <summary>The same as a table</summary>
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">Test</Table.Th>
              <Table.Th scope="col">Worst pair</Table.Th>
              <Table.Th scope="col">At 20 °C</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {points.map(({ t, pair, megohm, test }) => (
              <Table.Tr key={test}>
                <Table.Th scope="row">{month(t)}</Table.Th>
                <Table.Td>{pair}</Table.Td>
                <Table.Td className="figures">{megohmWords(megohm)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </details>
    </section>
  );
}

const yearWords = (x: number): string => String(Math.round(x * 10) / 10);

const spanWords = (ms: number): string => {
  const months = ms / (YEAR_MS / 12);
  return months >= 24 ? `${figure(months / 12, 1)} years` : count(Math.max(1, Math.round(months)), 'month');
};
