import { useDeferredValue, useEffect, useMemo, useRef } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Id, Round } from '../../core/record/types';
import { dossierOf } from '../../core/rulebook/dossier';
import { now } from '../../client/clock';
import { assessDossier } from '../../core/rulebook/assess';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { kindTitle } from '../../core/words/en/kinds/kinds';

/** The stops of the round as a line, each with its mark. */
export function WalkList({
  slice,
  version,
  round,
  current,
  onOpen,
}: {
  slice: Slice;
  version: number;
  round: Round;
  current: Id;
  onOpen: (entry: Id) => void;
}) {
  // The marks of all stops may come a moment after the verdict of the one on the bench.
  const settled = useDeferredValue(version);
  const stops = useMemo(() => stopsOf(slice, round), [settled, round.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const at = stops.findIndex(({ id }) => id === current);
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Newer browsers answer with a promise, which is no clean-up for an effect.
    void ref.current?.scrollIntoView({ block: 'nearest' });
  }, [current]);
  return (
    <nav className="walk" aria-label="Walk">
      <h2>
        Walk, {at + 1} of {stops.length} stops
      </h2>
      <ol>
        {stops.map(({ id, title, what, state }) => (
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
              <SealGlyph state={glyphOfState(state)} size={28} label={STATE_WORDS[state]} />
              <span>
                <b>{title}</b>
                <small>{what}</small>
              </span>
            </a>
          </li>
        ))}
      </ol>
    </nav>
  );
}

function stopsOf(slice: Slice, round: Round) {
  return round.entries.flatMap((id) => {
    const dossier = dossierOf(slice, id, round);
    const found = dossier && assessDossier(slice, dossier, now(), round.grade);
    if (!found) return [];
    return [
      {
        id,
        title: `${dossier.enclosure.tag}, entry ${dossier.entry.label}`,
        what: kindTitle(dossier.entry.kind),
        state: found.status.state,
      },
    ];
  });
}
