import { fetched } from '../../ui/fetched';
import { Button } from '@mantine/core';

import { seriesOf, type SeriesPart } from '../../core/finder/series';
import type { Slice } from '../../core/record/slice';
import type { Certificate } from '../../core/record/types';
import { figure, limits } from '../../core/words/en/format';
import { seriesTitle } from '../../core/words/en/series';
import { drawRangeChart } from '../../drawing/certificates/range-chart';
import { DrawingView } from '../../ui/heart/DrawingView';
import { Later } from '../../ui/Later';
import { saveFile } from '../hand/save-file';
import { CableFields, useCable, type CableChoice } from './CableFields';
import { CertificateFacts } from './CertificateFacts';
import { SizeTable } from './SizeTable';
import { Touched } from './Touched';

const FitsSize = fetched(() => import('./FitsSize'));

/** A certificate on file: what it says, its ranges with the cable in the hand, and what rests on it. */
export function OneCertificate({ slice, certificate }: { slice: Slice; certificate: Certificate }) {
  const { state, sheet } = certificate;
  const cable = useCable(slice, certificate.site);
  return (
    <>
      <Title certificate={certificate} />
      {state !== 'valid' && (
        <p className="make-safe" role="alert">
          <b>This certificate is {state}.</b> Every entry below rests on it and fails E-01 until another one
          covers it.
        </p>
      )}
      <CertificateFacts certificate={certificate} />
      <h2>Where a cable falls</h2>
      <CableFields cable={cable} />
      <Charts certificate={certificate} cable={cable} />
      {sheet.sizes.length > 0 && (
        <>
          <SizeTable certificate={certificate} />
          <h2>Cables on site that a size takes</h2>
          <Later>
            <FitsSize slice={slice} certificate={certificate} />
          </Later>
        </>
      )}
      {sheet.transit && (
        <p>
          {sheet.transit.sealant
            ? `Sealed with ${sheet.transit.sealant.name}, ${figure(sheet.transit.sealant.depthMm)} mm deep.`
            : 'Each range is that of a block; the planner packs them.'}{' '}
          <a href={`/transit/?site=${certificate.site}`}>To the transits</a>
        </p>
      )}
      <Touched slice={slice} certificate={certificate} />
    </>
  );
}

function Title({ certificate }: { certificate: Certificate }) {
  const { number, title, site } = certificate;
  const save = () => {
    const { id: _id, site: _site, rev: _rev, stamps: _stamps, typed: _typed, ...rest } = certificate;
    const text = JSON.stringify({ format: 'yendral-certificate-1', certificate: rest }, null, 2);
    saveFile(`${number.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.json`, 'application/json', `${text}\n`);
  };
  return (
    <header className="title">
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
  );
}

/** The ranges of a certificate place by place, with where the cable falls. */
function Charts({ certificate: { sheet }, cable }: { certificate: Certificate; cable: CableChoice }) {
  const drops = cable.drops();
  return (
    <div className="charts">
      {seriesOf(sheet).map((part) => {
        const other = part.armour !== null && part.armour !== cable.armour();
        const drawing = drawRangeChart(part, other ? null : (drops[part.place] ?? null));
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
