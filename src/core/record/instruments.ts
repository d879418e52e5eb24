import type { Slice } from './slice';
import type { Id, Instrument } from './types';

/** The instrument of the register that a version is of. */
export const registerIdOf = ({ id, of }: Pick<Instrument, 'id' | 'of'>): Id => of ?? id;

/** Versions of one instrument, the newest last. */
const byLending = (a: Instrument, b: Instrument): number => {
  const [first, second] = [a.lentAt ?? '', b.lentAt ?? ''];
  return first < second ? -1 : first > second ? 1 : a.id < b.id ? -1 : 1;
};

/** Every version of an instrument that a site has, the newest last. */
export function versionsOf(slice: Slice, instrument: Instrument): Instrument[] {
  const own = registerIdOf(instrument);
  const all = slice.by('instrument', 'site', instrument.site);
  return all.filter((one) => registerIdOf(one) === own).sort(byLending);
}

/** The instruments of a site as they are now: the newest version of each. */
export function currentInstruments(slice: Slice, site: Id): Instrument[] {
  const newest = new Map<Id, Instrument>();
  const all = slice.by('instrument', 'site', site).sort(byLending);
  for (const one of all) newest.set(registerIdOf(one), one);
  return all.filter((one) => newest.get(registerIdOf(one)) === one);
}

/**
 * A version with what later ones tell of its calibrations: whether it was found to have run out, and how long the next
 * ones speak. Its figures stay those that it measured with.
 */
export function instrumentNow(slice: Slice, id: Id): Instrument | null {
  const version = slice.get('instrument', id);
  if (!version) return null;
  const newest = versionsOf(slice, version).at(-1)!;
  if (newest.id === version.id || newest.calibrations.length === 0) return version;
  return { ...version, calibrations: newest.calibrations, calibratedUntil: newest.calibratedUntil };
}
