import { always, anew, as, grip, step, type Step } from './step';

export const FRAME_CLEAN = step('frame-clean', { hold: 'frame-fixed', tools: ['clean-rag', 'torch'] });
export const FRAME_LUBED = step('frame-lube', { tools: ['lubricant', 'gloves'], minutes: 2 });
export const PEEL_BLOCKS = step('peel', {
  seen: ['halves-equal'],
  caution: 'knife-peel',
  tools: ['peel-card', 'caliper'],
  minutes: 12,
});
export const LUBRICATE = always('lubricate', { tools: ['lubricant', 'gloves'], minutes: 4 });
export const ROWS = step('rows', { seen: ['rows-counted'], tools: ['stay-plates'], minutes: 10 });
export const PLATES = always('plates', { seen: ['two-plates'], tools: ['stay-plates'], minutes: 4 });
export const WEDGE = always('wedge', {
  seen: ['home'],
  grip: grip('frame', 'wedge-bolts'),
  tools: ['pressing-tool', 'spanner', 'rule'],
  minutes: 5,
});
export const THROUGH = always('through', { hold: 'transit-cables', minutes: 2 });
export const OTHER_SIDE = always('other-side', { hold: 'both-sides', minutes: 3 });
export const BOLTS_AGAIN = always('bolts', {
  hold: 'bolts-again',
  grip: grip('frame', 'wedge-bolts'),
  tools: ['spanner'],
});

export const EARTH_LEAD = step('earth-lead', {
  seen: ['lead-through'],
  grip: grip('stud', 'stud-nut'),
  tools: ['spanner'],
});
export const FRAME_BARE = step('frame-bare', {
  seen: ['faces-bare'],
  caution: 'sharp-braid',
  tools: ['scraper', 'clean-rag', 'goggles'],
  minutes: 5,
});
export const BLOCK_MARKS = anew('block-marks', {
  hold: 'armour-past',
  seen: ['finish-outside'],
  caution: 'sharp-braid',
  tools: ['rule', 'permanent-marker', 'sheath-knife', 'goggles'],
  minutes: 8,
});
export const FOLD_BRAID = step('braid', {
  hold: 'braid',
  seen: ['braid-dry'],
  caution: 'sharp-braid',
  tools: ['gloves', 'clean-rag'],
  minutes: 5,
});
export const RESISTANCE = step('resistance', { hold: 'bond-path', tools: ['milliohm-meter'], minutes: 5 });
export const WEDGE_CROSSWISE = as(WEDGE, { words: 'wedge-bonded' });

export const FRAME_OUTSIDE = anew('frame-outside', {
  hold: 'frame-fixed',
  grip: grip('frame', 'frame-nuts'),
  tools: ['spanner'],
  minutes: 8,
});
export const CABLES_IN = anew('cables-in', { minutes: 4 });
export const BLOCKS_TURNED = step('blocks-turned', { seen: ['against-stop'], minutes: 8 });
export const UNITS_HOME = as(WEDGE, {
  words: 'units-home',
  seen: ['all-units-in', 'home'],
  grip: grip('frame', 'unit-screws'),
  tools: ['spanner'],
});

export const TIES_CUT = step('ties', { tools: ['side-cutters'], minutes: 2 });
export const CLEAN_DRY = step('clean-dry', {
  seen: ['solvent-dry'],
  caution: 'solvent',
  tools: ['wire-brush', 'clean-rag', 'solvent', 'gloves'],
  minutes: 8,
});
export const WRAP = step('wrap', { tools: ['sleeves', 'cap-or-tape'], minutes: 10 });
export const PUSH_IN = step('push-in', {
  hold: 'sleeves-behind',
  tools: ['pliers', 'rule'],
  minutes: 4,
});
export const SEAL_FACE = step('seal', {
  seen: ['still-soft'],
  caution: 'chemical',
  tools: ['sealant-gun', 'long-nozzle', 'damp-cloth', 'gloves', 'goggles'],
  minutes: 10,
});
export const HOLDS = always('holds', { hold: 'adhesion', minutes: 3 });

/** Taking a cable out, and putting one in: what comes out in which order, and what goes back. */
const OUT_OR_IN: Partial<Step> = { whys: ['cable-out', 'cable-in'] };
export const CLOSE_OFF = step('close-off', {
  ...OUT_OR_IN,
  seen: ['closed'],
  caution: 'barrier',
  minutes: 3,
});
export const TAKE_SLACKEN = step('take-slacken', {
  ...OUT_OR_IN,
  grip: grip('frame', 'wedge-bolts', true),
  tools: ['spanner'],
});
export const TAKE_PLATE = step('take-plate', { ...OUT_OR_IN, seen: ['plate-order'], minutes: 6 });
export const TAKE_BLOCK = step('take-block', { whys: ['cable-out'], minutes: 2 });
export const TAKE_BLANK = step('take-blank', { whys: ['cable-out'], minutes: 2 });
export const PUT_PEEL = step('put-peel', {
  whys: ['cable-in'],
  seen: ['halves-equal'],
  caution: 'knife-peel',
  tools: ['peel-card', 'caliper'],
  minutes: 4,
});
export const PUT_BACK = step('put-back', { ...OUT_OR_IN, tools: ['lubricant', 'gloves'], minutes: 6 });
export const TAKE_CUT = step('take-cut', { whys: ['cable-out'], tools: ['plastic-knife'], minutes: 5 });
export const PUT_PUNCH = step('put-punch', {
  whys: ['cable-in'],
  tools: ['hollow-punch', 'sleeves'],
  minutes: 5,
});
export const TAKE_SEAL = step('take-seal', {
  ...OUT_OR_IN,
  seen: ['still-soft'],
  caution: 'chemical',
  tools: ['sealant-gun', 'damp-cloth', 'gloves', 'goggles'],
  minutes: 6,
});

/** One cable out of a packed frame, or one more into it. */
export const OF_ONE_CABLE = [CLOSE_OFF, TAKE_SLACKEN, TAKE_PLATE, TAKE_BLOCK, TAKE_BLANK, PUT_PEEL, PUT_BACK];
