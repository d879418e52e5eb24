import type { Place } from '../../core/kinds/place';
import type { Id, Instrument, Round, Unit } from '../../core/record/types';
import { QUANTITIES, readQuantity, type QuantityId } from '../../core/quantity/quantity';
import type { InstrumentLine } from '../../core/instrument/line';
import { sends } from '../../core/instrument/simulator';
import { day } from '../../core/words/en/format';
import { quantityFault } from '../../core/words/en/quantity';
import { device, instrument as hand, say } from './hand';
import { afterPaint } from '../../ui/after-paint';
import { showFresh } from './fresh';
import { give } from './give';

/** Where a reading goes. */
export interface Target {
  entry: Id;
  round: Round;
  place: Place;
  instrument: Instrument;
}

/** What each unit of a reading measures. */
export const QUANTITY_OF: Record<Unit, QuantityId> = {
  mm: 'length',
  ohm: 'bond',
  turns: 'turns',
  Nm: 'torque',
  degC: 'temperature',
  megohm: 'insulation',
};

/** Unit in which a plain number of a place is typed and in which it is shown. */
export const unitShown = (unit: Unit): string => QUANTITIES[QUANTITY_OF[unit]].unit;

/** Keeps what was typed as a reading; otherwise gives what is wrong with it, for its field. Null when it was kept. */
export function takeTyped({ entry, round, place, instrument }: Target, typed: string): string | null {
  const quantity = QUANTITY_OF[place.unit];
  const read = readQuantity(typed, quantity);
  if ('fault' in read) return quantityFault(read.fault, quantity);
  return put({ entry, round, place, instrument }, read.value, read.typed, 'typed') ? null : '';
}

/** Readings of one place lie this far apart. */
const NEXT_ANGLE_DEG = 60;

/**
 * Takes what the instrument shows; `nominal` is what it is held against when nobody has said otherwise.
 *
 * @returns 'moving' where it has to come to rest first: it is on its way then
 */
export function takeLive(
  target: Target,
  line: InstrumentLine | null,
  nominal: number,
): 'taken' | 'moving' | 'refused' {
  const { instrument, place } = target;
  if (!sends(instrument) || instrument.unit !== place.unit) {
    say(`${instrument.tag} does not send by itself: type the reading and press Enter.`);
    return 'refused';
  }
  if (line?.fault === 'past-calibration') {
    say(
      `${instrument.tag} is past its calibration date ${day(instrument.calibratedUntil)} and does not send. Choose another instrument, or type the reading: it is kept and marked.`,
    );
    return 'refused';
  }
  if (!line || line.value === null || !line.stable) {
    const caliper = instrument.kind === 'caliper';
    hand.handle(caliper ? { jaws: 'close' } : { target: nominal });
    return 'moving';
  }
  const decimals = place.unit === 'Nm' ? 1 : 2;
  if (!put(target, line.value, line.value.toFixed(decimals), 'instrument')) return 'refused';
  // The next reading is taken a third of a half turn further round.
  const { angle_deg } = line;
  if (angle_deg !== null) afterPaint(() => hand.handle({ angleDeg: (angle_deg + NEXT_ANGLE_DEG) % 180 }));
  return 'taken';
}

function put(
  { entry, round, place, instrument }: Target,
  value: number,
  typed: string,
  source: 'typed' | 'instrument',
): boolean {
  const id = device.id();
  const method = instrument.kind === 'tape' ? 'tape' : instrument.kind === 'caliper' ? 'caliper' : null;
  const of = { id, entry, round: round.id, place: place.id, instrument: instrument.id };
  if (give('reading.take', { ...of, value, typed, method, source }) === null) return false;
  showFresh(place.id, value);
  return true;
}
