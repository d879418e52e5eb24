import { worstEntryTemperature } from '../../hazard/temperature';
import { atMost } from '../../quantity/compare';
import { conforms, fails, unread, type Check } from '../check';
import type { Aspect } from '../finding';

/** Gland, seals and cable bear the ambient and the temperature at the entry. */
export const e04: Check = {
  id: 'E-04',
  title: 'Temperature',
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run({ area, certificate, size, enclosure, cable }) {
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const [coldest, hottest] = area.ambientC;
    const [least, most] = certificate.serviceC;
    const { worstC, from } = worstEntryTemperature(
      { markedC: enclosure.entryTemperatureC, measured: enclosure.measuredTemperature },
      hottest,
    );
    const ambient = { coldestC: coldest, hottestC: hottest, leastC: least, mostC: most };
    const aspects: Aspect[] = [];
    if (!atMost(least, coldest) || !atMost(hottest, most)) aspects.push(fails('e04.ambient', ambient));
    const parts: [string, number | null][] = [
      ['The gland', most],
      ['The outer seal', size?.outer.maxC ?? null],
      ['The inner seal', size?.inner ? size.inner.maxC : null],
      ['The cable', cable?.maxC ?? null],
    ];
    let lowest: [string, number] | null = null;
    for (const [part, maxC] of parts) {
      if (maxC === null) continue;
      if (!atMost(worstC, maxC)) aspects.push(fails('e04.too-hot', { part, maxC, worstC, from }));
      if (!lowest || maxC < lowest[1]) lowest = [part, maxC];
    }
    if (!cable) aspects.push(unread('cable.none', {}, 'settle.cable'));
    if (!size) aspects.push(unread('e01.no-size', { certificate: certificate.number }, 'settle.size'));
    if (aspects.length > 0) return aspects;
    return [conforms('e04.suits', { ...ambient, worstC, from, part: lowest![0], maxC: lowest![1] })];
  },
};
