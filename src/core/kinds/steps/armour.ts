import { anew, as, grip, step, where, type Step } from './step';

export const CUT_ARMOUR = anew('cut-armour', {
  byArmour: true,
  seen: ['wires-cut'],
  caution: 'spring',
  tools: ['sheath-knife', 'armour-saw-or-rotary-cutter', 'rule', 'goggles'],
  minutes: 5,
});
export const STRIP_OUTER = anew('strip-outer', {
  hold: 'armour-length',
  caution: 'knife',
  tools: ['sheath-knife', 'rule'],
  reaches: ['outerCut', 'innerCut'],
});
/** Without armour, or where no face of the gland meets its end, nothing waits for a length. */
export const STRIP_OUTER_PLAIN = as(STRIP_OUTER, { hold: null, words: 'strip-outer-plain' });
export const STRIP_INNER = anew('strip-inner', {
  hold: 'conductors',
  caution: 'knife',
  tools: ['sheath-knife'],
  reaches: ['innerCut'],
});
/** The diameters are read while the layers lie open: the closing figures and the judgement rest on them. */
export const MEASURE = anew('measure', { hold: 'outer-sheath', tools: ['caliper'], minutes: 4 });
export const BODY_IN = anew('body', {
  hold: 'thread-engagement',
  seen: ['by-hand'],
  caution: 'opening',
  joint: 'entry',
  grip: grip('box', 'entry-item'),
  tools: ['spanner'],
  asks: ['washer'],
  body: true,
  reaches: ['inWall'],
});
export const SPREAD = step('spread', { seen: ['at-shoulder'], tools: ['screwdriver'], reaches: ['spread'] });
export const DRY_CLAMP = step('dry-clamp', {
  hold: 'armour-seated',
  joint: 'clamp',
  grip: grip('entry-item', 'clamp-nut'),
  tools: ['two-spanners', 'torch'],
  tries: true,
  reaches: ['clamped'],
  minutes: 6,
});
export const INNER_BACK = where(
  step('inner-seal', {
    hold: 'inner-proud',
    seen: ['seal-seat'],
    joint: 'inner-seal',
    grip: grip('entry-item', 'seal-nut'),
    tools: ['two-spanners', 'caliper'],
    back: ['inner-seal'],
    reaches: ['innerSeal'],
  }),
  ({ size }) => size === null || size.inner !== null,
);
/** Where the cable is pushed in against the cone, and its seal nut closed before the ring goes over. */
export const SEAL_NUT = { ...INNER_BACK, words: 'seal-nut', back: [] };
export const CLAMP_SHUT = step('clamp', {
  joint: 'clamp',
  grip: grip('entry-item', 'clamp-nut'),
  tools: ['two-spanners'],
});
/** Where a diaphragm seals: how far the inner sheath stands proud of it is read once the clamp is shut. */
export const CLAMP_SHUT_PROUD = as(CLAMP_SHUT, {
  words: 'clamp-diaphragm',
  hold: 'inner-proud',
  tools: ['two-spanners', 'caliper'],
});
export const RING_FACE = step('ring-face', { seen: ['ring-face', 'ring-range'], minutes: 2 });
export const RING_WAY = step('ring-way', { hold: 'ring-thick-end', minutes: 1 });
export const CAP_ON = anew('cap', { tools: ['cap-or-tape'], out: ['tip-cap'], minutes: 1 });
export const LIP_BACK = step('diaphragm', {
  hold: 'diaphragm-lip',
  reaches: ['innerSeal'],
  caution: 'lip',
  minutes: 2,
});
export const CAP_OFF = anew('uncap', { back: ['tip-cap'], minutes: 1 });
export const OUTER_SHUT = step('outer-seal', {
  hold: 'back-nut-gap',
  seen: ['formed'],
  joint: 'outer-seal',
  grip: grip('body', 'back-nut'),
  tools: ['two-spanners', 'feeler-or-caliper'],
  reaches: ['nut'],
});
/** An outer seal that is closed until it grips, then tugged. */
export const gripped = (words: string, held: string, turned: string): Step =>
  step('outer-seal', {
    hold: 'outer-bare',
    joint: 'outer-seal',
    grip: grip(held, turned),
    tools: ['two-spanners'],
    words,
    reaches: ['nut'],
  });
export const NUT_INDUSTRIAL = gripped('outer-grip', 'body', 'gland-nut');
/** Finger-tight first: the armour of an industrial gland strays onto its thread. */
export const FINGER_TIGHT = as(DRY_CLAMP, { words: 'finger-tight', seen: ['no-stray'], grip: grip('body', 'gland-nut') }); // prettier-ignore
export const TAG_BOND = step('bond', {
  hold: 'bond',
  tools: ['milliohm-meter', 'spanner'],
  asks: ['bond-path', 'bond-tight'],
});
/** A tag that is bolted through the box with its lug. */
export const TAG_BOLTED = as(TAG_BOND, { words: 'bond-bolted', grip: grip('tag-bolt', 'tag-nut') });
export const BOND_ONLY = step('bond', { hold: 'bond-tight', words: 'bond-seen', minutes: 1 });
export const HELD = where(
  step('held', { seen: ['held-300'], tools: ['rule'], minutes: 1 }),
  ({ certificate }) => certificate?.reducedRetention === true,
);
export const COVER = where(
  step('shroud', { hold: 'shroud', minutes: 1 }),
  ({ certificate }) => certificate?.sheet.shroud !== 'none',
);
