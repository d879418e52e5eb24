import type { Part, Step } from '../../../kinds/steps';
import type { PlanStep } from '../../../makeoff/plan';

/** Words of the parts that are slipped on, by the keys of their rows: name, and which way round where that matters. */
export const PART_WORDS: Record<string, { title: string; way: string }> = {
  shroud: { title: 'shroud', way: 'wide end towards the gland' },
  'back-nut': { title: 'back nut with outer seal', way: 'seal towards the box' },
  'middle-nut': { title: 'middle nut', way: 'thread towards the box' },
  ring: { title: 'clamping ring', way: 'either way round' },
  'ring-turned': { title: 'clamping ring', way: 'face for this armour towards the box' },
  'ring-own': { title: 'clamping ring of this armour', way: 'thick end towards the back of the gland' },
  tag: { title: 'earth tag ring', way: 'paint off under it, serrated washer on a thin wall' },
  'shroud-far': { title: 'shroud of the far end', way: 'wide end towards the far accessory' },
  'gland-nut': { title: 'gland nut', way: 'thread towards the box' },
  'compression-ring': { title: 'compression ring', way: 'chamfer towards the gland body' },
  body: { title: 'gland body', way: 'entry thread towards the box' },
};

/** What the steps of making off say, by the keys of their rows. */
export const STEP_WORDS: Record<string, string> = {
  'strip-outer': 'Cut the outer sheath back, square and clean.',
  'cut-armour': 'Cut the armour to its length; groove and snap, never through to the inner sheath.',
  'strip-inner': 'Cut the inner sheath back; nothing under it is scored.',
  measure: 'Measure the cable where seals and clamp will sit, three readings each.',
  body: 'Screw the body into the wall, with washer and tag.',
  spread: 'Spread the armour over the cone, evenly all round.',
  'dry-clamp': 'Close the clamp, then open it again and look.',
  'inner-seal': 'Inner seal back in its place, and closed.',
  diaphragm: 'Pull the lip of the diaphragm back along the sheath; it is never cut.',
  clamp: 'Close the clamp.',
  cores: 'Cut fillers, foil and tapes flush at the crotch; spread the cores.',
  mix: 'Mix the compound to its ratio; write down batch, expiry, temperature and time.',
  pack: 'Pack from the middle outwards before it stiffens; press the surplus on the sheath beside the gland.',
  cure: 'Wait for the cure, open, look, and mend voids with fresh compound.',
  pot: 'Close the pot again.',
  spigot: 'Hold the compound spigot while the body is turned.',
  'outer-seal': 'Close the outer seal; read the back-nut gap.',
  'outer-grip': 'Close the outer seal, then tug the cable.',
  bond: 'Bond the tag; measure the joint with one end disconnected.',
  'bond-seen': 'See that bond and tag are tight.',
  shroud: 'Pull the shroud over the gland.',
  engage: 'Push the armour against its stop and tighten until it is held.',
  inject: 'Throw the first shot away, then inject until resin stands at the vent.',
  'resin-cure': 'Leave the body alone for the cure; turn only the grommet nut afterwards.',
  'square-cut': 'Cut the end off square, well behind anything damp or bent.',
  mark: 'Mark strip, stop and pot from the fresh square cut.',
  length: 'Measure the sheath from its first end; mark the second strip there.',
  'strip-sheath': 'Strip the sheath to its mark; look at screen and conductors for cuts.',
  clean: 'Brush the powder off. Do not blow: breath is moist.',
  'pot-on': 'Screw the pot on square, up to its mark.',
  projection: 'Measure how far the sheath stands proud in the pot.',
  drain: 'Fit the drain nut; set the drain wire square to the conductors.',
  continuity: 'Trace every conductor from end to end and sleeve it by its colour or number.',
  'test-before': 'Test the insulation, every pair, far end sealed. Damp: dry it out and test again.',
  fill: 'Press compound in from one side, slightly overfull, while the test is fresh.',
  crimp: 'Push the disc home, pull the sleeves snug, crimp at every point.',
  'test-after': 'Test the insulation again.',
  'gland-in': 'Gland into the box, with washer and tag.',
  earth: 'Prove the sheath as the earth conductor: measure it from end to end.',
  facing: 'See that both shrouds are on, each opening to its own accessory.',
  'frame-clean': 'Clean the frame; see that it is fixed and sealed all round.',
  peel: 'Peel each block by its card, the same layers from both halves.',
  braid: 'Fold the braid back; no grease on braid, armour or bare faces.',
  lubricate: 'Lubricate the rubber, not the braid; pack the largest first from the far end.',
  plates: 'A stay plate on each finished row; two before the last row goes in.',
  wedge: 'Wedge in last; several openings: all wedges in before one is tightened, bolts in turn.',
  through: 'See that cables run straight and are held on both sides.',
  'other-side': 'Go round and look at the other side.',
  bolts: 'Check the bolts again after the time of the sheet.',
  'clean-dry': 'Clean and dry opening and cables.',
  wrap: 'Wrap every cable; fill up with sleeves; leave the recess of the sheet.',
  seal: 'Press the sealant in to the depth of the sheet, smooth its skin.',
  holds: 'When it is set: move each cable, look for lift.',
};

