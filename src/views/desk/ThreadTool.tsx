import { FieldGrid } from '../../ui/FieldGrid';
import { Table, Box } from '@mantine/core';
import { useState } from 'react';
import { threadOf } from '../../core/gland/thread-table';
import { looksThatSeparate, separatedBy, type ThreadLook } from '../../core/gland/thread-look';
import { identifyThread } from '../../core/gland/threads';
import { groupsOf, type Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import { drawThreads } from '../../drawing/desk/thread-profile';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Choice, Figure, typed, useFigures, Verdict } from '../../ui/Figure';

const LOOK_WORDS: Record<ThreadLook, string> = {
  taper: 'compare two diameters along the thread: equal is parallel, shrinking is taper',
  pitch: 'lay the pitch gauge on: the pitches differ clearly',
  major: 'measure over the crests again: the diameters differ clearly',
  gauge: 'only a plug or ring gauge tells them apart',
};

/** Which thread is it: from caliper and pitch gauge, with the near misses and the look that separates them. */
export function ThreadTool({ dossier }: { dossier: Dossier | null }) {
  const declared = threadOf(dossier?.size?.thread ?? '');
  const last = (place: string) =>
    (dossier ? groupsOf(dossier, place).flatMap(({ readings }) => readings) : []).at(-1)?.value ?? null;
  const figures = useFigures({
    major: typed(last('thread-major') ?? (declared ? declared.nominalMm - 0.15 : 24.85)),
    pitch: typed(last('thread-pitch') ?? declared?.pitchMm ?? 1.5, 3),
  });
  const [unit, setUnit] = useState<'mm' | 'tpi'>('mm');
  const [taper, setTaper] = useState<'unknown' | 'taper' | 'parallel'>('unknown');
  const majorMm = figures.length('major');
  const raw = unit === 'mm' ? figures.length('pitch') : figures.number('pitch');
  const pitchMm = raw !== null && raw > 0 ? (unit === 'mm' ? raw : 25.4 / raw) : null;
  return (
    <>
      <FieldGrid min={264} gap="10px 18px" align="start" mt="xs">
        <Figure figures={figures} name="major" title="Over the crests" unit="mm" />
        <Figure
          figures={figures}
          name="pitch"
          title="Pitch"
          unit={unit === 'mm' ? 'mm' : 'threads per inch'}
        />
        <Choice
          title="Pitch in"
          value={unit}
          options={[
            ['mm', 'mm'],
            ['tpi', 'threads per inch'],
          ]}
          onChange={setUnit}
        />
        <Choice
          title="Two diameters along the thread"
          value={taper}
          options={[
            ['unknown', 'not compared'],
            ['parallel', 'equal'],
            ['taper', 'shrinking'],
          ]}
          onChange={setTaper}
        />
      </FieldGrid>
      {majorMm !== null && pitchMm !== null && (
        <ThreadResult
          majorMm={majorMm}
          pitchMm={pitchMm}
          taper={taper === 'unknown' ? null : taper === 'taper'}
          declared={declared?.designation ?? null}
        />
      )}
    </>
  );
}

interface ThreadResultProps {
  majorMm: number;
  pitchMm: number;
  /** Whether it shrinks along its length; null where nobody compared. */
  taper: boolean | null;
  /** What the sheet says it is. */
  declared: string | null;
}

type Found = ReturnType<typeof identifyThread>;

function ThreadResult({ majorMm, pitchMm, taper, declared }: ThreadResultProps) {
  const found = identifyThread(majorMm, pitchMm, taper);
  const { candidates, nearMisses } = found;
  const best = candidates[0] ? threadOf(candidates[0].designation) : null;
  const other = best ?? (nearMisses[0] ? threadOf(nearMisses[0].designation) : null);
  return (
    <div className="desk-result">
      <Verdict good={candidates.length === 1 ? true : candidates.length === 0 ? false : null}>
        {foundWords(found)}
        {declared && ` The sheet says ${declared}.`}
      </Verdict>
      <Box className="desk-drawing" maw={640} mb="sm">
        <DrawingView
          drawing={drawThreads({ majorMm, pitchMm }, other)}
          states={{}}
          aspect={1.5}
          shownPx={520}
        />
      </Box>
      <h2>Threads that nearly fit</h2>
      {nearMisses.length === 0 ? <p>None within 1.5 mm.</p> : <NearMisses of={nearMisses} best={best} />}
      <p className="quiet">The female thread of the entry has to be identified too.</p>
    </div>
  );
}

function foundWords({ candidates }: Found): string {
  const names = candidates.map(({ designation }) => designation);
  if (names.length === 0) return 'No thread of the table. Measure again over clean crests.';
  if (names.length === 1) return `It is ${names[0]}.`;
  const looks = looksThatSeparate(names.map((name) => threadOf(name)!)).map((look) => LOOK_WORDS[look]);
  return `It can be ${names.join(' or ')}: ${looks.join('; then ')}.`;
}

const signed = (mm: number) => `${mm < 0 ? '−' : '+'}${figure(Math.abs(mm))} mm`;

const NearMisses = ({ of, best }: { of: Found['nearMisses']; best: ReturnType<typeof threadOf> }) => (
  <Table>
    <Table.Thead>
      <Table.Tr>
        <Table.Th>Thread</Table.Th>
        <Table.Th>Diameter, measured less nominal</Table.Th>
        <Table.Th>Pitch, measured less nominal</Table.Th>
        <Table.Th>What tells them apart</Table.Th>
      </Table.Tr>
    </Table.Thead>
    <Table.Tbody>
      {of.map(({ designation, majorDifferenceMm, pitchDifferenceMm }) => (
        <Table.Tr key={designation}>
          <Table.Th scope="row">{designation}</Table.Th>
          <Table.Td className="figures">{signed(majorDifferenceMm)}</Table.Td>
          <Table.Td className="figures">{signed(pitchDifferenceMm)}</Table.Td>
          <Table.Td>{best ? LOOK_WORDS[separatedBy(best, threadOf(designation)!)] : ''}</Table.Td>
        </Table.Tr>
      ))}
    </Table.Tbody>
  </Table>
);
