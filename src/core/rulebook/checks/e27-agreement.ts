import { agreement } from '../../measuring/agreement';
import { metalSheathMm } from '../../mineral/sheath';
import { atMost } from '../../quantity/compare';
import type { Diameter } from '../../measuring/diameter';
import { isSoft } from '../../measuring/soft';
import { blank, type Check, type None, saying } from '../check';
import { diameterOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { countedDiameters } from '../judge-fit';
import { judgeLook } from '../look';

type OfLayers = { cable: string; foundMm: number; expectedMm: number; allowedMm: number };
type OfOverall = {
  cable: string;
  meanMm: number;
  uncertaintyMm: number;
  recordMm: number;
  differenceMm: number;
  allowedMm: number;
};

/** What it says, and the facts of each. */
type Says = {
  'cable.none': None;
  'e27.disagree': { cable: string };
  'e27.not-measured': { cable: string };
  'e27.layers-agree': OfLayers;
  'e27.layers-differ': OfLayers;
  'e27.ends': { cable: string; places: string };
  'e27.overall-agrees': OfOverall;
  'e27.overall-differs': OfOverall;
};
const { conforms, fails, unread } = saying<Says>();

/** The cable as measured is the cable of the record; unused cores are terminated. */
export const e27: Check = {
  id: 'E-27',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, cable type; cable record' },
  grade: 'close',
  hazard: 'record',
  place: 'outer-sheath',
  consequence: () => 1,
  run(context) {
    const { cable } = context;
    const look = judgeLook(context, 'unused-cores');
    if (!cable) return [unread('cable.none', {}, 'settle.cable'), look];
    const outer = diametersAt(context, 'outer-sheath');
    const inner = diametersAt(context, 'inner-sheath');
    const ends = tooManyEnds(context);
    if (!outer || !inner)
      return [unread('e27.disagree', { cable: cable.tag }, 'settle.measure-again'), ...ends, look];
    if (outer.length === 0)
      return [unread('e27.not-measured', { cable: cable.tag }, 'settle.take-three'), ...ends, look];
    const aspects = outer.map((one) => overall(context, one));
    if (cable.armour) {
      const armourMm = cable.armour.sizeMm;
      const { sheathMm, toleranceMm } = cable;
      if (armourMm === null || sheathMm === null || toleranceMm === null) {
        aspects.push(blank('armour-size-sheath-thickness-or-their-tolerance', cable.tag, 'settle.cable'));
        return [...aspects, ...ends, look];
      }
      const record = { armourMm, sheathMm, toleranceMm };
      for (const a of outer) {
        for (const b of inner) {
          const { agrees, ...numbers } = agreement(a, b, record);
          const facts = { cable: cable.tag, ...numbers };
          aspects.push(agrees ? conforms('e27.layers-agree', facts) : fails('e27.layers-differ', facts));
        }
      }
    }
    return [...aspects, ...ends, look];
  },
};

/** A cable has two ends: one that stands in more entries is recorded wrongly somewhere. */
function tooManyEnds({ otherEnds, cable }: Context): Aspect[] {
  if (otherEnds.length < 2) return [];
  const places = otherEnds.map(({ tag, label }) => `${tag} ${label}`).join(', ');
  return [unread('e27.ends', { cable: cable!.tag, places }, 'settle.cable')];
}

function overall({ cable }: Context, outer: Diameter): Aspect {
  const recordMm = metalSheathMm(cable!);
  if (recordMm === null || cable!.toleranceMm === null)
    return blank('overall-diameter-or-its-tolerance', cable!.tag, 'settle.cable');
  const differenceMm = outer.meanMm - recordMm;
  const allowedMm = outer.expandedUncertaintyMm + cable!.toleranceMm;
  const facts = {
    cable: cable!.tag,
    meanMm: outer.meanMm,
    uncertaintyMm: outer.expandedUncertaintyMm,
    recordMm,
    differenceMm,
    allowedMm,
  };
  return atMost(Math.abs(differenceMm), allowedMm)
    ? conforms('e27.overall-agrees', facts)
    : fails('e27.overall-differs', facts);
}

/** The diameters of a place that count; null where they contradict each other. */
function diametersAt(context: Context, place: string): Diameter[] | null {
  const soft = isSoft(context.cable);
  const kept = countedDiameters(context, place, soft);
  return kept && kept.filter(({ fault }) => !fault).map((group) => diameterOf(context, group, soft));
}
