import {
  CLOUD_SHARE,
  LAYER_DEPTH_MM,
  LAYER_MARGIN_K,
  TEMPERATURE_CLASSES,
  worstEntryTemperature,
} from '../../hazard/temperature';
import { atMost } from '../../quantity/compare';
import type { Area } from '../../record/types';
import { areaOpen } from '../area-words';
import { blank, type Check, type None, saying } from '../check';
import { classified } from '../classified';
import type { Aspect } from '../../record/finding';
import { temperaturesOf } from './e04-temperature';
import { noCable } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'm08.no-class': { area: string };
  'm08.class': { sheathC: number; limitC: number; class: string };
  'm08.no-dust': { area: string };
  'm08.cloud': { sheathC: number; limitC: number };
  'm08.layer': { sheathC: number; limitC: number; dustLayerMm: number };
  'm08.deep-layer': { area: string; dustLayerMm: number };
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'm01.no-pot': { size: string; sheet: string };
  'm08.sheath-unknown': { cable: string };
  'm08.pot': { maxC: number; hottestC: number; from: string };
  'm08.suits': { hottestC: number; maxC: number; sheathC: number };
};
const { conforms, fails, unread } = saying<Says>();

/** The sheath against the temperature class of the gas. */
function underGas({ name, temperatureClass }: Area, sheathC: number): Aspect[] {
  if (temperatureClass === null) return [unread('m08.no-class', { area: name }, 'settle.area')];
  const limitC = TEMPERATURE_CLASSES[temperatureClass];
  return atMost(sheathC, limitC) ? [] : [fails('m08.class', { sheathC, limitC, class: temperatureClass })];
}

/** The sheath against cloud and layer of the dust (IEC 60079-14:2013, 5.6.3). */
function underDust({ name, cloudIgnitionC, layerIgnitionC, dustLayerMm }: Area, sheathC: number): Aspect[] {
  if (cloudIgnitionC === null || layerIgnitionC === null || dustLayerMm === null)
    return [unread('m08.no-dust', { area: name }, 'settle.area')];
  const cloudC = cloudIgnitionC * CLOUD_SHARE;
  const layerC = layerIgnitionC - LAYER_MARGIN_K;
  const aspects: Aspect[] = [];
  if (!atMost(sheathC, cloudC)) aspects.push(fails('m08.cloud', { sheathC, limitC: cloudC }));
  if (!atMost(sheathC, layerC)) aspects.push(fails('m08.layer', { sheathC, limitC: layerC, dustLayerMm }));
  else if (!atMost(dustLayerMm, LAYER_DEPTH_MM))
    aspects.push(unread('m08.deep-layer', { area: name, dustLayerMm }, 'settle.layer-curve'));
  return aspects;
}

/** Pot, sleeves and compound bear the entry's temperature and the sheath's; the sheath suits the area's class. */
export const m08: Check = {
  id: 'M-08',
  kinds: ({ mineral }) => mineral,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 5.6 and 9.3; assembly sheet, temperature', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const { size, certificate, enclosure, area, cable } = context;
    const none = noCable(context);
    if (none) return [none];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!size.mineral) {
      return [unread('m01.no-pot', { size: size.size, sheet: certificate.sheet.number }, 'settle.sheet')];
    }
    const { maxC } = size.mineral;
    if (!area.ambientC) return [blank('ambient-range', area.name, 'settle.area')];
    const { worstC } = worstEntryTemperature(temperaturesOf({ enclosure }), area.ambientC[1]);
    const { sheathC } = cable!.mineral!;
    if (sheathC === null) return [unread('m08.sheath-unknown', { cable: cable!.tag }, 'settle.sheath-c')];
    const hottestC = Math.max(worstC, sheathC);
    const aspects: Aspect[] = [];
    if (!atMost(hottestC, maxC))
      aspects.push(fails('m08.pot', { maxC, hottestC, from: sheathC > worstC ? 'sheath' : 'entry' }));
    const where = classified(context.site, area);
    const open = areaOpen(where, area.name);
    if (open) aspects.push(open);
    for (const { dust } of where.is === 'classified' ? where.hazards : []) {
      aspects.push(...(dust ? underDust(area, sheathC) : underGas(area, sheathC)));
    }
    return aspects.length > 0 ? aspects : [conforms('m08.suits', { hottestC, maxC, sheathC })];
  },
};
