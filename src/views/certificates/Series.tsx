import { Button, Stack, Table } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { seriesOf, type SeriesPart } from '../../core/finder/series';
import { jointTitle, SCHOOL_WORDS } from '../../core/words/en/kinds/titles';
import type { Slice } from '../../core/record/slice';
import type { Certificate, Id } from '../../core/record/types';
import { assess } from '../../core/rulebook/assess';
import { figure, limits } from '../../core/words/en/format';
import { STATE_WORDS } from '../../core/words/en/labels';
import { exportAddress } from '../../client/api';
import { now } from '../../client/clock';
import { drawRangeChart, type Drop } from '../../drawing/certificates/range-chart';
import { DrawingView } from '../../ui/heart/DrawingView';
import { listed } from '../../ui/list/source';
import { SideList } from '../../ui/list/SideList';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { ImportPanel } from '../frame/ImportPanel';
import { saveFile } from '../hand/save-file';
import { CableFields, useCable } from './CableFields';
import { FitsSize } from './FitsSize';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { seriesTitle } from '../../core/words/en/series';
import { useAddress } from '../hand/address';

const STATES = [
  ['', 'every state'],
  ['valid', 'valid'],
  ['superseded', 'superseded'],
  ['withdrawn', 'withdrawn'],
] as const;

/** Certificates on file: list, search, and one of them with its range charts and what it touches. */
export function Series({ slice, site }: { slice: Slice; site: Id }) {
  const [{ certificate: chosen }, follow] = useAddress('certificate');
  const [files, setFiles] = useState(false);
  const all = slice.by('certificate', 'site', site).sort((a, b) => (a.number < b.number ? -1 : 1));
  const certificate =
    slice.get('certificate', chosen ?? '') ??
    all.find(({ sheet }) => sheet.sizes.length > 0) ??
    all[0] ??
    null;
  const open = (id: Id) => {
    follow({ certificate: id }, 'replace');
    setFiles(false);
  };
  return (
    <div className="series">
      <CertificateList all={all} current={files ? null : (certificate?.id ?? null)} onOpen={open}>
        <Stack gap="xs" p="sm">
          <Button
            component="a"
            variant="default"
            href={`/dossier/?site=${site}&table=certificate&record=new`}
          >
            Type a new one
          </Button>
          <Button variant="default" onClick={() => setFiles(true)}>
            Files in and out
          </Button>
        </Stack>
      </CertificateList>
      <main id="main" tabIndex={-1}>
        {files || !certificate ? (
          <FilesPanel site={site} />
        ) : (
          <OneCertificate key={certificate.id} slice={slice} certificate={certificate} />
        )}
      </main>
    </div>
  );
}

function CertificateList({
  all,
  current,
  onOpen,
  children,
}: {
  all: readonly Certificate[];
  current: Id | null;
  onOpen: (id: Id) => void;
  children: ReactNode;
}) {
  const source = listed(all, {
    key: ({ id }) => id,
    words: (one) => `${one.number} ${one.title} ${one.maker} ${kindTitle(one.kind)}`,
    only: { state: (one, value) => one.state === value },
  });
  return (
    <SideList
      label="Certificates on file"
      source={source}
      search="Number, title or kind"
      placeholder="for example barrier"
      filters={[{ id: 'state', label: 'State', options: STATES }]}
      keyOf={({ id }) => id}
      current={current}
      onOpen={onOpen}
      title={({ number }) => number}
      beside={({ kind, state }) => `${kindTitle(kind)}${state === 'valid' ? '' : `, ${state}`}`}
      empty={<p>No certificate is on file. Type the first one, or take in its file.</p>}
    >
      {children}
    </SideList>
  );
}

function FilesPanel({ site }: { site: Id }) {
  return (
    <>
      <h1>Files in and out</h1>
      <p>
        A certificate with its sheet travels as JSON (docs/schemas/certificate.schema.json); sizes of
        certificates on file also as CSV, one row per size.
      </p>
      <Button component="a" variant="default" href={exportAddress(site, 'sizes.csv')} download>
        Sizes of every certificate (CSV)
      </Button>
      <ImportPanel site={site} kinds={['certificate', 'sizes']} />
    </>
  );
}

