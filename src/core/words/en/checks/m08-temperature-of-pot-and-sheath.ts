import { s, degrees, n } from '../sentences/parts';
import { mm } from '../format';
import type { CheckWords } from './words';

export const m08: CheckWords = {
  title: 'Temperature of pot and sheath',
  sentences: {
    'm08.sheath-unknown': (f) =>
      `How hot the sheath of cable ${s(f, 'cable')} gets in service is not recorded.`,
    'm08.pot': (f) =>
      `Pot and compound bear ${degrees(n(f, 'maxC'))} °C; the ${s(f, 'from')} reaches ${degrees(n(f, 'hottestC'))} °C.`,
    'm08.class': (f) =>
      `The sheath reaches ${degrees(n(f, 'sheathC'))} °C; ${s(f, 'class')} allows ${degrees(n(f, 'limitC'))} °C.`,
    'm08.suits': (f) =>
      `Pot and compound bear ${degrees(n(f, 'maxC'))} °C; at most ${degrees(n(f, 'hottestC'))} °C is met.`,
    'm08.no-class': (f) => `The temperature class of ${s(f, 'area')} is not recorded.`,
    'm08.no-dust': (f) =>
      `Ignition temperatures of cloud and layer in ${s(f, 'area')}, and the depth of the layer, are not all recorded.`,
    'm08.cloud': (f) =>
      `The sheath reaches ${degrees(n(f, 'sheathC'))} °C; two thirds of the cloud's ignition temperature are ${degrees(n(f, 'limitC'))} °C.`,
    'm08.layer': (f) =>
      `The sheath reaches ${degrees(n(f, 'sheathC'))} °C; under the layer's ignition temperature less 75 K, ${degrees(n(f, 'limitC'))} °C are allowed.`,
    'm08.deep-layer': (f) =>
      `Dust lies up to ${mm(n(f, 'dustLayerMm'))} deep in ${s(f, 'area')}: above 5 mm the standard's curve decides.`,
  },
};
