import { Box, Button, Group, Text } from '@mantine/core';
import { FieldGrid } from '../../ui/FieldGrid';
import type { Candidate } from '../../core/finder/candidate';
import type { Supply } from '../../core/finder/supply';
import type { Dossier } from '../../core/rulebook/dossier';
import { sentence, settling } from '../../core/words/en/findings';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { connectionWords } from '../../core/words/en/makeoff';
import { supplyTitle } from '../../core/words/en/supplies';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { give } from '../hand/give';
import { CandidateStrip } from './CandidateStrip';
import { VERDICT_GLYPHS, VERDICT_WORDS } from './verdict';

interface CandidateProps {
  candidate: Candidate;
  dossier: Dossier;
  /** Whether it is for the entry, with its own cable. */
  placed: boolean;
  chart: string | null;
  parts: [Supply, number][];
}

/** One size: whether it fits, how centrally, and why. */
export function CandidateRow(props: CandidateProps) {
  const { candidate, placed, chart } = props;
  const { certificate, size, verdict, dimensions, washer } = candidate;
  return (
    <li className={`candidate edge state-${verdict} ${verdict}`}>
      <CandidateHead {...candidate} />
      <FieldGrid min={290} gap="4px 22px" my={6}>
        {dimensions.map((dimension) => (
          <CandidateStrip key={dimension.place} dimension={dimension} />
        ))}
      </FieldGrid>
      <ChartWords chart={chart} size={size.size} verdict={verdict} />
      {certificate.state !== 'valid' && (
        <Text my={4} className="tone-failed">
          The certificate is {certificate.state}.
        </Text>
      )}
      {placed && <Joined {...candidate} />}
      {washer.length > 0 && <Text my={4}>Sealing washer: {washer.join('; ')}.</Text>}
      <Reasons {...candidate} />
      {verdict !== 'no' && placed && <CandidateFoot {...props} />}
    </li>
  );
}

function CandidateHead({ certificate, size, verdict, dimensions, barrier, centrality, ringFace }: Candidate) {
  return (
    <Group component="header" gap="4px 12px">
      <SealGlyph state={VERDICT_GLYPHS[verdict]} label={VERDICT_WORDS[verdict]} />
      <b>
        {certificate.number}, {size.size}
      </b>
      <span className="quiet">
        {kindTitle(certificate.kind)}, {size.thread}
        {ringFace && `, ring ${ringFace}`}
        {barrier && ', barrier'}
      </span>
      <Text component="b" ml="auto">
        {VERDICT_WORDS[verdict]}
        {verdict !== 'no' &&
          dimensions.length > 0 &&
          `, ${Math.round(Math.max(0, centrality) * 100)} % central`}
      </Text>
    </Group>
  );
}

const Joined = ({ connection }: Candidate) => (
  <Text
    my={4}
    className={connection.how === 'impossible' || connection.note === 'near-miss' ? 'tone-failed' : ''}
  >
    {connectionWords(connection)}
  </Text>
);

const TONES: Record<string, string> = { fails: 'tone-failed', marginal: 'tone-close' };

const Reasons = ({ said }: Candidate) =>
  said.length > 0 && (
    <Box component="ul" my={4} pl={20}>
      {said.map((one, i) => (
        <li key={i} className={TONES[one.outcome] ?? 'tone-unread'}>
          {sentence(one)} {settling(one)} <small>{one.check}</small>
        </li>
      ))}
    </Box>
  );

function CandidateFoot({ candidate, dossier: { entry }, parts }: CandidateProps) {
  const { certificate, size, connection, ringFace } = candidate;
  const isFitted = entry.certificate === certificate.id && entry.size === size.size;
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
    <Group component="footer" gap="md" justify="space-between">
      <small className="quiet">{parts.map(([part, n]) => `${n} × ${supplyTitle(part)}`).join('; ')}</small>
      {isFitted ? (
        <Button component="a" variant="default" href={`/makeoff/?site=${entry.site}&entry=${entry.id}`}>
          Chosen: plan the make-off
        </Button>
      ) : (
        <Button variant="default" onClick={choose}>
          Choose it
        </Button>
      )}
    </Group>
  );
}

interface ChartWordsProps {
  chart: string | null;
  size: string;
  verdict: Candidate['verdict'];
}

/** What the sheet's chart proposes by cores and conductor area, beside what the measurement says. */
function ChartWords({ chart, size, verdict }: ChartWordsProps) {
  if (chart === null) return null;
  const proposes = `The sheet’s chart proposes ${chart} by cores and conductor area`;
  if (chart === size) {
    return verdict === 'no' ? (
      <Text my={4} className="tone-close">
        {proposes}; it does not fit. The measurement decides.
      </Text>
    ) : (
      <Text my={4} className="quiet">
        {proposes} too.
      </Text>
    );
  }
  if (verdict === 'no') return null;
  return (
    <Text my={4} className="tone-close">
      {proposes}; the measurement says {size}. The measurement decides.
    </Text>
  );
}
