import type { JointId } from '../record/types';
import type { Situation } from './situation';

/** A part that goes on the cable before it is made off, in the order of slipping on. */
export interface Part {
  id: string;
  /** Key of its name and of which way round it goes. */
  words: string;
  /** Whether it is left off where the sheet has no shroud. */
  shroud: boolean;
}

/** What of an entry stands at a stage of the work: sheaths cut, parts on and closed. */
export type Reach =
  | 'outerCut'
  | 'innerCut'
  | 'inWall'
  | 'spread'
  | 'clamped'
  | 'innerSeal'
  | 'pot'
  | 'drain'
  | 'filled'
  | 'nut';

/** A step of making off. */
export interface Step {
  id: string;
  /** Key of what it says. */
  words: string;
  /** Look, place or test that has to be answered before the work goes on; null for a plain step. */
  hold: string | null;
  /** Key of what can hurt somebody here; null where nothing does. */
  caution: string | null;
  /** Joint that the step closes, by the school of the sheet; null for another step. */
  joint: JointId | null;
  /** Keys of what is needed at hand. */
  tools: readonly string[];
  /** Looks that are answered here too, though the work does not wait for them. */
  asks: readonly string[];
  /** Whether it is gone through only when an entry is made off anew, not when it is opened up and closed again. */
  anew: boolean;
  /** Whether it brings the body into the wall, which the habit of the yard puts first or late. */
  body: boolean;
  /** What of the entry stands once it is done. */
  reaches: readonly Reach[];
  /** What is done with compound or resin at it; null at the others. */
  pour: 'mix' | 'inject' | 'pack' | 'cure' | null;
  /** Whether there is something to do at it; left out: always. */
  asked?(of: Situation): boolean;
}

const part = (id: string, words = id): Part => ({ id, words, shroud: false });
const step = (id: string, hold: string | null = null, rest: Partial<Step> = {}): Step => ({
  id,
  words: id,
  hold,
  caution: null,
  joint: null,
  tools: [],
  asks: [],
  anew: false,
  body: false,
  reaches: [],
  pour: null,
  ...rest,
});

/** A step that there is something to do at only sometimes. */
const where = (one: Step, asked: NonNullable<Step['asked']>): Step => ({ ...one, asked });

export const SHROUD_PART: Part = { ...part('shroud'), shroud: true };
export const BACK_NUT = part('back-nut');
export const MIDDLE_NUT = part('middle-nut');
export const RING_EITHER = part('ring');
export const RING_TURNED = part('ring', 'ring-turned');
export const RING_OWN = part('ring', 'ring-own');
export const TAG_PART = part('tag');

export const STRIP_OUTER = step('strip-outer', null, {
  caution: 'knife',
  tools: ['sheath-knife', 'rule'],
  anew: true,
  reaches: ['outerCut', 'innerCut'],
});
export const CUT_ARMOUR = step('cut-armour', 'armour-length', {
  caution: 'spring',
  tools: ['armour-saw-or-rotary-cutter', 'rule'],
  anew: true,
});
/** Where no face of the gland meets the armour's end, nothing waits for its length. */
export const CUT_ARMOUR_SHORT: Step = { ...CUT_ARMOUR, hold: null };
export const STRIP_INNER = step('strip-inner', 'conductors', {
  caution: 'knife',
  tools: ['sheath-knife'],
  anew: true,
  reaches: ['innerCut'],
});
/** The diameters are read while the layers lie open: the closing figures and the judgement rest on them. */
export const MEASURE = step('measure', 'outer-sheath', { tools: ['caliper'], anew: true });
export const BODY_IN = step('body', 'thread-engagement', {
  caution: 'opening',
  joint: 'entry',
  tools: ['spanner'],
  asks: ['washer'],
  anew: true,
  body: true,
  reaches: ['inWall'],
});
export const SPREAD = step('spread', null, { reaches: ['spread'] });
export const DRY_CLAMP = step('dry-clamp', 'armour-seated', {
  joint: 'clamp',
  tools: ['two-spanners', 'torch'],
  reaches: ['clamped'],
});
export const INNER_BACK = where(
  step('inner-seal', 'inner-proud', {
    joint: 'inner-seal',
    tools: ['caliper'],
    reaches: ['innerSeal'],
  }),
  ({ size }) => size === null || size.inner !== null,
);
export const LIP_BACK = step('diaphragm', 'diaphragm-lip', { reaches: ['innerSeal'] });
export const CLAMP_SHUT = step('clamp', null, {
  joint: 'clamp',
  tools: ['two-spanners'],
});
export const CORES_APART = step('cores', null, {
  caution: 'knife',
  tools: ['side-cutters'],
  anew: true,
  reaches: ['innerCut'],
});
export const MIX = step('mix', null, {
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'thermometer'],
  anew: true,
  pour: 'mix',
});
export const PACK = step('pack', 'compound-reach', {
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'rule'],
  anew: true,
  pour: 'pack',
});
export const CURE_LOOK = step('cure', 'compound-face', {
  tools: ['two-spanners', 'torch'],
  anew: true,
  pour: 'cure',
});
export const POT_SHUT = step('pot', 'compound-witness', {
  joint: 'pot',
  tools: ['two-spanners'],
});
export const HOLD_SPIGOT = step('spigot', 'spigot-held', { anew: true, body: true });
export const OUTER_SHUT = step('outer-seal', 'back-nut-gap', {
  joint: 'outer-seal',
  tools: ['two-spanners', 'feeler-or-caliper'],
  reaches: ['nut'],
});
export const OUTER_GRIP = step('outer-seal', 'outer-bare', {
  joint: 'outer-seal',
  tools: ['two-spanners'],
  words: 'outer-grip',
  reaches: ['nut'],
});
export const TAG_BOND = step('bond', 'bond', {
  tools: ['milliohm-meter', 'spanner'],
  asks: ['bond-path', 'bond-tight'],
});
export const BOND_ONLY = step('bond', 'bond-tight', { words: 'bond-seen' });
export const COVER = where(
  step('shroud', 'shroud'),
  ({ certificate }) => certificate?.sheet.shroud !== 'none',
);
export const ARMOUR_IN = step('engage', 'grommet-nut', { reaches: ['clamped'] });
export const INJECT = step('inject', 'resin-dam', {
  caution: 'chemical',
  joint: 'resin-port',
  tools: ['gloves', 'goggles', 'thermometer'],
  anew: true,
  pour: 'inject',
});
export const RESIN_CURE = step('resin-cure', null, { anew: true, pour: 'cure' });

