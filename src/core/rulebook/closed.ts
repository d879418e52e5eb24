import { fingerprintOf } from '../record/fingerprint';
import { instrumentNow } from '../record/instruments';
import { lookOf, placeOf } from '../kinds/kinds';
import { conditionNumber } from '../kinds/worked-looks';
import type { Slice } from '../record/slice';
import type { AsLeft, Cable, Entry, Id, Instrument, Look, MakeOff } from '../record/types';
import { groupReadings, type ReadingGroup } from './readings';

/** No place or look. */
export const NOTHING: ReadonlySet<string> = new Set();

/** Looks whose bad answer ends a sealed record's word: altered, damaged, a seal that is not what it was. */
const ENDING = ['unaltered', 'damage', 'seal-state'];

/** From when on readings and hidden looks say something: the last opening, make-off or change of the cable. */
export function cutOf({ cableSince }: Entry, works: readonly MakeOff[]): string {
  let cut = cableSince ?? '';
  for (const { at } of works) if (at > cut) cut = at;
  return cut;
}

/** The newest sealed record, if nothing has ended its word since. */
export function validRecord(
  records: readonly AsLeft[],
  entry: Entry,
  cable: Cable | null,
  works: readonly MakeOff[],
  looks: readonly Look[],
): AsLeft | null {
  const newest = records[records.length - 1];
  if (!newest || newest.fingerprint !== fingerprintOf(entry, cable)) return null;
  // Work that was begun, or went on, after it: until that is sealed nobody knows what is inside.
  if (works.some((work) => work.finished !== newest.at && wentOnAfter(work, newest.at))) return null;
  const ended = looks.some(({ look, answer, at, round }) => {
    const later = at > newest.at || (at === newest.at && round !== newest.round);
    if (!later || !ENDING.includes(look)) return false;
    return lookOf(entry.kind, look)?.answers.find(({ id }) => id === answer)?.good === false;
  });
  return ended ? null : newest;
}

const wentOnAfter = ({ at, ticks }: MakeOff, sealed: string): boolean =>
  at > sealed || ticks.some((tick) => tick.at > sealed);

/** Whether a place or look cannot be reached once the entry is closed, or only while it is being closed. */
export function isHidden({ kind }: Entry, id: string): boolean {
  const asked = placeOf(kind, id) ?? lookOf(kind, id);
  if (asked === null) return conditionNumber(id) !== null;
  return asked.grade === 'detailed' || JOINT_ANSWER.test(id);
}

const JOINT_ANSWER = /^(turns|torque|faces|grip|gap)-/;

/** Adds the answers of a sealed record to hidden places and looks that the round leaves open; says which. */
export function answerFrom(
  slice: Slice,
  record: AsLeft,
  entry: Entry,
  groups: Map<string, ReadingGroup[]>,
  looks: Map<string, Look>,
): ReadonlySet<string> {
  const recorded = new Set<string>();
  const sealed = new Map(record.instruments.map((instrument) => [instrument.id, instrument]));
  const live = new Map<Id, Instrument>();
  for (const id of sealed.keys()) {
    const instrument = instrumentNow(slice, id);
    if (instrument) live.set(id, instrument);
  }
  const found = groupReadings(record.readings, {
    kind: entry.kind,
    instruments: [sealed, live],
    since: null,
  });
  for (const [place, of] of found) {
    if (groups.has(place) || !isHidden(entry, place)) continue;
    groups.set(place, of);
    recorded.add(place);
  }
  for (const look of record.looks) {
    if (looks.has(look.look) || !isHidden(entry, look.look)) continue;
    looks.set(look.look, look);
    recorded.add(look.look);
  }
  return recorded;
}
