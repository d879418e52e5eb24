import { Box, Button, Table } from '@mantine/core';
import { Verdict } from '../../ui/Figure';
import { useState } from 'react';
import { fallsBetween, newestByPair, stateOfTest } from '../../core/rulebook/cable-tests';
import type { Cable, InsulationTest } from '../../core/record/types';
import { count, figure } from '../../core/words/en/format';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { ACTION_WORDS, megohmWords, STAGE_WORDS, VERDICT_GLYPH, VERDICT_WORDS } from './insulation-words';
import { TesterTray } from './TesterTray';
import { useNow } from '../hand/use-now';

interface InsulationGridProps {
  cable: Cable;
  test: InsulationTest;
  before: InsulationTest | null;
}

/** The pairs of a test as a grid to fill, and what follows. */
export function InsulationGrid({ cable, test, before }: InsulationGridProps) {
  const state = stateOfTest(cable, test, useNow(5000));
  const [chosen, setChosen] = useState<string | null>(null);
  const { pairs, missing, thresholdMegohm } = state;
  const pair = chosen ?? missing[0] ?? pairs[0]!;
  return (
    <section aria-label="Test in hand">
      <h2>
        {STAGE_WORDS[test.stage]}, {test.temperatureC} °C, far end {test.farEndSealed ? 'sealed' : 'open'}; at
        least {megohmWords(thresholdMegohm)} is asked for
      </h2>
      <PairGrid cable={cable} test={test} judged={state.judged} chosen={pair} onChoose={setChosen} />
      <TesterTray
        key={pair}
        test={test}
        pair={pair}
        onRead={() => setChosen(missing.find((one) => one !== pair) ?? pair)}
      />
      <WhatFollows state={state} windowMin={cable.mineral!.windowMin} />
      {before && <Falls cable={cable} before={before} test={test} />}
    </section>
  );
}

type TestState = ReturnType<typeof stateOfTest>;

interface PairGridProps {
  cable: Cable;
  test: InsulationTest;
  judged: TestState['judged'];
  chosen: string;
  onChoose: (pair: string) => void;
}

/** Every conductor against every other, the screen and the sheath. */
function PairGrid({ cable, test, judged, chosen, onChoose }: PairGridProps) {
  const { conductors, screened } = cable.mineral!;
  const newest = newestByPair(test.readings);
  const names = [...conductors, ...(screened ? ['screen'] : []), 'sheath'];
  const [, ...columns] = names;
  return (
    <Box style={{ overflowX: 'auto' }}>
      <Table className="ir-grid" horizontalSpacing={6} verticalSpacing={3}>
        <Table.Thead>
          <Table.Tr>
            <Table.Td />
            {columns.map((name) => (
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
              {columns.map((column, j) => {
                const pair = `${row}-${column}`;
                return (
                  <Table.Td key={column}>
                    {j >= i && (
                      <PairCell
                        pair={pair}
                        reading={newest.get(pair)}
                        verdict={judged.get(pair)?.verdict}
                        chosen={pair === chosen}
                        onChoose={onChoose}
                      />
                    )}
                  </Table.Td>
                );
              })}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Box>
  );
}

interface PairCellProps {
  pair: string;
  reading: InsulationTest['readings'][number] | undefined;
  verdict: keyof typeof VERDICT_WORDS | undefined;
  chosen: boolean;
  onChoose: (pair: string) => void;
}

const PairCell = ({ pair, reading, verdict, chosen, onChoose }: PairCellProps) => (
  <Button
    variant="default"
    bd={chosen ? '2px solid var(--action)' : undefined}
    miw={104}
    px={6}
    justify="start"
    leftSection={
      <SealGlyph
        state={verdict ? VERDICT_GLYPH[verdict] : 'unread'}
        label={`${pair}: ${verdict ? VERDICT_WORDS[verdict] : 'not read'}`}
      />
    }
    aria-pressed={chosen}
    onClick={() => onChoose(pair)}
  >
    <span className="figures">{reading ? megohmWords(reading.megohm, reading.saturated) : 'read'}</span>
  </Button>
);

function WhatFollows({
  state: { action, missing, oldestMin },
  windowMin,
}: {
  state: TestState;
  windowMin: number;
}) {
  const good = action === null ? null : action === 'record' || action === 'seal-now';
  return (
    <Verdict good={good}>
      {action === null ? `${count(missing.length, 'pair')} left to read.` : ACTION_WORDS[action]}
      {action === 'seal-now' &&
        ` The oldest reading is ${figure(oldestMin, 0)} min old; ${windowMin} min are allowed.`}
    </Verdict>
  );
}

const Falls = ({ cable, before, test }: { cable: Cable; before: InsulationTest; test: InsulationTest }) =>
  fallsBetween(cable, before, test).map(({ pair, beforeMegohm, afterMegohm }) => (
    <p key={pair} className="tone-failed">
      {pair} fell from {megohmWords(beforeMegohm)} to {megohmWords(afterMegohm)} at 20 °C since the test
      before, by more than the factor {cable.mineral!.fallFactor}: moisture is getting in, or something was
      damaged.
    </p>
  ));
