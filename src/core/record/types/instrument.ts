import type { InstrumentFields } from '../../instrument/instrument';
import type { Base, Id } from './base';

export { INSTRUMENT_KINDS, UNITS, type InstrumentKind, type Unit } from '../../instrument/instrument';

/**
 * An instrument as a site has it: a version, as it stood when the installation lent it. A recalibration is lent as a new
 * version; what was measured before points to the one it was measured with.
 */
export interface Instrument extends Base, InstrumentFields {
  /** The instrument of the register that this is a version of; null: its own id, for the first. */
  of: Id | null;
  /** When it was lent to the site; null for the first version. */
  lentAt: string | null;
}