function OneCertificate({ slice, certificate }: { slice: Slice; certificate: Certificate }) {
  const { number, title, state, sheet, site } = certificate;
  const cable = useCable(slice, site);
  const drops = cable.drops();
  const save = () => {
    const { id: _id, site: _site, rev: _rev, stamps: _stamps, typed: _typed, ...rest } = certificate;
    const text = JSON.stringify({ format: 'yendral-certificate-1', certificate: rest }, null, 2);
    saveFile(`${number.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.json`, 'application/json', `${text}\n`);
  };
  return (
    <>
      <header className="cert-title">
        <h1>{number}</h1>
        <p>
          {title}, {certificate.maker}
        </p>
        <Button
          component="a"
          variant="default"
          href={`/dossier/?site=${site}&table=certificate&record=${certificate.id}`}
        >
          Change it
        </Button>
        <Button variant="default" onClick={save}>
          Save as JSON
        </Button>
      </header>
      {state !== 'valid' && (
        <p className="make-safe" role="alert">
          <b>This certificate is {state}.</b> Every entry below rests on it and fails E-01 until another one
          covers it.
        </p>
      )}
      <Facts certificate={certificate} />
      <h2>Where a cable falls</h2>
      <CableFields cable={cable} />
      <div className="charts">
        {seriesOf(sheet).map((part) => {
          const drop: Drop | null =
            part.armour && part.armour !== cable.armour() ? null : (drops[part.place] ?? null);
          const drawing = drawRangeChart(part, drop);
          const [l, t, r, b] = drawing.box;
          return (
            <figure key={seriesTitle(part)}>
              <figcaption>
                <b>{seriesTitle(part)}</b>{' '}
                <span className="quiet">
                  {part.holes.length === 0
                    ? 'no holes'
                    : `not covered: ${part.holes.map((hole) => limits(...hole)).join(', ')}`}
                  {overlapWords(part)}
                </span>
              </figcaption>
              <div className="chart-drawing">
                <DrawingView drawing={drawing} states={{}} aspect={(r - l) / (b - t)} shownPx={760} />
              </div>
            </figure>
          );
        })}
      </div>
      {sheet.sizes.length > 0 && (
        <>
          <SizeTable certificate={certificate} />
          <h2>Cables on site that a size takes</h2>
          <FitsSize slice={slice} certificate={certificate} />
        </>
      )}
      {sheet.transit && (
        <p>
          {sheet.transit.sealant
            ? `Sealed with ${sheet.transit.sealant.name}, ${figure(sheet.transit.sealant.depthMm)} mm deep.`
            : 'Each range is that of a block; the planner packs them.'}{' '}
          <a href={`/transit/?site=${site}`}>To the transits</a>
        </p>
      )}
      <Touched slice={slice} certificate={certificate} />
    </>
  );
}

/** Overlaps that are named one by one; of more only the number is said. */
const NAMED = 4;

function overlapWords({ overlaps }: SeriesPart): string {
  if (overlaps.length === 0) return '';
  const named = overlaps
    .slice(0, NAMED)
    .map(({ sizes, rangeMm }) => `${limits(...rangeMm)} by ${sizes.join(' and ')}`);
  const more = overlaps.length > NAMED ? `, and ${overlaps.length - NAMED} more` : '';
  return `; taken twice: ${named.join(', ')}${more}`;
}

