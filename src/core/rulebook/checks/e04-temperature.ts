import { worstEntryTemperature } from '../../hazard/temperature';
import { atMost } from '../../quantity/compare';
import { conforms, fails, unread, type Check } from '../check';
import type { Aspect } from '../finding';

/** Gland, seals, compound and cable bear the ambient and the temperature at the entry. */
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
    const aspects: Aspect[] = [];
    if (!atMost(least, coldest) || !atMost(hottest, most)) {
      const facts = { coldestC: coldest, hottestC: hottest, leastC: least, mostC: most };
      aspects.push(fails('e04.ambient', facts));
    }
    let weakest = 'The gland';
    let weakestC = most;
    const bear = (part: string, maxC: number) => {
      if (!atMost(worstC, maxC)) aspects.push(fails('e04.too-hot', { part, maxC, worstC, from }));
      if (maxC >= weakestC) return;
      weakest = part;
      weakestC = maxC;
    };
    bear('The gland', most);
    if (size) bear('The outer seal', size.outer.maxC);
    else aspects.push(unread('e01.no-size', { certificate: certificate.number }, 'settle.size'));
    if (size?.inner) bear('The inner seal', size.inner.maxC);
    const { compound } = certificate.sheet;
    if (compound) bear('The compound', compound.maxC);
    if (cable) bear('The cable', cable.maxC);
    else aspects.push(unread('cable.none', {}, 'settle.cable'));
    if (aspects.length > 0) return aspects;
    return [
      conforms('e04.suits', {
        coldestC: coldest,
        hottestC: hottest,
        leastC: least,
        mostC: most,
        worstC,
        from,
        part: weakest,
        maxC: weakestC,
      }),
    ];
  },
};
