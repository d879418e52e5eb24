import {
  CLOUD_SHARE,
  LAYER_DEPTH_MM,
  LAYER_MARGIN_K,
  TEMPERATURE_CLASSES,
  worstEntryTemperature,
} from '../../hazard/temperature';
import { atMost } from '../../quantity/compare';
import { isLater } from '../../instrument/calibration';
import type { Area } from '../../record/types';
import { areaOpen } from '../area-words';
import { blank, conforms, fails, unread, type Check } from '../check';
import { classified } from '../classified';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeValues } from '../judge-value';
import { judgeLook } from '../look';
import { passedOver } from '../passed-over';
import { valueTaskOf } from '../value-task';
import { temperaturesOf } from './e04-temperature';
import { noCable } from './m-insulation';

/** The pot on its mark, the sheath proud in it by what the sheet asks, filled and crimped; a link cut to length. */
export const m01: Check = {
  id: 'M-01',
  title: 'Pot mark and projection',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'pot-projection',
  consequence: () => 3,
  run(context) {
    const { size, certificate, cable } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (!size.mineral) {
      return [unread('m01.no-pot', { size: size.size, sheet: certificate.sheet.number }, 'settle.sheet')];
    }
    const aspects = [
      ...judgeValues(context, valueTaskOf(context, 'pot-projection')!),
      judgeLook(context, 'pot-square'),
      judgeLook(context, 'pot-filled'),
    ];
    if (cable?.mineral?.screened) {
      aspects.push(judgeLook(context, 'drain-wire'));
      if (size.mineral.screenStubMm === null)
        aspects.push(fails('m01.no-stub', { size: size.size, cable: cable.tag }));
    }
    return isLink(context) ? [...aspects, ...length(context)] : aspects;
  },
};

const isLink = (context: Context): boolean => kindOf(context).places.some(({ id }) => id === 'sheath-length');

/** The sheath of a link against the path that it has to fit. */
function length(context: Context): Aspect[] {
  const none = noCable(context);
  if (none) return [none];
  const task = valueTaskOf(context, 'sheath-length');
  if (!task) return [unread('m01.no-path', { cable: context.cable!.tag }, 'settle.path')];
  return judgeValues(context, task);
}

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

/** Every conductor comes out under its own sleeve. */
export const m06: Check = {
  id: 'M-06',
  title: 'Continuity and sleeves',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'continuity',
  consequence: () => 3,
  run(context) {
    const none = noCable(context);
    if (none) return [none];
    const traced = context.mineral!.continuity;
    if (traced && isLater(traced.at, context.at))
      return [unread('m06.future', { at: traced.at }, 'settle.clock')];
    if (!traced) {
      return [
        passedOver(context, 'continuity') ??
          unread('m06.none', { cable: context.cable!.tag }, 'settle.trace'),
      ];
    }
    const { conductors } = context.cable!.mineral!;
    const far = new Map(traced.found.map((one) => [one.near, one.far]));
    const broken = conductors.filter((name) => far.get(name) === null);
    const missing = conductors.filter((name) => !far.has(name));
    const crossed = conductors.filter((name) => far.get(name) && far.get(name) !== name);
    const aspects: Aspect[] = [];
    if (crossed.length > 0) {
      aspects.push(
        fails('m06.crossed', {
          pairs: crossed.map((name) => `${name} comes out as ${far.get(name)}`).join(', '),
        }),
      );
    }
    if (broken.length > 0) aspects.push(fails('m06.broken', { names: broken.join(', ') }));
    if (missing.length > 0)
      aspects.push(unread('m06.missing', { names: missing.join(', ') }, 'settle.trace'));
    return aspects.length > 0 ? aspects : [conforms('m06.agrees', { count: conductors.length })];
  },
};

/** Pot, sleeves and compound bear the entry's temperature and the sheath's; the sheath suits the area's class. */
export const m08: Check = {
  id: 'M-08',
  title: 'Temperature of pot and sheath',
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
    if (!area.ambientC) return [blank('the ambient range', area.name, 'settle.area')];
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