/** What the certificate says beside its ranges. */
function Facts({ certificate }: { certificate: Certificate }) {
  const { kind, concepts, levels, groups, serviceC, ingress, specialConditions, issued, sheet, divisions } =
    certificate;
  const { compound } = sheet;
  const facts: [string, string][] = [
    ['Kind', kindTitle(kind)],
    ['Marked', [...concepts, ...groups, ...levels].join(', ') || 'nothing: for unclassified places only'],
    [
      'Listed',
      divisions
        .map((one) => `Class ${one.class} Division ${one.division} ${one.groups.join(', ')}`)
        .join('; ') || 'no division',
    ],
    [
      'Service',
      `${serviceC ? limits(serviceC[0], serviceC[1], '°C') : 'range not marked'}, ${ingress ?? 'ingress not recorded'}`,
    ],
    ['Issued', issued?.slice(0, 10) ?? 'not recorded'],
    ['Assembly sheet', sheet.number],
    [
      'Joints',
      sheet.joints
        .map(
          ({ joint, school, range }) =>
            `${jointTitle(joint)} ${SCHOOL_WORDS[school]}${range ? `, ${limits(range[0], range[1], UNIT[school] ?? '')}` : ''}`,
        )
        .join('; ') || 'the sheet names none',
    ],
  ];
  if (compound) {
    facts.push(['Compound', `${compound.name}, ${compound.packMl} ml, ${compound.ratio}; works ${compound.workingMinutes} min, look after ${figure(compound.cureHours)} h, energise after ${figure(compound.energiseHours)} h at ${compound.referenceC} °C; not below ${compound.minimumC} °C`]); // prettier-ignore
  }
  if (specialConditions === null) facts.push(['Special conditions', 'not recorded']);
  else if (specialConditions.length > 0) facts.push(['Special conditions', specialConditions.join(' ')]);
  return (
    <dl className="facts">
      {facts.map(([name, value]) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  );
}

const UNIT: Record<string, string> = { turns: 'turns', torque: 'N·m', gap: 'mm' };

/** The same ranges as figures. */
function SizeTable({ certificate: { sheet } }: { certificate: Certificate }) {
  const range = (value: readonly [number, number] | null | undefined) =>
    value ? `${figure(value[0])} to ${figure(value[1])}` : '';
  const armours = [...new Set(sheet.sizes.flatMap(({ clamp }) => clamp.map(({ armour }) => armour)))];
  return (
    <details>
      <summary>The same as a table</summary>
      <div className="wide-table">
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">Size</Table.Th>
              <Table.Th scope="col">Thread</Table.Th>
              <Table.Th scope="col">Outer seal, mm</Table.Th>
              <Table.Th scope="col">Inner seal, mm</Table.Th>
              {armours.map((armour) => (
                <Table.Th scope="col" key={armour}>
                  {armour}, mm
                </Table.Th>
              ))}
              <Table.Th scope="col">Over the cores, mm</Table.Th>
              <Table.Th scope="col">Armour left, mm</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {sheet.sizes.map(({ size, thread, outer, inner, clamp, pot, armourLengthMm }) => (
              <Table.Tr key={size}>
                <Table.Th scope="row">{size}</Table.Th>
                <Table.Td>{thread}</Table.Td>
                <Table.Td className="figures">{range(outer.rangeMm)}</Table.Td>
                <Table.Td className="figures">{range(inner?.rangeMm)}</Table.Td>
                {armours.map((armour) => (
                  <Table.Td className="figures" key={armour}>
                    {range(clamp.find((face) => face.armour === armour)?.rangeMm)}
                  </Table.Td>
                ))}
                <Table.Td className="figures">{range(pot?.overCoresMm)}</Table.Td>
                <Table.Td className="figures">{range(armourLengthMm)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
    </details>
  );
}

/** Every entry that rests on the certificate, the worst first. */
function Touched({ slice, certificate }: { slice: Slice; certificate: Certificate }) {
  const order = ['failed', 'incomplete', 'doubtful', 'sound'];
  const entries = slice
    .by('entry', 'certificate', certificate.id)
    .flatMap((entry) => {
      const found = assess(slice, entry.id, entry.site, now());
      return found ? [found] : [];
    })
    .sort((a, b) => order.indexOf(a.status.state) - order.indexOf(b.status.state));
  return (
    <section>
      <h2>
        {entries.length === 0
          ? 'No entry rests on it'
          : `${entries.length} ${entries.length === 1 ? 'entry rests' : 'entries rest'} on it`}
      </h2>
      <ul className="touched">
        {entries.map(({ dossier: { entry, enclosure }, status }) => (
          <li key={entry.id}>
            <a href={`/bench/?site=${entry.site}&entry=${entry.id}`}>
              <SealGlyph state={glyphOfState(status.state)} label={STATE_WORDS[status.state]} />{' '}
              {enclosure.tag}, entry {entry.label}
              <small className="quiet"> {entry.size ?? 'no size'}</small>
            </a>
          </li>
        ))}
      </ul>
      <Button component="a" variant="default" href={`/site/?site=${certificate.site}`}>
        To the plan
      </Button>
    </section>
  );
}
