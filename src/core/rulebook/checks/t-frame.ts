import { atMost } from '../../quantity/compare';
import { conforms, fails, marginal, unread, type Check } from '../check';
import type { Aspect } from '../finding';
import { judgeLook } from '../look';
import { noRecord } from './t-blocks';

/** Lubricated, straight, held on both sides. */
export const t08: Check = {
  id: 'T-08',
  title: 'Cables through the transit',
  grade: 'close',
  hazard: 'explosion',
  place: 'transit-cables',
  consequence: () => 2,
  run: (context) => [judgeLook(context, 'transit-cables')],
};

/** Braid folded and clean, faces bare, and the resistance from each armour through the frame to earth. */
export const t09: Check = {
  id: 'T-09',
  title: 'Bonding',
  grade: 'detailed',
  hazard: 'shock',
  place: 'braid',
  consequence: () => 3,
  run(context) {
    const none = noRecord(context);
    if (none) return [none];
    const { site, certificate } = context;
    const limitOhm = site.bondLimitOhm;
    const { expectedBondOhm: expectedOhm } = certificate!.sheet;
    const aspects: Aspect[] = [];
    let count = 0;
    for (const { frame, blocks } of context.transit!.openings) {
      for (const { block, cable, row } of blocks) {
        if (block.cable === null || !block.armour) continue;
        const facts = {
          opening: frame.label,
          row: row + 1,
          cable: cable?.tag ?? block.cable,
          limitOhm,
          expectedOhm,
        };
        if (block.bondOhm === null) {
          aspects.push(unread('t09.unread', facts, 'settle.bond'));
          continue;
        }
        count++;
        const found = { ...facts, ohm: block.bondOhm, factor: site.bondPredictionFactor };
        if (!atMost(block.bondOhm, limitOhm)) aspects.push(fails('t09.over', found));
        else if (!atMost(block.bondOhm, expectedOhm * site.bondPredictionFactor)) {
          aspects.push(marginal('t09.far', found, 'settle.bond-finer'));
        }
      }
    }
    const look = judgeLook(context, 'braid');
    return aspects.length > 0 ? [...aspects, look] : [conforms('t09.low', { count, limitOhm }), look];
  },
};

/** The frame is fixed and sealed to the wall. */
export const t10: Check = {
  id: 'T-10',
  title: 'Frame in the wall',
  grade: 'close',
  hazard: 'explosion',
  place: 'frame-fixed',
  consequence: () => 3,
  run: (context) => [judgeLook(context, 'frame-fixed')],
};
