import { Table, UnstyledButton } from '@mantine/core';
import './insulation.css';
import { useState } from 'react';
import { fallsBetween, newestByPair, stateOfTest } from '../../core/rulebook/cable-tests';
import type { Cable, InsulationTest } from '../../core/record/types';
import { count, figure } from '../../core/words/en/format';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { ACTION_WORDS, megohmWords, STAGE_WORDS, VERDICT_GLYPH, VERDICT_WORDS } from './insulation-words';
import { TesterTray } from './TesterTray';
import { useNow } from '../hand/use-now';

/** The pairs of a test as a grid to fill, and what follows. */
export function InsulationGrid({
  cable,
  test,
  before,
}: {
  cable: Cable;
  test: InsulationTest;
  before: InsulationTest | null;
}) {
  const nowMs = useNow(5000);
  const [chosen, setChosen] = useState<string | null>(null);
  const { pairs, judged, missing, action, thresholdMegohm, oldestMin } = stateOfTest(cable, test, nowMs);
  const newest = newestByPair(test.readings);
  const falls = before ? fallsBetween(cable, before, test) : [];
  const { conductors, screened, windowMin } = cable.mineral!;
  const names = [...conductors, ...(screened ? ['screen'] : []), 'sheath'];
  const pair = chosen ?? missing[0] ?? pairs[0]!;
  return (
    <section aria-label="Test in hand">
      <h2>
        {STAGE_WORDS[test.stage]}, {test.temperatureC} °C, far end {test.farEndSealed ? 'sealed' : 'open'}; at
        least {megohmWords(thresholdMegohm)} is asked for
      </h2>
      <div className="wide-table">
        <Table className="ir-grid">
          <Table.Thead>
            <Table.Tr>
              <Table.Td />
              {names.slice(1).map((name) => (
                <Table.Th key={name} scope="col">
                  {name}
                </Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {names.slice(0, -1).map((row, i) => (
              <Table.Tr key={row}>
                <Table.Th scope="row">{row}</Table.Th>
                {names.slice(1).map((column, j) => {
                  if (j < i) return <Table.Td key={column} />;
                  const id = `${row}-${column}`;
                  const state = judged.get(id);
                  const reading = newest.get(id);
                  return (
                    <Table.Td key={column}>
                      <UnstyledButton aria-pressed={id === pair} onClick={() => setChosen(id)}>
                        <SealGlyph
                          state={state ? VERDICT_GLYPH[state.verdict] : 'unread'}
                          label={`${id}: ${state ? VERDICT_WORDS[state.verdict] : 'not read'}`}
                        />
                        <span className="figures">
                          {reading ? megohmWords(reading.megohm, reading.saturated) : 'read'}
                        </span>
                      </UnstyledButton>
                    </Table.Td>
                  );
                })}
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
      <TesterTray
        key={pair}
        test={test}
        pair={pair}
        onRead={() => {
          const left = missing.filter((one) => one !== pair);
          setChosen(left[0] ?? pair);
        }}
      />
      <p
        className={`verdict ${action === null ? 'open' : action === 'record' || action === 'seal-now' ? 'good' : 'bad'}`}
        role="status"
      >
        {action === null ? `${count(missing.length, 'pair')} left to read.` : ACTION_WORDS[action]}
        {action === 'seal-now' &&
          ` The oldest reading is ${figure(oldestMin, 0)} min old; ${windowMin} min are allowed.`}
      </p>
      {falls.map(({ pair: fallen, beforeMegohm, afterMegohm }) => (
        <p key={fallen} className="tone-failed">
          {fallen} fell from {megohmWords(beforeMegohm)} to {megohmWords(afterMegohm)} at 20 °C since the test
          before, by more than the factor {cable.mineral!.fallFactor}: moisture is getting in, or something
          was damaged.
        </p>
      ))}
    </section>
  );
}
