import type { JointId } from '../record/types';
import type { Situation } from './situation';

/** A part that goes on the cable before it is made off, in the order of slipping on. */
export interface Part {
  id: string;
  title: string;
  /** Which way round, where that matters. */
  way: string;
}

/** A step of making off. */
export interface Step {
  id: string;
  title: string;
  /** Look, place or test that has to be answered before the work goes on; null for a plain step. */
  hold: string | null;
  /** What can hurt somebody here; null where nothing does. */
  caution: string | null;
  /** Joint that the step closes, by the school of the sheet; null for another step. */
  joint: JointId | null;
  /** What is needed at hand. */
  tools: readonly string[];
  /** Looks that are answered here too, though the work does not wait for them. */
  asks: readonly string[];
  /** Whether there is something to do at it; left out: always. */
  asked?(of: Situation): boolean;
}

const part = (id: string, title: string, way = ''): Part => ({ id, title, way });
const step = (
  id: string,
  title: string,
  hold: string | null = null,
  { caution = null, joint = null, tools = [], asks = [] }: Partial<Step> = {},
): Step => ({ id, title, hold, caution, joint, tools, asks });

/** A step that there is something to do at only sometimes. */
const where = (one: Step, asked: NonNullable<Step['asked']>): Step => ({ ...one, asked });

const KNIFE = 'Cut away from the body.';
const SPRING = 'Stiff armour springs back: goggles, and hold the offcuts.';
const CHEMICAL = 'Gloves and goggles; keep to the data sheet of the compound.';

export const SHROUD_PART = part('shroud', 'shroud', 'wide end towards the gland');
export const BACK_NUT = part('back-nut', 'back nut with outer seal', 'seal towards the box');
export const MIDDLE_NUT = part('middle-nut', 'middle nut', 'thread towards the box');
export const RING_EITHER = part('ring', 'clamping ring', 'either way round');
export const RING_TURNED = part('ring', 'clamping ring', 'face for this armour towards the box');
export const RING_OWN = part(
  'ring',
  'clamping ring of this armour',
  'thick end towards the back of the gland',
);
export const TAG_PART = part('tag', 'earth tag ring', 'paint off under it, serrated washer on a thin wall');

export const STRIP_OUTER = step('strip-outer', 'Cut the outer sheath back, square and clean.', null, {
  caution: KNIFE,
  tools: ['sheath knife', 'rule'],
});
export const CUT_ARMOUR = step(
  'cut-armour',
  'Cut the armour to its length; groove and snap, never through to the inner sheath.',
  'armour-length',
  { caution: SPRING, tools: ['armour saw or rotary cutter', 'rule'] },
);
export const STRIP_INNER = step(
  'strip-inner',
  'Cut the inner sheath back; nothing under it is scored.',
  'conductors',
  { caution: KNIFE, tools: ['sheath knife'] },
);
/** The diameters are read while the layers lie open: the closing figures and the judgement rest on them. */
export const MEASURE = step(
  'measure',
  'Measure the cable where seals and clamp will sit, three readings each.',
  'outer-sheath',
  { tools: ['caliper'] },
);
export const BODY_IN = step(
  'body',
  'Screw the body into the wall, by its school, with washer and tag.',
  'thread-engagement',
  {
    caution: 'Isolated, proved dead, permit and gas test in hand before the enclosure is opened in a zone.',
    joint: 'entry',
    tools: ['spanner'],
    asks: ['washer'],
  },
);
export const SPREAD = step('spread', 'Spread the armour over the cone, evenly all round.');
export const DRY_CLAMP = step('dry-clamp', 'Close the clamp, then open it again and look.', 'armour-seated', {
  joint: 'clamp',
  tools: ['two spanners', 'torch'],
});
export const INNER_BACK = where(
  step('inner-seal', 'Inner seal back in its place, closed by its school.', 'inner-proud', {
    joint: 'inner-seal',
    tools: ['caliper'],
  }),
  ({ size }) => size === null || size.inner !== null,
);
export const LIP_BACK = step(
  'diaphragm',
  'Pull the lip of the diaphragm back along the sheath; it is never cut.',
  'diaphragm-lip',
);
export const CLAMP_SHUT = step('clamp', 'Close the clamp by its school.', null, {
  joint: 'clamp',
  tools: ['two spanners'],
});
export const CORES_APART = step(
  'cores',
  'Cut fillers, foil and tapes flush at the crotch; spread the cores.',
  null,
  { caution: KNIFE, tools: ['side cutters'] },
);
export const MIX = step(
  'mix',
  'Mix the compound to its ratio; write down batch, expiry, temperature and time.',
  null,
  { caution: CHEMICAL, tools: ['gloves', 'goggles', 'thermometer'] },
);
export const PACK = step(
  'pack',
  'Pack from the middle outwards before it stiffens; press the surplus on the sheath beside the gland.',
  'compound-reach',
  { caution: CHEMICAL, tools: ['gloves', 'goggles', 'rule'] },
);
export const CURE_LOOK = step(
  'cure',
  'Wait for the cure, open, look, and mend voids with fresh compound.',
  'compound-face',
  { tools: ['two spanners', 'torch'] },
);
export const POT_SHUT = step('pot', 'Close the pot again by its school.', 'compound-witness', {
  joint: 'pot',
  tools: ['two spanners'],
});
export const HOLD_SPIGOT = step(
  'spigot',
  'Hold the compound spigot while the body is turned.',
  'spigot-held',
);
export const OUTER_SHUT = step(
  'outer-seal',
  'Close the outer seal by its school; read the back-nut gap.',
  'back-nut-gap',
  { joint: 'outer-seal', tools: ['two spanners', 'feeler or caliper'] },
);
export const OUTER_GRIP = step(
  'outer-seal',
  'Close the outer seal by its school, then tug the cable.',
  'outer-bare',
  { joint: 'outer-seal', tools: ['two spanners'] },
);
export const TAG_BOND = step('bond', 'Bond the tag; measure the joint with one end disconnected.', 'bond', {
  tools: ['milliohm meter', 'spanner'],
  asks: ['bond-path', 'bond-tight'],
});
export const BOND_ONLY = step('bond', 'See that bond and tag are tight.', 'bond-tight');
export const COVER = where(
  step('shroud', 'Pull the shroud over the gland.', 'shroud'),
  ({ certificate }) => certificate?.sheet.shroud !== 'none',
);
export const ARMOUR_IN = step(
  'engage',
  'Push the armour against its stop and tighten until it is held.',
  'grommet-nut',
);
export const INJECT = step(
  'inject',
  'Throw the first shot away, then inject until resin stands at the vent.',
  'resin-dam',
  { caution: CHEMICAL, joint: 'resin-port', tools: ['gloves', 'goggles', 'thermometer'] },
);
export const RESIN_CURE = step(
  'resin-cure',
  'Leave the body alone for the cure; turn only the grommet nut afterwards.',
  null,
);

