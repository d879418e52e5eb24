import { isSoft } from '../../core/measuring/soft';
import { judgeFit } from '../../core/rulebook/judge-fit';
import { fitTaskOf, limitsOf } from '../../core/rulebook/fit-task';
import {
  diameterOf,
  groupsOf,
  singleUncertainty,
  type Context,
  type ReadingGroup,
} from '../../core/rulebook/dossier';
import { isWorse, type Aspect, type Finding } from '../../core/record/finding';
import { judgeValues } from '../../core/rulebook/judge-value';
import { valueTaskOf } from '../../core/rulebook/value-task';
import type { Place } from '../../core/kinds/place';
import { DIAMETERS } from '../../core/kinds/places';
import type { Id, Reading, ReadingFault } from '../../core/record/types';
import type { PartState } from '../../drawing/shapes';
import { glyphOfFinding } from '../../ui/glyph-state';
import type { GlyphState } from '../../ui/heart/SealGlyph';
import { PLACE_WORDS } from '../../core/words/en/kinds/places';

/** Everything that a place's card and its part of the drawing show. */
export interface PlaceView {
  place: Place;
  readings: Reading[];
  /** Why readings do not count, by the records as they stand now. */
  faults: ReadonlyMap<Id, ReadingFault>;
  /** Tags of the instruments by id. */
  tags: ReadonlyMap<Id, string>;
  limits: [number | null, number | null] | null;
  mean: number | null;
  uncertainty: number | null;
  glyph: GlyphState;
  word: string;
}

const WORD: Record<GlyphState, string> = {
  fits: 'Fits',
  close: 'Close call',
  small: 'Too small',
  large: 'Too large',
  unread: 'Not read',
  na: 'No limit on file',
};

/** Places that hang from the drawing come first, from the box outwards; then the others, as the kind lists them. */
const FIRST = ['inner-sheath', 'over-cores', 'armour', 'outer-sheath'];

/** Places in the order in which their cards stand. */
export function inOrder(places: readonly Place[]): Place[] {
  const rank = ({ id }: Place) => (FIRST.indexOf(id) + FIRST.length + 1) % (FIRST.length + 1);
  const hanging = places.filter(({ id }) => FIRST.includes(id)).sort((a, b) => rank(a) - rank(b));
  return [...hanging, ...places.filter(({ id }) => !FIRST.includes(id))];
}

const WORD_OF: Record<string, string> = {
  'value.under': 'Too little',
  'value.over': 'Too much',
  'e19.wide': 'Too wide',
  'e19.narrow': 'Too narrow',
};

function worstOf(aspects: readonly Aspect[]): Aspect {
  return aspects.reduce((worst, aspect) => (isWorse(aspect.outcome, worst.outcome) ? aspect : worst));
}

/** A place with its readings and the verdict on the size alone; the judgement column has the whole check. */
export function placeView(context: Context, place: Place, findings: readonly Finding[]): PlaceView {
  const groups = groupsOf(context, place.id);
  const best = groups.filter(({ fault }) => !fault).sort((a, b) => b.readings.length - a.readings.length)[0];
  const sheath = DIAMETERS.has(place.id);
  const diameter = best && sheath ? diameterOf(context, best, !place.metal && isSoft(context.cable)) : null;
  const last = best?.readings[best.readings.length - 1];
  const task = fitTaskOf(context, place.id);
  const single = valueTaskOf(context, place.id);
  const aspect: Pick<Aspect, 'outcome' | 'key'> | null = task
    ? judgeFit(context, task)
    : single
      ? worstOf(judgeValues(context, single))
      : (findings.find((finding) => finding.place === place.id) ?? null);
  const glyph = aspect ? glyphOfFinding(aspect) : groups.length > 0 ? 'na' : 'unread';
  return {
    place,
    readings: context.readings.filter((reading) => reading.place === place.id),
    faults: faultsIn(groups),
    tags: new Map(groups.map(({ instrument }) => [instrument.id, instrument.tag])),
    limits: limitsOf(context, place.id),
    mean: diameter?.meanMm ?? last?.value ?? null,
    uncertainty: diameter?.expandedUncertaintyMm ?? (best ? singleUncertainty(best.instrument) : null),
    glyph,
    word: wordOf(glyph, aspect?.key ?? '', place),
  };
}

function faultsIn(groups: readonly ReadingGroup[]): ReadonlyMap<Id, ReadingFault> {
  const faults = new Map<Id, ReadingFault>();
  for (const { fault, readings } of groups) if (fault) for (const { id } of readings) faults.set(id, fault);
  return faults;
}

function wordOf(glyph: GlyphState, key: string, place: Place): string {
  if (glyph === 'large' && key === 'fit.oval') return 'Too oval';
  const failed = glyph === 'large' ? PLACE_WORDS[place.words]?.failed : undefined;
  if (failed) return failed;
  if (key in WORD_OF) return WORD_OF[key]!;
  if (glyph === 'large' && !key.startsWith('fit.')) return 'Failed';
  if (glyph === 'fits' && !key.startsWith('fit.')) return 'Sound';
  return WORD[glyph];
}

/** How the part of a place is outlined in the drawing. */
export const partState = (glyph: GlyphState): PartState =>
  glyph === 'fits'
    ? 'sound'
    : glyph === 'close'
      ? 'close'
      : glyph === 'unread'
        ? 'unread'
        : glyph === 'na'
          ? null
          : 'failed';

/** How many readings of a place count. */
export const countedOf = ({ readings, faults }: PlaceView): number =>
  readings.filter(({ id }) => !faults.has(id)).length;

/** Whether a place has the readings that it asks for; one that cannot count leaves it unread. */
export const isRead = (view: PlaceView): boolean => countedOf(view) >= view.place.wanted;