export const FAR_SHROUD = part('shroud-far');
export const BACK_NUT_MI = part('back-nut', 'gland-nut');
export const COMPRESSION = part('ring', 'compression-ring');
export const GLAND_BODY = part('body');

export const SQUARE = step('square-cut', null, {
  caution: 'offcut',
  tools: ['fine-saw-or-ringing-tool', 'goggles'],
  anew: true,
});
export const MARK = step('mark', null, {
  tools: ['rule', 'permanent-marker'],
  anew: true,
});
export const CUT_TO_LENGTH = step('length', 'sheath-length', { tools: ['rule'], anew: true });
export const STRIP_SHEATH = step('strip-sheath', 'conductors', {
  caution: 'copper-edges',
  tools: ['stripping-tool', 'gloves', 'torch'],
  anew: true,
  reaches: ['outerCut'],
});
export const CLEAN = step('clean', null, {
  caution: 'dust',
  tools: ['brush', 'dust-mask', 'goggles'],
  anew: true,
});
export const POT_ON = step('pot-on', 'pot-square', {
  tools: ['pot-wrench'],
  anew: true,
  reaches: ['pot'],
});
export const PROUD = step('projection', 'pot-projection', {
  tools: ['caliper'],
});
export const DRAIN_ON = where(
  step('drain', 'drain-wire', {
    tools: ['drain-nut-key'],
    reaches: ['drain'],
  }),
  ({ cable }) => cable?.mineral?.screened !== false,
);
export const TRACE = step('continuity', 'continuity', { tools: ['continuity-tester', 'sleeves'] });
export const TEST_BEFORE = step('test-before', 'insulation-before', {
  caution: 'testing-and-flame',
  tools: ['insulation-tester', 'thermometer'],
});
/** Its tick is the moment at which the pot was sealed. */
export const FILL = step('fill', 'insulation-before', {
  caution: 'chemical',
  tools: ['gloves', 'goggles'],
  reaches: ['filled'],
});
export const CRIMP = step('crimp', 'pot-filled', {
  joint: 'pot',
  tools: ['crimping-tool'],
  reaches: ['filled'],
});
export const TEST_AFTER = step('test-after', 'insulation-after', {
  caution: 'testing',
  tools: ['insulation-tester', 'thermometer'],
});
export const GLAND_IN = step('gland-in', 'thread-engagement', {
  caution: 'opening',
  joint: 'entry',
  tools: ['spanner'],
  asks: ['washer'],
  anew: true,
  reaches: ['inWall'],
});
export const EARTH_PROVED = step('earth', 'sheath-earth', { tools: ['milliohm-meter'] });
export const SHROUDS_ON = step('facing', 'shrouds-facing');

/** Tests that a step can wait for: which conductor is which, and the insulation before and after sealing. */
export const TEST_HOLDS = ['continuity', 'insulation-before', 'insulation-after'] as const;
export type TestHold = (typeof TEST_HOLDS)[number];

/** Whether a hold point waits for a test of the cable. */
export const isTestHold = (hold: string): hold is TestHold =>
  (TEST_HOLDS as readonly string[]).includes(hold);

export const FRAME_CLEAN = step('frame-clean', 'frame-fixed', {
  tools: ['rag', 'torch'],
});
export const PEEL_BLOCKS = step('peel', null, {
  caution: 'knife-peel',
  tools: ['peel-card', 'caliper'],
});
export const FOLD_BRAID = step('braid', 'braid', {
  caution: 'sharp-braid',
  tools: ['gloves', 'clean-rag'],
});
export const LUBRICATE = step('lubricate', null, {
  tools: ['lubricant', 'gloves'],
});
export const PLATES = step('plates', null, {
  tools: ['stay-plates'],
});
export const WEDGE = step('wedge', null, {
  tools: ['spanner', 'rule'],
});
export const THROUGH = step('through', 'transit-cables');
export const OTHER_SIDE = step('other-side', 'both-sides');
export const BOLTS_AGAIN = step('bolts', 'bolts-again', {
  tools: ['spanner'],
});
export const CLEAN_DRY = step('clean-dry', null, {
  tools: ['brush', 'clean-rag'],
});
export const WRAP = step('wrap', 'sleeves-behind', {
  tools: ['sleeves', 'rule'],
});
export const SEAL_FACE = step('seal', null, {
  caution: 'chemical',
  tools: ['sealant-gun', 'gloves', 'goggles'],
});
export const HOLDS = step('holds', 'adhesion');
