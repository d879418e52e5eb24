import { Button } from '@mantine/core';
import { useDeferredValue, useMemo } from 'react';
import type { Candidate } from '../../core/finder/candidate';
import { needOf } from '../../core/finder/need';
import { chartSize, rankGlands } from '../../core/finder/rank';
import { partsOf } from '../../core/finder/schedule';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';
import { now } from '../../client/clock';
import { ListFilters } from '../../ui/list/ListFilters';
import { listed } from '../../ui/list/source';
import { useList } from '../../ui/list/use-list';
import type { CableChoice } from './CableFields';
import { CandidateRow } from './CandidateRow';
import { VERDICT_WORDS } from './verdict';

/** Candidates that are listed before somebody asks for more. */
const SHOWN = 25;

interface RankingProps {
  slice: Slice;
  site: Id;
  dossier: Dossier;
  /** Whether the dossier is that of the entry which was chosen. */
  placed: boolean;
  cable: CableChoice;
}

/** Every size on file for a cable, the best first. */
export function Ranking({ slice, site, dossier, placed, cable }: RankingProps) {
  const of = cable.cable() ?? (placed ? dossier.cable : null);
  const own = of !== null && of === dossier.cable;
  const deferred = useDeferredValue(of);
  const certificates = useMemo(() => slice.by('certificate', 'site', site), [slice, site]);
  const ranked = useMemo(
    () => (deferred ? rankGlands(needOf(dossier, deferred, own, placed), certificates, now()) : []),
    // The dossier is made anew with every change of the records.
    [dossier, deferred, own, placed, certificates],
  );
  if (!of) return <p>Choose a cable, or type its overall diameter, its inner sheath and its armour.</p>;
  const fits = ranked.filter((one) => one.verdict === 'fits').length;
  return (
    <>
      <p role="status">
        {fits === 0 ? 'No size on file fits' : `${fits} ${fits === 1 ? 'size fits' : 'sizes fit'}`}, of{' '}
        {ranked.length} on file.
      </p>
      {ranked.length === 0 && <p>No certificate is on file. Type the first one under Certificates.</p>}
      <Candidates ranked={ranked}>
        {(candidate) => (
          <CandidateRow
            key={keyOf(candidate)}
            candidate={candidate}
            dossier={dossier}
            placed={placed && own}
            chart={chartSize(candidate.certificate, of)}
            parts={partsOf(of, candidate)}
          />
        )}
      </Candidates>
    </>
  );
}

const keyOf = ({ certificate, size }: Candidate): string => `${certificate.id} ${size.size}`;

interface CandidatesProps {
  ranked: readonly Candidate[];
  children: (candidate: Candidate) => React.ReactNode;
}

function Candidates({ ranked, children }: CandidatesProps) {
  const list = useList(
    listed(ranked, {
      key: keyOf,
      words: ({ certificate: c, size }) => `${c.number} ${c.title} ${size.size} ${size.thread}`,
      only: { verdict: ({ verdict }, value) => verdict === value },
      page: SHOWN,
    }),
  );
  return (
    <>
      <ListFilters
        list={list}
        search="Number, title, size or thread"
        filters={[
          { id: 'verdict', label: 'Show', options: [['', 'every size'], ...Object.entries(VERDICT_WORDS)] },
        ]}
      />
      {list.of !== 0 && list.matching === 0 && <p>Nothing matches. Clear the search.</p>}
      <ol className="bare candidates">{list.rows.map(children)}</ol>
      {list.matching > list.rows.length && (
        <Button variant="default" className="more-places" onClick={list.more}>
          {list.matching - list.rows.length} more sizes
        </Button>
      )}
    </>
  );
}
