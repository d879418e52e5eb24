import { useMediaQuery } from '@mantine/hooks';
import { elementScroll, useVirtualizer, type VirtualItem } from '@tanstack/react-virtual';
import { memo, useEffect, useRef } from 'react';
import type { EntryStatus, Id, Round } from '../../core/record/types';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph } from '../../ui/heart/SealGlyph';
import { TOLD } from '../../ui/list/told-size';
import { device, useStatuses } from '../hand/hand';

interface Props {
  round: Round;
  current: Id;
  onOpen: (entry: Id) => void;
}

const isSame = (a: Props, b: Props): boolean => a.round === b.round && a.current === b.current;

/** The stops of the round as a line, each with its mark; drawn again when one was judged anew, never with a key. */
const WalkList = memo(function WalkList({ round, current, onOpen }: Props) {
  const statusOf = useStatuses();
  const box = useRef<HTMLElement>(null);
  const stop = round.entries.indexOf(current);
  const { drawn, before, after, measure, lying } = useWindow(box, round.entries, stop);
  const room = lying ? { paddingLeft: before, paddingRight: after } : { paddingTop: before, paddingBottom: after }; // prettier-ignore
  return (
    <nav className="walk" style={{ gridArea: 'walk' }} aria-label="Walk" ref={box}>
      <h2>
        Walk, stop {stop + 1} of {round.entries.length}
      </h2>
      <ol className="bare" style={room}>
        {drawn.map(({ index, key }) => {
          const id = round.entries[index]!;
          return (
            <li
              key={key}
              ref={measure}
              data-index={index}
              aria-posinset={index + 1}
              aria-setsize={round.entries.length}
              aria-current={id === current ? 'step' : undefined}
            >
              <Stop id={id} status={statusOf(id)} onOpen={onOpen} />
            </li>
          );
        })}
      </ol>
    </nav>
  );
}, isSame);

/** The walk stands beside the bench, or lies above it on a narrow screen. */
const LYING = '(max-width: 1240px)';
/** About how high a stop is where the walk stands, and how wide where it lies, px. */
const STOP_PX = { standing: 56, lying: 170 };

/** The stops that are on the screen, and the room for the others; the current one among them. */
function useWindow(box: React.RefObject<HTMLElement | null>, stops: readonly Id[], current: number) {
  const lying = useMediaQuery(LYING, undefined, { getInitialValueInEffect: false });
  const px = lying ? STOP_PX.lying : STOP_PX.standing;
  // eslint-disable-next-line react-hooks/incompatible-library -- what it gives is used here alone, anew with each render
  const virtual = useVirtualizer<HTMLElement, HTMLLIElement>({
    count: stops.length,
    horizontal: lying,
    getScrollElement: () => box.current,
    // With the frame: at once it would have the whole page laid out before it is shown.
    scrollToFn: (...to) => requestAnimationFrame(() => elementScroll(...to)),
    estimateSize: () => px,
    ...TOLD,
    getItemKey: (i) => stops[i]!,
    overscan: 4,
    initialOffset: Math.max(0, (current - 1) * px),
  });
  const came = useRef({ current, lying });
  useEffect(() => {
    const before = came.current;
    came.current = { current, lying };
    if (lying !== before.lying) virtual.measure();
    if (lying !== before.lying || current !== before.current) virtual.scrollToIndex(current);
  }, [current, lying]); // eslint-disable-line react-hooks/exhaustive-deps
  const drawn: VirtualItem[] = virtual.getVirtualItems();
  const before = drawn[0]?.start ?? 0;
  return { drawn, before, after: virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0), measure: virtual.measureElement, lying }; // prettier-ignore
}

/** One stop: its mark, its name and its kind. */
function Stop({ id, status, onOpen }: { id: Id; status: EntryStatus | null; onOpen: (entry: Id) => void }) {
  const { slice } = device.state();
  const entry = slice.get('entry', id);
  const tag = entry && slice.get('enclosure', entry.enclosure)?.tag;
  return (
    <a
      className="line"
      href={`/bench/?entry=${id}`}
      onClick={(event) => {
        if (event.ctrlKey || event.metaKey) return;
        event.preventDefault();
        onOpen(id);
      }}
    >
      <Mark status={status} />
      <span>
        <b>{entry && tag ? `${tag}, entry ${entry.label}` : 'An entry'}</b>
        <small>{entry && tag ? kindTitle(entry.kind) : 'not on this device'}</small>
      </span>
    </a>
  );
}

/** The mark of a stop as it stands; unread until it has been judged. */
function Mark({ status }: { status: EntryStatus | null }) {
  const state = status?.state ?? 'incomplete';
  return <SealGlyph state={glyphOfState(state)} size={28} label={STATE_WORDS[state]} />;
}

export default WalkList;