/** What can hurt somebody at a step. */
export const CAUTION_WORDS: Record<string, string> = {
  knife: 'Cut away from the body.',
  spring: 'Stiff armour springs back: goggles, and hold the offcuts.',
  chemical: 'Gloves and goggles; keep to the data sheet of the compound.',
  opening: 'Isolated, proved dead, permit and gas test in hand before the enclosure is opened in a zone.',
  offcut: 'Goggles; hold the offcut. The insulation drinks moisture from now on.',
  'copper-edges': 'Sharp copper edges: gloves.',
  dust: 'Dust mask and goggles.',
  testing:
    'The test voltage can ignite: not in a hazardous atmosphere. Disconnect equipment; discharge the cable after each reading.',
  'testing-and-flame':
    'The test voltage can ignite: not in a hazardous atmosphere. Disconnect equipment; discharge the cable after each reading. Flame near a cable is hot work: a permit first, and nothing flammable near.',
  'knife-peel': 'Peel by hand; a knife goes away from the body, and never into the layer that stays.',
  'sharp-braid': 'Armour and braid are sharp: gloves.',
};

/** What is needed at hand. */
export const TOOL_WORDS: Record<string, string> = {
  'armour-saw-or-rotary-cutter': 'armour saw or rotary cutter',
  brush: 'brush',
  caliper: 'caliper',
  'clean-rag': 'clean rag',
  'continuity-tester': 'continuity tester',
  'crimping-tool': 'crimping tool',
  'drain-nut-key': 'drain-nut key',
  'dust-mask': 'dust mask',
  'feeler-or-caliper': 'feeler or caliper',
  'fine-saw-or-ringing-tool': 'fine saw or ringing tool',
  gloves: 'gloves',
  goggles: 'goggles',
  'insulation-tester': 'insulation tester',
  lubricant: 'lubricant',
  'milliohm-meter': 'milliohm meter',
  'peel-card': 'peel card',
  'permanent-marker': 'permanent marker',
  'pot-wrench': 'pot wrench',
  rag: 'rag',
  rule: 'rule',
  'sealant-gun': 'sealant gun',
  'sheath-knife': 'sheath knife',
  'side-cutters': 'side cutters',
  sleeves: 'sleeves',
  spanner: 'spanner',
  'stay-plates': 'stay plates',
  'stripping-tool': 'stripping tool',
  thermometer: 'thermometer',
  torch: 'torch',
  'torque-driver': 'torque driver',
  'turn-marker': 'marker for counting turns',
  'two-spanners': 'two spanners',
};

/** What a step says. */
export const stepTitle = ({ words }: Pick<Step, 'words'>): string => STEP_WORDS[words] ?? words;

/** What can hurt somebody at a step; null where nothing does. */
export const stepCaution = ({ caution }: Pick<Step, 'caution'>): string | null =>
  caution === null ? null : (CAUTION_WORDS[caution] ?? caution);

/** What a tool is called. */
export const toolTitle = (tool: string): string => TOOL_WORDS[tool] ?? tool;

/** Slipping a part on, as a step says it. */
const slipOnTitle = (part: Pick<Part, 'words'>): string => `Slip on the ${partAndWay(part)}.`;

/** A part with which way round it goes. */
export function partAndWay({ words }: Pick<Part, 'words'>): string {
  const { title, way } = PART_WORDS[words]!;
  return way ? `${title}, ${way}` : title;
}

/** What a step of a plan says: the work itself, or slipping a part on. */
export const planStepTitle = (step: Pick<PlanStep, 'words' | 'slips'>): string =>
  step.slips ? slipOnTitle(step.slips) : stepTitle(step);
