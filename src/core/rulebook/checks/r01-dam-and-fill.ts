import type { Check } from '../check';
import { judgeLook } from '../look';
import { weight } from '../resin-weight';

/** First shot thrown away, dam whole, resin seen at the vent. */
export const r01: Check = {
  id: 'R-01',
  kinds: ({ pot }) => pot === 'resin',
  basis: { 'iec-2013': 'Assembly sheet, dam and fill; IEC 60079-14:2013, 10.6', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'resin-dam',
  consequence: weight,
  run: (context) => [judgeLook(context, 'resin-dam')],
};
