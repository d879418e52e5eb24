import type { Grip, Part, Step } from '../../../kinds/steps';
import type { PlanStep } from '../../../makeoff/plan';
import { STEP_WORDS, type StepWords } from './handling';

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

/** What can hurt somebody at a step. */
export const CAUTION_WORDS: Record<string, string> = {
  knife: 'Cut away from the body.',
  spring: 'Stiff armour springs back: goggles, and hold the offcuts.',
  chemical: 'Gloves and goggles; keep to the data sheet of the compound.',
  opening:
    'Permit and gas test in hand before the enclosure is opened in a zone, and before saw, flame, solvent or test voltage.',
  offcut: 'Goggles; hold the offcut. The insulation drinks moisture from now on.',
  'copper-edges': 'Sharp copper edges: gloves.',
  dust: 'Dust mask and goggles.',
  testing:
    'The test voltage can ignite: not in a hazardous atmosphere. Disconnect equipment; discharge the cable after each reading.',
  'testing-and-flame':
    'The test voltage can ignite: not in a hazardous atmosphere. Disconnect equipment; discharge the cable after each reading. Flame near a cable is hot work: a permit first, and nothing flammable near.',
  'knife-peel': 'Peel by hand; a knife goes away from the body, and never into the layer that stays.',
  'sharp-braid': 'Armour and braid are sharp: gloves and goggles.',
  lip: 'Keep blades away from the diaphragm.',
  solvent: 'Solvent vapour: air, no flame, no spark; gloves.',
  'hot-work': 'Warming is hot work: a permit first, and nothing flammable near.',
  barrier:
    'The wall is a barrier against gas, fire or water: permit, and a temporary closure while it stands open.',
};

/** What is needed at hand. */
export const TOOL_WORDS: Record<string, string> = {
  'armour-saw-or-rotary-cutter': 'armour saw or rotary cutter',
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
  'cap-or-tape': 'cap or tape',
  'damp-cloth': 'damp cloth',
  file: 'file',
  'hot-air': 'hot air',
  'hollow-punch': 'hollow punch',
  'long-nozzle': 'long nozzle',
  pick: 'pick',
  'plastic-knife': 'plastic knife',
  'plastic-stick': 'stick that is not metal',
  pliers: 'pliers',
  'pressing-tool': 'pressing tool',
  'roller-cutter': 'roller cutter',
  scraper: 'scraper',
  screwdriver: 'screwdriver',
  solvent: 'solvent',
  vice: 'vice',
  'wire-brush': 'wire brush',
};

/** What is held and what is turned, by the keys of their parts. */
export const GRIP_WORDS: Record<string, string> = {
  barrel: 'barrel',
  'barrel-nut': 'barrel nut',
  'back-nut': 'back nut',
  body: 'body',
  box: 'box',
  cable: 'cable',
  'clamp-nut': 'clamp nut',
  'crimping-tool': 'crimping tool',
  'drain-nut': 'drain nut',
  'entry-item': 'entry item',
  frame: 'frame',
  'frame-nuts': 'nuts of the frame',
  'gland-body': 'gland body',
  'gland-nut': 'gland nut',
  'grommet-nut': 'grommet nut',
  'hub-nut': 'hub nut',
  locknut: 'locknut',
  'port-plug': 'plug of the port',
  pot: 'pot',
  'pot-nut': 'nut over the pot',
  'seal-nut': 'seal nut',
  sheath: 'sheath, in the vice',
  spigot: 'spigot',
  stud: 'stud',
  'stud-nut': 'nut of the stud',
  'tag-bolt': 'bolt of the tag',
  'tag-nut': 'nut of the tag',
  'union-nut': 'union nut',
  'unit-screws': 'screws of the unit',
  'wedge-bolts': 'bolts of the wedge',
};