const FLAME = 'Flame near a cable is hot work: a permit first, and nothing flammable near.';
const TESTING =
  'The test voltage can ignite: not in a hazardous atmosphere. Disconnect equipment; discharge the cable after each reading.';

export const FAR_SHROUD = part('shroud-far', 'shroud of the far end', 'wide end towards the far accessory');
export const BACK_NUT_MI = part('back-nut', 'gland nut', 'thread towards the box');
export const COMPRESSION = part('ring', 'compression ring', 'chamfer towards the gland body');
export const GLAND_BODY = part('body', 'gland body', 'entry thread towards the box');

export const SQUARE = step('square-cut', 'Cut the end off square, well behind anything damp or bent.', null, {
  caution: 'Goggles; hold the offcut. The insulation drinks moisture from now on.',
  tools: ['fine saw or ringing tool', 'goggles'],
});
export const MARK = step('mark', 'Mark strip, stop and pot from the fresh square cut.', null, {
  tools: ['rule', 'permanent marker'],
});
export const CUT_TO_LENGTH = step(
  'length',
  'Measure the sheath from its first end; mark the second strip there.',
  'sheath-length',
  { tools: ['rule'] },
);
export const STRIP_SHEATH = step(
  'strip-sheath',
  'Strip the sheath to its mark; look at screen and conductors for cuts.',
  'conductors',
  { caution: 'Sharp copper edges: gloves.', tools: ['stripping tool', 'gloves', 'torch'] },
);
export const CLEAN = step('clean', 'Brush the powder off. Do not blow: breath is moist.', null, {
  caution: 'Dust mask and goggles.',
  tools: ['brush', 'dust mask', 'goggles'],
});
export const POT_ON = step('pot-on', 'Screw the pot on square, up to its mark.', 'pot-square', {
  tools: ['pot wrench'],
});
export const PROUD = step(
  'projection',
  'Measure how far the sheath stands proud in the pot.',
  'pot-projection',
  {
    tools: ['caliper'],
  },
);
export const DRAIN_ON = where(
  step('drain', 'Fit the drain nut; set the drain wire square to the conductors.', 'drain-wire', {
    tools: ['drain-nut key'],
  }),
  ({ cable }) => cable?.mineral?.screened !== false,
);
export const TRACE = step(
  'continuity',
  'Trace every conductor from end to end and sleeve it by its colour or number.',
  'continuity',
  { tools: ['continuity tester', 'sleeves'] },
);
export const TEST_BEFORE = step(
  'test-before',
  'Test the insulation, every pair, far end sealed. Damp: dry it out and test again.',
  'insulation-before',
  { caution: `${TESTING} ${FLAME}`, tools: ['insulation tester', 'thermometer'] },
);
/** Its tick is the moment at which the pot was sealed. */
export const FILL = step(
  'fill',
  'Press compound in from one side, slightly overfull, while the test is fresh.',
  'insulation-before',
  { caution: CHEMICAL, tools: ['gloves', 'goggles'] },
);
export const CRIMP = step(
  'crimp',
  'Push the disc home, pull the sleeves snug, crimp at every point.',
  'pot-filled',
  { joint: 'pot', tools: ['crimping tool'] },
);
export const TEST_AFTER = step('test-after', 'Test the insulation again.', 'insulation-after', {
  caution: TESTING,
  tools: ['insulation tester', 'thermometer'],
});
export const GLAND_IN = step(
  'gland-in',
  'Gland into the box by its school, with washer and tag.',
  'thread-engagement',
  {
    caution: 'Isolated, proved dead, permit and gas test in hand before the enclosure is opened in a zone.',
    joint: 'entry',
    tools: ['spanner'],
    asks: ['washer'],
  },
);
export const EARTH_PROVED = step(
  'earth',
  'Prove the sheath as the earth conductor: measure it from end to end.',
  'sheath-earth',
  { tools: ['milliohm meter'] },
);
export const SHROUDS_ON = step(
  'facing',
  'See that both shrouds are on, each opening to its own accessory.',
  'shrouds-facing',
);

