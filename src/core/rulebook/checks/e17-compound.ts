import { SPIGOT } from '../../kinds/looks';
import { compoundFill } from '../../gland/compound';
import { MOST_FILL_PCT, sealThicknessMm } from '../../hazard/division';
import { atMost } from '../../quantity/compare';
import { type Check, type None, saying } from '../check';
import type { Context } from '../dossier';
import { kindOf } from '../dossier';
import type { Aspect } from '../../record/finding';
import { clocksOf, judgePours } from '../judge-pour';
import { judgeValues } from '../judge-value';
import { judgeLook } from '../look';
import { valueTaskOf } from '../value-task';

type OfPot = { freePct: number; boreMm: number; depthMm: number };

/** What it says, and the facts of each. */
type Says = {
  'e17.look-early': { lookAt: string; at: string };
  'e17.mended-unrecorded': { name: string };
  'pot.no-size': None;
  'e12.no-pot': { size: string; sheet: string };
  'cable.none': None;
  'pot.full': { boreMm: number };
  'pot.free': OfPot;
  'pot.too-full': OfPot;
  'pot.too-thin': { depthMm: number; leastMm: number };
  'pot.fill': { filledPct: number; mostPct: number };
};
const { conforms, fails, unread } = saying<Says>();

/** Life kept, batch, free share, reach, voids, cured, looked at. */
export const e17: Check = {
  id: 'E-17',
  kinds: ({ pot }) => pot === 'compound',
  basis: { 'iec-2013': 'IEC 60079-1, Annex C; IEC 60079-14:2013, 10.6.2', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'compound-face',
  consequence: () => 4,
  run(context) {
    const spigot = kindOf(context).looks.includes(SPIGOT);
    return [
      ...face(context),
      ...judgePours(context, 'compound'),
      ...share(context),
      ...reach(context),
      judgeLook(context, 'compound-witness'),
      ...(spigot ? [judgeLook(context, SPIGOT.id)] : []),
    ];
  },
};

/**
 * The face as it was looked at: a look before the cure proves nothing, and voids that were mended are a pour of
 * their own.
 */
function face(context: Context): Aspect[] {
  const look = judgeLook(context, 'compound-face');
  const given = context.looks.get('compound-face');
  const { pours, certificate } = context;
  const compound = certificate?.sheet.compound;
  if (!given || look.outcome !== 'conforms' || !compound) return [look];
  const newest = pours[pours.length - 1];
  const lookAt = newest ? (clocksOf(compound, newest)?.lookAt ?? null) : null;
  // A mending is packed after the look that found its voids.
  const mended = given.answer === 'mended';
  const mending = mended && pours.length > 1;
  const first = mending ? (clocksOf(compound, pours[0]!)?.lookAt ?? null) : lookAt;
  const aspects = [look];
  if (first !== null && Date.parse(given.at) < Date.parse(first)) {
    aspects.push(unread('e17.look-early', { lookAt: first, at: given.at }, 'settle.look-after-cure'));
  }
  if (mended && !mending)
    aspects.push(unread('e17.mended-unrecorded', { name: compound.name }, 'settle.pour'));
  return aspects;
}

/** The share of the pot that the cores leave to the compound, and along what length. */
function share({ size, cable, site }: Context): Aspect[] {
  if (!size) return [unread('pot.no-size', {}, 'settle.size')];
  if (!size.pot) return [unread('e12.no-pot', { size: size.size, sheet: '' }, 'settle.sheet')];
  if (!cable) return [unread('cable.none', {}, 'settle.cable')];
  const { boreMm, depthMm } = size.pot;
  const cores = cable.cores;
  const taken = cores.reduce((sum, { count, diameterMm }) => sum + count * diameterMm ** 2, 0);
  if (atMost(boreMm * boreMm, taken)) return [fails('pot.full', { boreMm })];
  const { freePct, conforms: enough } = compoundFill(boreMm, depthMm, cores, 0, 1);
  const facts = { freePct, boreMm, depthMm };
  const aspects = [enough ? conforms('pot.free', facts) : fails('pot.too-full', facts)];
  if (site.scheme === 'divisions') {
    const leastMm = sealThicknessMm(0);
    const filledPct = 100 - freePct;
    if (!atMost(leastMm, depthMm)) aspects.push(fails('pot.too-thin', { depthMm, leastMm }));
    if (!atMost(filledPct, MOST_FILL_PCT))
      aspects.push(fails('pot.fill', { filledPct, mostPct: MOST_FILL_PCT }));
  }
  return aspects;
}

/** A sheet without compound data is told by the pours already. */
function reach(context: Context): Aspect[] {
  const task = valueTaskOf(context, 'compound-reach');
  return task ? judgeValues(context, task) : [];
}
