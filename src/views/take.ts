import type { Place } from '../core/record/kinds';
import type { Id, Instrument, Round, Unit } from '../core/record/types';
import { parseLength } from '../core/quantity/length';
import { parseResistance } from '../core/quantity/resistance';
import type { InstrumentLine } from '../core/instrument/line';
import { sends } from '../core/instrument/simulator';
import { day } from '../core/words/format';
import { LENGTH_FAULT_WORDS } from '../core/words/labels';
import { device, instrument as hand, say } from './device';
import { give } from './give';

/** Where a reading goes. */
export interface Target {
  entry: Id;
  round: Round;
  place: Place;
  instrument: Instrument;
}

/** Keeps what was typed as a reading; says what is wrong with it otherwise. True when it was kept. */
export function takeTyped({ entry, round, place, instrument }: Target, typed: string): boolean {
  const value = valueOf(place, typed);
  if (typeof value === 'string') {
    say(value);
    return false;
  }
  return put({ entry, round, place, instrument }, value, typed.trim(), 'typed');
}

/** What is typed at a place, by its unit. */
export const TYPED_UNIT: Record<Unit, string> = {
  mm: 'mm or in',
  ohm: 'Ω or mΩ',
  turns: 'turns',
  Nm: 'N·m',
  degC: '°C',
  megohm: 'MΩ',
};

function valueOf(place: Place, typed: string): number | string {
  if (place.unit === 'ohm') {
    const ohms = parseResistance(typed);
    return ohms ?? 'That is no resistance. Type for example 0.012 or 12 mΩ.';
  }
  if (place.unit !== 'mm') {
    const plain = typed.trim().replace(',', '.');
    return /^\d+(\.\d+)?$/.test(plain)
      ? Number(plain)
      : `That is no number of ${TYPED_UNIT[place.unit]}. Type for example ${place.unit === 'turns' ? '0.85' : '34.5'}.`;
  }
  const read = parseLength(typed);
  return 'mm' in read ? read.mm : LENGTH_FAULT_WORDS[read.fault]!;
}

/** Readings of one place lie this far apart. */
const NEXT_ANGLE_DEG = 60;

/** Takes what the instrument shows; `nominal` is what it is held against when nobody has said otherwise. */
export function takeLive(target: Target, line: InstrumentLine | null, nominal: number): boolean {
  const { instrument, place } = target;
  if (!sends(instrument) || instrument.unit !== place.unit) {
    say(`${instrument.tag} does not send by itself: type the reading and press Enter.`);
    return false;
  }
  if (line?.fault === 'past-calibration') {
    say(
      `${instrument.tag} is past its calibration date ${day(instrument.calibratedUntil)} and does not send. Choose another instrument, or type the reading: it is kept and marked.`,
    );
    return false;
  }
  if (!line || line.value === null || !line.stable) {
    const caliper = instrument.kind === 'caliper';
    hand.handle(caliper ? { jaws: 'close' } : { target: nominal });
    say(
      caliper
        ? 'The jaws are closing on the cable; take the reading when they rest.'
        : `${instrument.tag} is on its way; take the reading when it rests.`,
    );
    return false;
  }
  const decimals = place.unit === 'Nm' ? 1 : 2;
  if (!put(target, line.value, line.value.toFixed(decimals), 'instrument')) return false;
  // The next reading is taken a third of a half turn further round.
  if (line.angle_deg !== null) hand.handle({ angleDeg: (line.angle_deg + NEXT_ANGLE_DEG) % 180 });
  return true;
}

function put(
  { entry, round, place, instrument }: Target,
  value: number,
  typed: string,
  source: 'typed' | 'instrument',
): boolean {
  const id = device.id();
  const method = instrument.kind === 'tape' ? 'tape' : instrument.kind === 'caliper' ? 'caliper' : null;
  return (
    give('reading.take', {
      id,
      entry,
      round: round.id,
      place: place.id,
      value,
      typed,
      method,
      instrument: instrument.id,
      source,
    }) !== null
  );
}
