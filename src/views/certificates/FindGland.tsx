import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useDeferredValue, useMemo, useState } from 'react';
import type { Candidate } from '../../core/finder/candidate';
import { needOf } from '../../core/finder/need';
import { chartSize, rankGlands } from '../../core/finder/rank';
import { partsOf } from '../../core/finder/schedule';
import type { Supply } from '../../core/finder/supply';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { currentRound, dossierOf, type Dossier } from '../../core/rulebook/dossier';
import { known } from '../../core/words/en/format';
import { sentence, settling } from '../../core/words/en/findings';
import { connectionWords } from '../../core/words/en/makeoff';
import { now } from '../../client/clock';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { parameter } from '../hand/hand';
import { give } from '../hand/give';
import { CableFields, useCable, type CableChoice } from './CableFields';
import { CandidateStrip } from './CandidateStrip';
import { VERDICT_GLYPHS, VERDICT_WORDS } from './verdict';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { supplyTitle } from '../../core/words/en/supplies';

/** Candidates that are listed before somebody asks for more. */
const SHOWN = 25;

/** The gland finder: every size of every certificate for one cable and one hole, the best first, and why. */
export function FindGland({ slice, site }: { slice: Slice; site: Id }) {
  const [entryId, setEntry] = useState(() => parameter('entry') ?? '');
  const cable = useCable(slice, site);
  const entries = slice
    .by('entry', 'site', site)
    .map((one) => ({
      one,
      title: `${slice.get('enclosure', one.enclosure)?.tag ?? '?'}, entry ${one.label}`,
    }))
    .sort((a, b) => a.title.localeCompare(b.title, 'en', { numeric: true }));
  const chosen = entryId ? dossierOf(slice, entryId, currentRound(slice, entryId, site)) : null;
  const anywhere = chosen ?? (entries[0] ? dossierOf(slice, entries[0].one.id, null) : null);
  return (
    <main id="main" className="finder" tabIndex={-1}>
      <h1>Find a gland</h1>
      <div className="cable-fields">
        <NativeSelect
          className="field"
          label="Into the entry"
          value={entryId}
          onChange={(event) => setEntry(event.target.value)}
        >
          <option value="">no entry: by the cable alone</option>
          {entries.map(({ one, title }) => (
            <option key={one.id} value={one.id}>
              {title}
            </option>
          ))}
        </NativeSelect>
        {chosen?.cable && !cable.chosen && (
          <p className="quiet own-cable">
            Cable {chosen.cable.tag} of the entry: as measured where it was read, else by its record,
            tolerance {known(chosen.cable.toleranceMm, 'mm')}. Type other figures below to try another cable.
          </p>
        )}
      </div>
      <CableFields cable={cable} />
      {!anywhere ? (
        <p>
          Make an area, an enclosure and an entry first, under Dossier: what a gland must bear depends on
          where it goes.
        </p>
      ) : (
        <Ranking slice={slice} site={site} dossier={anywhere} placed={chosen !== null} cable={cable} />
      )}
    </main>
  );
}

