import { type Check, saying } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { answerTo, judgeLook } from '../look';

/** What it says, and the facts of each. */
type Says = {
  'e24.weather-unknown': { area: string };
  'e24.sheet-asks': { area: string; weather: string; sheet: string; acrossMm: number | null; what: string };
  'e24.deluge': { area: string; weather: string; sheet: string; acrossMm: number | null };
};
const { fails, unread } = saying<Says>();

/** Shroud or deluge boot where sheet or place asks for one; water runs off the entry. */
export const e24: Check = {
  id: 'E-24',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, environment' },
  grade: 'visual',
  hazard: 'explosion',
  place: 'shroud',
  consequence: () => 2,
  run(context) {
    const look = judgeLook(context, 'shroud');
    const facing = kindOf(context).link;
    return facing ? [...run(context, look), judgeLook(context, 'shrouds-facing')] : run(context, look);
  },
};

function run(context: Context, look: Aspect): Aspect[] {
  const { certificate, area, size } = context;
  if (answerTo(context, 'shroud') !== 'none') return [look];
  // "None fitted" is only sound where neither the sheet nor the place asks for one.
  const { weather } = area;
  if (weather === null) return [unread('e24.weather-unknown', { area: area.name }, 'settle.area')];
  const shroud = certificate?.sheet.shroud ?? null;
  const facts = {
    area: area.name,
    weather,
    sheet: certificate?.sheet.number ?? '',
    acrossMm: size?.acrossMm ?? null,
  };
  if (shroud === 'shroud' || shroud === 'boot') {
    return [fails('e24.sheet-asks', { ...facts, what: shroud === 'boot' ? 'deluge boot' : 'shroud' })];
  }
  return weather === 'deluge' ? [fails('e24.deluge', facts)] : [look];
}
