import { FieldGrid } from '../../ui/FieldGrid';
import { Button } from '@mantine/core';
import type { Slice } from '../../core/record/slice';
import type { Certificate, EntryStatus } from '../../core/record/types';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { listed, naturally } from '../../ui/list/source';
import { useList } from '../../ui/list/use-list';
import { useStatuses } from '../hand/hand';

/** The worst first; what is not judged yet last. */
const ORDER: readonly (EntryStatus['state'] | undefined)[] = [
  'failed',
  'incomplete',
  'doubtful',
  'sound',
  undefined,
];

/** Every entry that rests on the certificate, the worst first, as the device knows it. */
export function Touched({ slice, certificate }: { slice: Slice; certificate: Certificate }) {
  const statusOf = useStatuses();
  const entries = slice
    .by('entry', 'certificate', certificate.id)
    .map((entry) => ({
      entry,
      state: statusOf(entry.id)?.state,
      title: `${slice.get('enclosure', entry.enclosure)?.tag ?? '?'}, entry ${entry.label}`,
    }))
    .sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state) || naturally(a.title, b.title));
  const list = useList(listed(entries, { key: ({ entry }) => entry.id, words: ({ title }) => title }));
  return (
    <section>
      <h2>
        {entries.length === 0
          ? 'No entry rests on it'
          : `${entries.length} ${entries.length === 1 ? 'entry rests' : 'entries rest'} on it`}
      </h2>
      <FieldGrid component="ul" className="bare touched" min={220} gap="0 16px" mb="sm">
        {list.rows.map(({ entry, state, title }) => (
          <li key={entry.id}>
            <a className="line" href={`/bench/?site=${entry.site}&entry=${entry.id}`}>
              {state && <SealGlyph state={glyphOfState(state)} label={STATE_WORDS[state]} />} {title}
              <small className="quiet"> {entry.size ?? 'no size'}</small>
            </a>
          </li>
        ))}
      </FieldGrid>
      {list.matching > list.rows.length && (
        <Button variant="default" mr="sm" onClick={list.more}>
          More of them
        </Button>
      )}
      <Button component="a" variant="default" href={`/site/?site=${certificate.site}`}>
        To the plan
      </Button>
    </section>
  );
}
