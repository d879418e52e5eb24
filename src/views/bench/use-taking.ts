import { useEffect, useState } from 'react';
import { sends } from '../../core/instrument/simulator';
import { currentInstruments } from '../../core/record/instruments';
import type { Id, Instrument } from '../../core/record/types';
import { nominalOf } from '../../core/rulebook/fit-task';
import { device, instrument as hand, say } from '../hand/hand';
import { instrumentsFor } from '../hand/instruments-for';
import { afterPaint } from '../../ui/after-paint';
import { Cell, useCell } from '../../ui/cell';
import { pieceOf } from '../hand/piece';
import { takeLive, takeTyped, type Target } from '../hand/take';
import { countedOf } from './place-view';
import type { Judged } from './use-judged';
import type { Way } from './use-way';

/** Taking readings: the instrument in the hand, what it is held against, and where a reading goes. */
export interface Taking {
  instruments: readonly Instrument[];
  instrument: Instrument | null;
  choose: (instrument: Id) => void;
  /** The instrument where it sends by itself; null for one that is read by eye. */
  sending: Instrument | null;
  /** The place that the next reading belongs to; empty for none. */
  place: string;
  nominalMm: number;
  /** Takes what the instrument shows, or as soon as it rests. */
  take: () => void;
  /** Takes what was typed. Null once it is kept; otherwise what is wrong with it. */
  enter: (typed: string) => string | null;
}

/** Place whose reading is taken as soon as the instrument rests; empty for none. */
const waitsAt = new Cell('');

/** Whether the reading of a place is taken as soon as the instrument rests. */
export const useWaiting = (place: string): boolean => useCell(waitsAt, (at) => place !== '' && at === place);

/** Readings for the place that is active. */
export function useTaking(judged: Judged, way: Way): Taking {
  const { slice } = device.state();
  const { dossier, round } = judged;
  const { active } = way;
  const id = active?.place.id ?? '';
  const [chosen, setChosen] = useState<Record<string, Id>>({});
  const instruments = active ? instrumentsFor(currentInstruments(slice, dossier.site.id), active.place.instruments) : []; // prettier-ignore
  const instrument = instruments.find((one) => one.id === chosen[id]) ?? instruments[0] ?? null;
  const sending = instrument && sends(instrument) ? instrument : null;
  const nominalMm = nominalOf(dossier, id);
  useHold(sending, id, nominalMm);
  const target = (): Target | null => {
    if (!active) return null;
    if (instrument) return { entry: dossier.entry.id, round, place: active.place, instrument };
    say('No instrument on file measures this. Add one under Dossier, Instruments.');
    return null;
  };
  const taken = () => {
    waitsAt.set('');
    if (!active) return;
    const here = { is: 'place', id } as const;
    const isLast = countedOf(active) + 1 === active.place.wanted;
    afterPaint(() => (isLast ? way.goOn(here) : way.goTo(here)));
  };
  return {
    instruments,
    instrument,
    choose: (one) => setChosen({ ...chosen, [id]: one }),
    sending,
    place: id,
    nominalMm,
    take() {
      const where = target();
      if (!where) return;
      const how = takeLive(where, hand.line, nominalMm);
      if (how === 'taken') taken();
      else waitsAt.set(how === 'moving' ? id : '');
    },
    enter(typed) {
      const where = target();
      const problem = where ? takeTyped(where, typed) : '';
      if (problem === null) taken();
      return problem;
    },
  };
}

/** Holds an instrument against the part of a place: another place, another thing between the jaws. */
function useHold(sending: Instrument | null, place: string, nominalMm: number): void {
  useEffect(() => {
    hand.hold(sending);
    if (sending?.kind === 'caliper')
      hand.handle({ jaws: 'open', workpiece: pieceOf(nominalMm, 0.1), angleDeg: 0 });
    else if (sending) hand.handle({ target: null });
  }, [sending?.id, place]); // eslint-disable-line react-hooks/exhaustive-deps
}
