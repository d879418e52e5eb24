import { e01 } from './e01-identified';
import { e02 } from './e02-level';
import { e03 } from './e03-group';
import { e04 } from './e04-temperature';
import { e05 } from './e05-ingress';
import { e06 } from './e06-protection';
import { e07 } from './e07-thread';
import { e08 } from './e08-engagement';
import { e09 } from './e09-adaptors';
import { e10 } from './e10-unused';
import { e11 } from './e11-outer-seal';
import { e12 } from './e12-inner-seal';
import { e13 } from './e13-clamp';
import { e14 } from './e14-armour-seated';
import { e15 } from './e15-barrier';
import { e16 } from './e16-cable-kind';
import { e17 } from './e17-compound';
import { e18a } from './e18a-outer-joints-closed';
import { e18b } from './e18b-clamp-inner-seal-and-pot-closed';
import { e19 } from './e19-back-nut';
import { e20 } from './e20-proud';
import { e21 } from './e21-armour-length';
import { e22 } from './e22-washer';
import { e23a } from './e23a-bond-tight';
import { e23b } from './e23b-bond-resistance';
import { e24 } from './e24-shroud';
import { e25 } from './e25-conditions';
import { e26 } from './e26-held';
import { e27 } from './e27-agreement';
import { e28 } from './e28-unaltered';
import { e29 } from './e29-damage';
import { e30 } from './e30-seal-state';
import { e31 } from './e31-single-core';
import { m01 } from './m01-pot-mark-and-projection';
import { m02 } from './m02-insulation-before-sealing';
import { m03 } from './m03-insulation-after-sealing';
import { m04 } from './m04-fall-of-insulation-at-sealing';
import { m05 } from './m05-time-to-seal';
import { m06 } from './m06-continuity-and-sleeves';
import { m07 } from './m07-earth';
import { m08 } from './m08-temperature-of-pot-and-sheath';
import { r01 } from './r01-dam-and-fill';
import { r02 } from './r02-cure-of-the-resin';
import { r03 } from './r03-armour-and-grommet-nut';
import { s01 } from './s01-fill-of-the-opening';
import { s02 } from './s02-distances';
import { s03 } from './s03-depth-of-the-sealant';
import { s04 } from './s04-adhesion';
import { s05 } from './s05-both-sides';
import { s06 } from './s06-behind-the-sealant';
import { t01 } from './t01-block-range';
import { t02 } from './t02-peeling';
import { t03 } from './t03-difference-of-the-halves';
import { t04 } from './t04-last-layer';
import { t05 } from './t05-packing-complete';
import { t06 } from './t06-compression';
import { t07 } from './t07-room-for-re-entry';
import { t08 } from './t08-cables-through-the-transit';
import { t09 } from './t09-bonding';
import { t10 } from './t10-frame-in-the-wall';
import type { CheckWords } from './words';

/** Words of every check, by its id. */
export const CHECKS: Readonly<Record<string, CheckWords>> = {
  'E-01': e01,
  'E-02': e02,
  'E-03': e03,
  'E-04': e04,
  'E-05': e05,
  'E-06': e06,
  'E-07': e07,
  'E-08': e08,
  'E-09': e09,
  'E-10': e10,
  'E-11': e11,
  'E-12': e12,
  'E-13': e13,
  'E-14': e14,
  'E-15': e15,
  'E-16': e16,
  'E-17': e17,
  'E-18a': e18a,
  'E-18b': e18b,
  'E-19': e19,
  'E-20': e20,
  'E-21': e21,
  'E-22': e22,
  'E-23a': e23a,
  'E-23b': e23b,
  'E-24': e24,
  'E-25': e25,
  'E-26': e26,
  'E-27': e27,
  'E-28': e28,
  'E-29': e29,
  'E-30': e30,
  'E-31': e31,
  'M-01': m01,
  'M-02': m02,
  'M-03': m03,
  'M-04': m04,
  'M-05': m05,
  'M-06': m06,
  'M-07': m07,
  'M-08': m08,
  'R-01': r01,
  'R-02': r02,
  'R-03': r03,
  'S-01': s01,
  'S-02': s02,
  'S-03': s03,
  'S-04': s04,
  'S-05': s05,
  'S-06': s06,
  'T-01': t01,
  'T-02': t02,
  'T-03': t03,
  'T-04': t04,
  'T-05': t05,
  'T-06': t06,
  'T-07': t07,
  'T-08': t08,
  'T-09': t09,
  'T-10': t10,
};

/** What a check is called; its id where the book has none of that id. */
export const checkTitle = (id: string): string => CHECKS[id]?.title ?? id;
