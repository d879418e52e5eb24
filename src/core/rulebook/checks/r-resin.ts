import type { Check } from '../check';
import { isFlameproof, type Context } from '../dossier';
import { judgePours } from '../judge-pour';
import { judgeLook } from '../look';

const weight = (context: Context) => (isFlameproof(context) ? 4 : 3);

/** First shot thrown away, dam whole, resin seen at the vent. */
export const r01: Check = {
  id: 'R-01',
  title: 'Dam and fill',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'resin-dam',
  consequence: weight,
  run: (context) => [judgeLook(context, 'resin-dam')],
};

/** Batch, expiry, ratio and working life of the resin, and its cure. */
export const r02: Check = {
  id: 'R-02',
  title: 'Cure of the resin',
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: weight,
  run: (context) => judgePours(context, 'resin'),
};

/** The armour is engaged, and only the grommet nut was turned afterwards. */
export const r03: Check = {
  id: 'R-03',
  title: 'Armour and grommet nut',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'grommet-nut',
  consequence: weight,
  run: (context) => [judgeLook(context, 'grommet-nut')],
};