/** Tests that a step can wait for: which conductor is which, and the insulation before and after sealing. */
export const TEST_HOLDS = ['continuity', 'insulation-before', 'insulation-after'] as const;
export type TestHold = (typeof TEST_HOLDS)[number];

const TEST_TITLE: Record<TestHold, string> = {
  continuity: 'Continuity and sleeves',
  'insulation-before': 'Insulation before sealing',
  'insulation-after': 'Insulation after sealing',
};

/** Whether a hold point waits for a test of the cable. */
export const isTestHold = (hold: string): hold is TestHold => hold in TEST_TITLE;

/** What a test that a step waits for is called. */
export const testTitle = (hold: TestHold): string => TEST_TITLE[hold];

const KNIFE_PEEL = 'Peel by hand; a knife goes away from the body, and never into the layer that stays.';

export const FRAME_CLEAN = step(
  'frame-clean',
  'Clean the frame; see that it is fixed and sealed all round.',
  'frame-fixed',
  {
    tools: ['rag', 'torch'],
  },
);
export const PEEL_BLOCKS = step(
  'peel',
  'Peel each block by its card, the same layers from both halves.',
  null,
  {
    caution: KNIFE_PEEL,
    tools: ['peel card', 'caliper'],
  },
);
export const FOLD_BRAID = step(
  'braid',
  'Fold the braid back; no grease on braid, armour or bare faces.',
  'braid',
  {
    caution: 'Armour and braid are sharp: gloves.',
    tools: ['gloves', 'clean rag'],
  },
);
export const LUBRICATE = step(
  'lubricate',
  'Lubricate the rubber, not the braid; pack the largest first from the far end.',
  null,
  {
    tools: ['lubricant', 'gloves'],
  },
);
export const PLATES = step(
  'plates',
  'A stay plate on each finished row; two before the last row goes in.',
  null,
  {
    tools: ['stay plates'],
  },
);
export const WEDGE = step(
  'wedge',
  'Wedge in last; several openings: all wedges in before one is tightened, bolts in turn.',
  null,
  {
    tools: ['spanner', 'rule'],
  },
);
export const THROUGH = step(
  'through',
  'See that cables run straight and are held on both sides.',
  'transit-cables',
);
export const OTHER_SIDE = step('other-side', 'Go round and look at the other side.', 'both-sides');
export const BOLTS_AGAIN = step(
  'bolts',
  'Check the bolts again after the time of the sheet.',
  'bolts-again',
  {
    tools: ['spanner'],
  },
);
export const CLEAN_DRY = step('clean-dry', 'Clean and dry opening and cables.', null, {
  tools: ['brush', 'clean rag'],
});
export const WRAP = step(
  'wrap',
  'Wrap every cable; fill up with sleeves; leave the recess of the sheet.',
  'sleeves-behind',
  {
    tools: ['sleeves', 'rule'],
  },
);
export const SEAL_FACE = step(
  'seal',
  'Press the sealant in to the depth of the sheet, smooth its skin.',
  null,
  {
    caution: CHEMICAL,
    tools: ['sealant gun', 'gloves', 'goggles'],
  },
);
export const HOLDS = step('holds', 'When it is set: move each cable, look for lift.', 'adhesion');
