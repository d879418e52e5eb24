import { memo, useEffect, useRef } from 'react';
import type { EntryStatus, Id, Round } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { device, useStatuses } from '../hand/hand';

interface Props {
  round: Round;
  current: Id;
  onOpen: (entry: Id) => void;
}

const isSame = (a: Props, b: Props): boolean => a.round === b.round && a.current === b.current;

/** The stops of the round as a line, each with its mark; drawn again when one was judged anew, never with a key. */
export const WalkList = memo(function WalkList({ round, current, onOpen }: Props) {
  const { slice } = device.state();
  const statusOf = useStatuses();
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    ref.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [current]);
  return (
    <nav className="walk" aria-label="Walk">
      <h2>
        Walk, stop {round.entries.indexOf(current) + 1} of {round.entries.length}
      </h2>
      <ol className="bare">
        {round.entries.map((id) => {
          const entry = slice.get('entry', id);
          const tag = entry && slice.get('enclosure', entry.enclosure)?.tag;
          if (!entry || !tag) return null;
          return (
            <li
              key={id}
              ref={id === current ? ref : undefined}
              aria-current={id === current ? 'step' : undefined}
            >
              <a
                href={`/bench/?entry=${id}`}
                onClick={(event) => {
                  if (event.ctrlKey || event.metaKey) return;
                  event.preventDefault();
                  onOpen(id);
                }}
              >
                <Mark status={statusOf(id)} />
                <span>
                  <b>
                    {tag}, entry {entry.label}
                  </b>
                  <small>{kindTitle(entry.kind)}</small>
                </span>
              </a>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}, isSame);

/** The mark of a stop as it stands; unread until it has been judged. */
function Mark({ status }: { status: EntryStatus | null }) {
  const state = status?.state ?? 'incomplete';
  return <SealGlyph state={glyphOfState(state)} size={28} label={STATE_WORDS[state]} />;
}
