import { readQuantity } from '../../core/quantity/quantity';
import { Button, Table, TextInput } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { breathingFit, breathingTest, END_KPA, START_KPA } from '../../core/gland/breathing';
import type { Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import { Verdict } from '../../ui/Figure';

const BreathingChart = lazy(() => import('./BreathingChart'));

interface Row {
  t: string;
  p: string;
}
const START: Row[] = [
  { t: '0', p: '0.32' },
  { t: '1', p: '0.29' },
  { t: '3', p: '0.235' },
  { t: '5', p: '0.19' },
  { t: '7', p: '0.155' },
  { t: '9', p: '0.127' },
];

const numberOf = (text: string): number | null => {
  const read = readQuantity(text, 'number');
  return 'value' in read ? read.value : null;
};

const WORDS = {
  conforms: 'The cable holds its breath long enough.',
  fails: 'The cable breathes too easily.',
  invalid: 'The record says nothing: it starts below 0.30 kPa, rises, drifts too far or ends too soon.',
} as const;

/** Breathing test of a cable: readings, curve, verdict; the fitted line stands beside and decides nothing. */
export function BreathingTool({ dossier }: { dossier: Dossier | null }) {
  const [rows, setRows] = useState<Row[]>(START);
  const [drift, setDrift] = useState('0');
  const change = (i: number, set: Partial<Row>) =>
    setRows(rows.map((row, j) => (j === i ? { ...row, ...set } : row)));
  const points = rows.flatMap(({ t, p }) => {
    const [tS, pKpa] = [numberOf(t), numberOf(p)];
    return tS !== null && pKpa !== null && pKpa > 0 ? [{ tS, pKpa }] : [];
  });
  const problem = problemOf(rows, points);
  const driftK = numberOf(drift);
  const result = problem === '' && driftK !== null ? breathingTest(points, driftK) : null;
  const fit = problem === '' ? breathingFit(points) : null;
  return (
    <>
      <p>
        0.5 m of cable in the wall of a 5 l vessel (± 0.2 l) at constant temperature; the pressure may not
        fall from {START_KPA.toFixed(2)} to {END_KPA.toFixed(2)} kPa in less than 5 s.
        {dossier?.cable && ` Sample of cable ${dossier.cable.tag}.`}
      </p>
      <div className="breathing">
        <div>
          <Table className="inputs">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Time, s</Table.Th>
                <Table.Th>Overpressure, kPa</Table.Th>
                <Table.Td />
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {rows.map((row, i) => (
                <Table.Tr key={i}>
                  <Table.Td>
                    <TextInput
                      aria-label={`Time of reading ${i + 1}, s`}
                      classNames={{ input: 'figures' }}
                      inputMode="decimal"
                      value={row.t}
                      onChange={(event) => change(i, { t: event.target.value })}
                    />
                  </Table.Td>
                  <Table.Td>
                    <TextInput
                      aria-label={`Overpressure of reading ${i + 1}, kPa`}
                      classNames={{ input: 'figures' }}
                      inputMode="decimal"
                      value={row.p}
                      onChange={(event) => change(i, { p: event.target.value })}
                    />
                  </Table.Td>
                  <Table.Td>
                    <Button
                      variant="default"
                      aria-label={`Take out reading ${i + 1}`}
                      onClick={() => setRows(rows.filter((_, j) => j !== i))}
                    >
                      ×
                    </Button>
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
          <Button variant="default" onClick={() => setRows([...rows, { t: '', p: '' }])}>
            Add a reading
          </Button>
          <TextInput
            className="field"
            label="Drift of the vessel’s temperature, K"
            classNames={{ input: 'figures' }}
            inputMode="decimal"
            value={drift}
            onChange={(event) => setDrift(event.target.value)}
          />
        </div>
        <div>
          <Suspense fallback={<div className="chart" />}>
            <BreathingChart points={points} fit={fit} />
          </Suspense>
          {problem && (
            <p role="alert" className="tone-failed">
              {problem}
            </p>
          )}
          {result && (
            <Verdict good={result.verdict === 'invalid' ? null : result.verdict === 'conforms'}>
              {WORDS[result.verdict]}{' '}
              {result.halfTimeS !== null
                ? `From 0.30 to 0.15 kPa in ${figure(result.halfTimeS)} s; 5 s are needed.`
                : 'It does not fall to 0.15 kPa in the record.'}
            </Verdict>
          )}
          {fit && (
            <p className="quiet">
              A line through ln p of {fit.points} readings falls by half in {figure(fit.halfTimeS)} s; it is
              shown for comparison and decides nothing.
            </p>
          )}
        </div>
      </div>
    </>
  );
}

function problemOf(rows: readonly Row[], points: readonly { tS: number }[]): string {
  if (points.length < rows.length)
    return 'A reading is no number above 0, for example 0.285. Correct it or take it out.';
  if (points.length < 2) return 'Two readings are the least.';
  return points.some(({ tS }, i) => i > 0 && tS <= points[i - 1]!.tS)
    ? 'The times have to rise from reading to reading.'
    : '';
}