/** What has to be seen before the work goes on, as it is ticked. */
export const SEEN_WORDS: Record<string, string> = {
  dead: 'Both ends are isolated, locked off and proved dead; the permit is in hand.',
  identified: 'The cable is identified at both ends.',
  'gas-test': 'The gas test is done where saw, flame, solvent or test voltage will be used.',
  certified: 'In a classified area: the device has its certificate for it. Otherwise stop here.',
  reaches: 'The cable reaches from where it is held to the terminals, with the end itself.',
  'wires-cut': 'Every wire is cut, none left standing; nothing under them is scored.',
  'by-hand': 'The thread went in by hand, not crossed.',
  'at-shoulder': 'The ends of the armour touch the shoulder of the cone all round.',
  'ring-face': 'The face that the certificate names for this armour lies at the clamp.',
  'ring-range': 'The ranges on ring and nut take what was read on the cable.',
  'no-stray': 'No stray wire; the armour lies on the cone, none on the thread.',
  'seal-seat': 'The inner seal is in its seat, right way round.',
  formed: 'The seal formed on the cable before the faces met.',
  'nut-scale': 'The back nut stands where its scale says for this cable.',
  'held-300': 'A cleat holds the cable within 300 mm of the gland.',
  'core-count': 'The number of cores is within the certificate.',
  'no-voids': 'No voids: compound stands round and between all cores.',
  'faces-clean': 'Joint faces and the top of the pot are clean of compound.',
  engaged: 'The armour sits in the barrel, hand-tight.',
  'no-metal': 'Nothing of metal was used to push the fibre in.',
  'barrel-still': 'Barrel and armour have not been turned since the fill.',
  'kit-whole': 'The kit of this end is whole: sleeves, disc, wire, compound.',
  'pulled-back': 'The first end is in its accessory and pulled fully back.',
  'under-blade': 'The layer under the blade was looked at after the first finger’s breadth.',
  offcuts: 'No offcut lies on the floor.',
  'screen-flush': 'The screen is flush with the drain nut.',
  'tail-length': 'No tail is longer than the sheet allows.',
  warm: 'End and pot are just warm to the hand.',
  'both-locknuts': 'A locknut sits on each side of the panel.',
  'halves-equal': 'The halves differ by no more than the sheet allows; the last layer is on.',
  'rows-counted': 'Rows and plates agree with the plan before the last row.',
  'two-plates': 'Two plates are in before the last row.',
  home: 'The clip or the reading says home; lubricant came out all round.',
  'lead-through': 'The earth lead is on its stud.',
  'faces-bare': 'Frame and plates are bare where they carry current.',
  'finish-outside': 'The finish of the armour’s end lies wholly outside the block.',
  'braid-dry': 'No lubricant where braid touches block or frame.',
  'against-stop': 'Every block stands against the stop.',
  'all-units-in': 'All units are in; none is tightened yet.',
  'solvent-dry': 'Everything is dry; gloves are fresh.',
  'still-soft': 'Every cable was tried gently while the sealant could still be pressed home.',
  'inside-clean': 'Faces and threads are clean; nothing has come loose inside.',
  'second-time': 'What the sheet asks for the second time is known: seals, turns, compound.',
  'plate-order': 'Rows and plates lie in the order in which they came out.',
  closed: 'The opening is closed for the time of the work, with its permit.',
};

/** What is out, or on, for a while, and has to go back, or off. */
export const OUT_WORDS: Record<string, string> = {
  'inner-seal': 'Inner seal: out, goes back into its seat',
  pot: 'Pot: out, goes back over the compound',
  'tip-cap': 'Cap on the tips: comes off',
  'tip-tape': 'Tape round the tips: comes off',
  'bundle-tape': 'Tape round the bundle: comes off',
};

const wordsOf = ({ words }: { words: string }): StepWords => STEP_WORDS[words] ?? { title: words, how: '' };

/** What a step says. */
export const stepTitle = (step: { words: string }): string => wordsOf(step).title;

/** Titles of the steps by the words that the site's minutes name them by: one for every armour. */
export const TIMED_STEPS: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(STEP_WORDS)
    .filter(([words]) => !words.startsWith('cut-armour-') || words === 'cut-armour-wire')
    .map(([words, { title }]) => [words === 'cut-armour-wire' ? 'cut-armour' : words, title]),
);

/** How a hand does it; empty where the title says it all. */
export const stepHandling = (step: { words: string }): string => wordsOf(step).how;

/** What is held and what is turned, e.g. "Hold the body; turn the back nut." */
export const gripSentence = ({ held, turned, loosens }: Grip): string =>
  `Hold the ${GRIP_WORDS[held]}; ${loosens ? 'loosen' : 'turn'} the ${GRIP_WORDS[turned]}.`;

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
