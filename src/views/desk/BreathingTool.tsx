import { FieldGrid } from '../../ui/FieldGrid';
import { Button, Table, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import {
  breathingFit,
  breathingTest,
  END_KPA,
  START_KPA,
  type BreathingFit,
  type BreathingPoint,
} from '../../core/gland/breathing';
import { readQuantity } from '../../core/quantity/quantity';
import type { Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import type { LogCurve } from '../../ui/DrawnLogChart';
import { Verdict } from '../../ui/Figure';
import { LogChart } from '../../ui/LogChart';

/** A reading as it is typed. */
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

/** Breathing test of a cable: readings, curve, verdict; the fitted line stands beside and decides nothing. */
export function BreathingTool({ dossier }: { dossier: Dossier | null }) {
  const [rows, setRows] = useState<Row[]>(START);
  const [drift, setDrift] = useState('0');
  return (
    <>
      <p>
        0.5 m of cable in the wall of a 5 l vessel (± 0.2 l) at constant temperature; the pressure may not
        fall from {START_KPA.toFixed(2)} to {END_KPA.toFixed(2)} kPa in less than 5 s.
        {dossier?.cable && ` Sample of cable ${dossier.cable.tag}.`}
      </p>
      <FieldGrid min={330} gap="24px" align="start" fit>
        <div>
          <Readings rows={rows} onRows={setRows} />
          <TextInput
            mb="xs"
            label="Drift of the vessel’s temperature, K"
            classNames={{ input: 'figures' }}
            inputMode="decimal"
            value={drift}
            onChange={(event) => setDrift(event.target.value)}
          />
        </div>
        <Result rows={rows} driftK={numberOf(drift)} />
      </FieldGrid>
    </>
  );
}

function Readings({ rows, onRows }: { rows: readonly Row[]; onRows: (rows: Row[]) => void }) {
  return (
    <>
      <Table withRowBorders={false} horizontalSpacing={4} verticalSpacing={2}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Time, s</Table.Th>
            <Table.Th>Overpressure, kPa</Table.Th>
            <Table.Td />
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {rows.map((row, i) => (
            <ReadingRow
              key={i}
              row={row}
              number={i + 1}
              onChange={(set) => onRows(rows.map((one, j) => (j === i ? { ...one, ...set } : one)))}
              onTakeOut={() => onRows(rows.filter((_, j) => j !== i))}
            />
          ))}
        </Table.Tbody>
      </Table>
      <Button variant="default" onClick={() => onRows([...rows, { t: '', p: '' }])}>
        Add a reading
      </Button>
    </>
  );
}

interface ReadingRowProps {
  row: Row;
  number: number;
  onChange: (set: Partial<Row>) => void;
  onTakeOut: () => void;
}

const ReadingRow = ({ row, number, onChange, onTakeOut }: ReadingRowProps) => (
  <Table.Tr>
    <Table.Td>
      <TextInput
        w={110}
        aria-label={`Time of reading ${number}, s`}
        classNames={{ input: 'figures' }}
        inputMode="decimal"
        value={row.t}
        onChange={(event) => onChange({ t: event.target.value })}
      />
    </Table.Td>
    <Table.Td>
      <TextInput
        w={110}
        aria-label={`Overpressure of reading ${number}, kPa`}
        classNames={{ input: 'figures' }}
        inputMode="decimal"
        value={row.p}
        onChange={(event) => onChange({ p: event.target.value })}
      />
    </Table.Td>
    <Table.Td>
      <Button variant="default" aria-label={`Take out reading ${number}`} onClick={onTakeOut}>
        ×
      </Button>
    </Table.Td>
  </Table.Tr>
);

const WORDS = {
  conforms: 'The cable holds its breath long enough.',
  fails: 'The cable breathes too easily.',
  invalid: 'The record says nothing: it starts below 0.30 kPa, rises, drifts too far or ends too soon.',
} as const;

/** The curve of the readings and what it says. */
function Result({ rows, driftK }: { rows: readonly Row[]; driftK: number | null }) {
  const { problem, points, fit, curve } = useMemo(() => curveOf(rows), [rows]);
  const result = problem === '' && driftK !== null ? breathingTest(points, driftK) : null;
  return (
    <div>
      <LogChart curve={curve} xTitle="Time, s" yTitle="Overpressure, kPa" label="Overpressure over time" />
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
          A line through ln p of {fit.points} readings falls by half in {figure(fit.halfTimeS)} s; it is shown
          for comparison and decides nothing.
        </p>
      )}
    </div>
  );
}

function curveOf(rows: readonly Row[]) {
  const points = rows.flatMap(({ t, p }): BreathingPoint[] => {
    const [tS, pKpa] = [numberOf(t), numberOf(p)];
    return tS !== null && pKpa !== null && pKpa > 0 ? [{ tS, pKpa }] : [];
  });
  const problem = problemOf(rows, points);
  const fit = problem === '' ? breathingFit(points) : null;
  return { points, problem, fit, curve: drawn(points, fit) };
}

function drawn(points: readonly BreathingPoint[], fit: BreathingFit | null): LogCurve {
  const last = Math.max(...points.map(({ tS }) => tS), 1);
  return {
    points: points.map(({ tS, pKpa }) => ({ x: tS, y: pKpa })),
    fitted: fit ? [0, last].map((x) => ({ x, y: fit.startKpa * Math.exp(-x / fit.tauS) })) : [],
    levels: [START_KPA, END_KPA],
    from: 0,
  };
}

function problemOf(rows: readonly Row[], points: readonly { tS: number }[]): string {
  if (points.length < rows.length)
    return 'A reading is no number above 0, for example 0.285. Correct it or take it out.';
  if (points.length < 2) return 'Two readings are the least.';
  return points.some(({ tS }, i) => i > 0 && tS <= points[i - 1]!.tS)
    ? 'The times have to rise from reading to reading.'
    : '';
}