function Ranking({
  slice,
  site,
  dossier,
  placed,
  cable,
}: {
  slice: Slice;
  site: Id;
  dossier: Dossier;
  placed: boolean;
  cable: CableChoice;
}) {
  const [more, setMore] = useState(false);
  const [text, setText] = useState('');
  const [verdict, setVerdict] = useState('');
  const typed = cable.cable();
  const of = typed ?? (placed ? dossier.cable : null);
  const own = of !== null && of === dossier.cable;
  const deferred = useDeferredValue(of);
  const certificates = useMemo(() => slice.by('certificate', 'site', site), [slice, site]);
  const list = useMemo(
    () => (deferred ? rankGlands(needOf(dossier, deferred, own, placed), certificates, now()) : []),
    // The dossier is made anew with every change of the records.
    [dossier, deferred, own, placed, certificates],
  );
  if (!of) return <p>Choose a cable, or type its overall diameter, its inner sheath and its armour.</p>;
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const matching = list.filter(
    ({ certificate: c, size, verdict: v }) =>
      (verdict === '' || v === verdict) &&
      words.every((word) =>
        `${c.number} ${c.title} ${size.size} ${size.thread}`.toLowerCase().includes(word),
      ),
  );
  const shown = more ? matching : matching.slice(0, SHOWN);
  const fits = list.filter((one) => one.verdict === 'fits').length;
  return (
    <>
      <p role="status">
        {fits === 0 ? 'No size on file fits' : `${fits} ${fits === 1 ? 'size fits' : 'sizes fit'}`}, of{' '}
        {list.length} on file.
      </p>
      <div className="cable-fields">
        <TextInput
          className="field"
          label="Number, title, size or thread"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <NativeSelect
          className="field"
          label="Show"
          value={verdict}
          onChange={(event) => setVerdict(event.target.value)}
        >
          <option value="">every size</option>
          {Object.entries(VERDICT_WORDS).map(([id, title]) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </NativeSelect>
      </div>
      {list.length === 0 && <p>No certificate is on file. Type the first one under Certificates.</p>}
      {list.length > 0 && matching.length === 0 && <p>Nothing matches. Clear the search.</p>}
      <ol className="candidates">
        {shown.map((candidate) => (
          <CandidateRow
            key={`${candidate.certificate.id} ${candidate.size.size}`}
            candidate={candidate}
            dossier={dossier}
            placed={placed && own}
            chart={chartSize(candidate.certificate, of)}
            parts={partsOf(of, candidate)}
          />
        ))}
      </ol>
      {matching.length > shown.length && (
        <Button variant="default" className="more-places" onClick={() => setMore(true)}>
          {matching.length - shown.length} more sizes
        </Button>
      )}
    </>
  );
}

function CandidateRow({
  candidate,
  dossier,
  placed,
  chart,
  parts,
}: {
  candidate: Candidate;
  dossier: Dossier;
  placed: boolean;
  chart: string | null;
  parts: [Supply, number][];
}) {
  const { certificate, size, verdict, said, dimensions, connection, washer, barrier, centrality, ringFace } =
    candidate;
  const { entry } = dossier;
  const isFitted = placed && entry.certificate === certificate.id && entry.size === size.size;
  const choose = () =>
    give(
      'entry.edit',
      {
        id: entry.id,
        set: { certificate: certificate.id, size: size.size, kind: certificate.kind, ringFace },
      },
      `${certificate.number}, ${size.size} is chosen for entry ${entry.label}.${connection.adaptor ? ' Record its adaptor, as marked, on the entry when it is fitted.' : ''}`,
    );
  return (
    <li className={`candidate ${verdict}`}>
      <header>
        <SealGlyph state={VERDICT_GLYPHS[verdict]} label={VERDICT_WORDS[verdict]} />
        <b>
          {certificate.number}, {size.size}
        </b>
        <span className="quiet">
          {kindTitle(certificate.kind)}, {size.thread}
          {ringFace && `, ring ${ringFace}`}
          {barrier && ', barrier'}
        </span>
        <span className="verdict-word">
          {VERDICT_WORDS[verdict]}
          {verdict !== 'no' &&
            dimensions.length > 0 &&
            `, ${Math.round(Math.max(0, centrality) * 100)} % central`}
        </span>
      </header>
      <div className="candidate-strips">
        {dimensions.map((dimension) => (
          <CandidateStrip key={dimension.place} dimension={dimension} />
        ))}
      </div>
      <ChartWords chart={chart} size={size.size} verdict={verdict} />
      {certificate.state !== 'valid' && (
        <p className="tone-failed">The certificate is {certificate.state}.</p>
      )}
      {placed && (
        <p
          className={connection.how === 'impossible' || connection.note === 'near-miss' ? 'tone-failed' : ''}
        >
          {connectionWords(connection)}
        </p>
      )}
      {washer.length > 0 && <p>Sealing washer: {washer.join('; ')}.</p>}
      {said.length > 0 && (
        <ul className="said">
          {said.map((one, i) => (
            <li
              key={i}
              className={
                one.outcome === 'fails'
                  ? 'tone-failed'
                  : one.outcome === 'marginal'
                    ? 'tone-close'
                    : 'tone-unread'
              }
            >
              {sentence(one)} {settling(one)} <small>{one.check}</small>
            </li>
          ))}
        </ul>
      )}
      {verdict !== 'no' && placed && (
        <footer>
          <small className="quiet">
            {parts.map(([part, n]) => `${n} × ${supplyTitle(part)}`).join('; ')}
          </small>
          {isFitted ? (
            <a className="button-link" href={`/makeoff/?site=${entry.site}&entry=${entry.id}`}>
              Chosen: plan the make-off
            </a>
          ) : (
            <Button variant="default" onClick={choose}>
              Choose it
            </Button>
          )}
        </footer>
      )}
    </li>
  );
}

/** What the sheet's chart proposes by cores and conductor area, beside what the measurement says. */
function ChartWords({
  chart,
  size,
  verdict,
}: {
  chart: string | null;
  size: string;
  verdict: Candidate['verdict'];
}) {
  if (chart === null) return null;
  const proposes = `The sheet’s chart proposes ${chart} by cores and conductor area`;
  if (chart === size) {
    return verdict === 'no' ? (
      <p className="tone-close">{proposes}; it does not fit. The measurement decides.</p>
    ) : (
      <p className="quiet">{proposes} too.</p>
    );
  }
  if (verdict === 'no') return null;
  return (
    <p className="tone-close">
      {proposes}; the measurement says {size}. The measurement decides.
    </p>
  );
}
