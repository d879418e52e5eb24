import { Table } from '@mantine/core';
import { useState } from 'react';
import { threadOf } from '../../core/gland/thread-table';
import { looksThatSeparate, separatedBy, type ThreadLook } from '../../core/gland/thread-look';
import { identifyThread } from '../../core/gland/threads';
import type { Dossier } from '../../core/rulebook/dossier';
import { groupsOf } from '../../core/rulebook/dossier';
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

const signed = (mm: number) => `${mm < 0 ? '−' : '+'}${figure(Math.abs(mm))} mm`;

/** Which thread is it: from caliper and pitch gauge, with the near misses and the look that separates them. */
export function ThreadTool({ dossier }: { dossier: Dossier | null }) {
  const declared = threadOf(dossier?.size?.thread ?? '');
  const last = (place: string) => {
    const readings = dossier ? groupsOf(dossier, place).flatMap(({ readings: r }) => r) : [];
    return readings[readings.length - 1]?.value ?? null;
  };
  const figures = useFigures({
    major: typed(last('thread-major') ?? (declared ? declared.nominalMm - 0.15 : 24.85)),
    pitch: typed(last('thread-pitch') ?? declared?.pitchMm ?? 1.5, 3),
  });
  const [unit, setUnit] = useState<'mm' | 'tpi'>('mm');
  const [taper, setTaper] = useState<'unknown' | 'taper' | 'parallel'>('unknown');
  const major = figures.length('major');
  const raw = unit === 'mm' ? figures.length('pitch') : figures.number('pitch');
  const pitch = raw !== null && raw > 0 ? (unit === 'mm' ? raw : 25.4 / raw) : null;
  const found =
    major !== null && pitch !== null
      ? identifyThread(major, pitch, taper === 'unknown' ? null : taper === 'taper')
      : null;
  const best = found?.candidates[0] ? threadOf(found.candidates[0].designation) : null;
  const other = best ?? (found?.nearMisses[0] ? threadOf(found.nearMisses[0].designation) : null);
  return (
    <>
      <div className="desk-form">
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
      </div>
      {found && major !== null && pitch !== null && (
        <div className="desk-result">
          <Verdict good={found.candidates.length === 1 ? true : found.candidates.length === 0 ? false : null}>
            {found.candidates.length === 0
              ? 'No thread of the table. Measure again over clean crests.'
              : found.candidates.length === 1
                ? `It is ${found.candidates[0]!.designation}.`
                : `It can be ${found.candidates.map(({ designation }) => designation).join(' or ')}: ${looksThatSeparate(
                    found.candidates.map(({ designation }) => threadOf(designation)!),
                  )
                    .map((look) => LOOK_WORDS[look])
                    .join('; then ')}.`}
            {declared && ` The sheet says ${declared.designation}.`}
          </Verdict>
          <div className="desk-drawing">
            <DrawingView
              drawing={drawThreads({ majorMm: major, pitchMm: pitch }, other)}
              states={{}}
              aspect={1.5}
              shownPx={520}
            />
          </div>
          <h2>Threads that nearly fit</h2>
          {found.nearMisses.length === 0 ? (
            <p>None within 1.5 mm.</p>
          ) : (
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
                {found.nearMisses.map(({ designation, majorDifferenceMm, pitchDifferenceMm }) => (
                  <Table.Tr key={designation}>
                    <Table.Th scope="row">{designation}</Table.Th>
                    <Table.Td className="figures">{signed(majorDifferenceMm)}</Table.Td>
                    <Table.Td className="figures">{signed(pitchDifferenceMm)}</Table.Td>
                    <Table.Td>{best ? LOOK_WORDS[separatedBy(best, threadOf(designation)!)] : ''}</Table.Td>
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          )}
          <p className="quiet">The female thread of the entry has to be identified too.</p>
        </div>
      )}
    </>
  );
}
