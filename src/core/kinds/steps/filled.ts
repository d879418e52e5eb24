import { BODY_IN, CUT_ARMOUR, gripped, STRIP_OUTER } from './armour';
import { anew, as, grip, step } from './step';

export const CORES_APART = anew('cores', {
  seen: ['core-count'],
  caution: 'knife',
  tools: ['side-cutters', 'clean-rag'],
  reaches: ['innerCut'],
  minutes: 4,
});
export const MIX = anew('mix', {
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'thermometer'],
  pour: 'mix',
  minutes: 4,
});
export const PACK = anew('pack', {
  hold: 'compound-reach',
  seen: ['no-voids'],
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'rule', 'cap-or-tape'],
  out: ['tip-tape'],
  pour: 'pack',
  minutes: 6,
});
export const POT_OVER = anew('pot-over', {
  seen: ['faces-clean'],
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'clean-rag'],
  back: ['pot'],
  minutes: 3,
});
export const CURE_LOOK = anew('cure', {
  hold: 'compound-face',
  grip: grip('entry-item', 'pot-nut', true),
  tools: ['two-spanners', 'torch'],
  back: ['tip-tape'],
  pour: 'cure',
  minutes: 5,
});
/** Compound that is mended when an entry is opened up is a pour of its own: mixed, packed and cured as new. */
const MEND = step('mend', {
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'torch', 'thermometer'],
  whys: ['opening'],
  pour: 'mix',
  minutes: 6,
});
const MEND_PACK = step('mend-pack', {
  seen: ['faces-clean'],
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'clean-rag'],
  whys: ['opening'],
  pour: 'pack',
  minutes: 4,
});
const MEND_CURE = step('mend-cure', { hold: 'compound-face', whys: ['opening'], pour: 'cure', minutes: 2 });
export const MENDED = [MEND, MEND_PACK, MEND_CURE];
export const POT_SHUT = step('pot', {
  hold: 'compound-witness',
  joint: 'pot',
  grip: grip('entry-item', 'pot-nut'),
  tools: ['two-spanners'],
});
export const HOLD_SPIGOT = anew('spigot', {
  hold: 'spigot-held',
  grip: grip('spigot', 'pot-nut'),
  tools: ['two-spanners'],
  body: true,
  minutes: 1,
});
/** The pot of a gland without armour is closed against its spigot. */
export const POT_SHUT_SPIGOT = as(POT_SHUT, { grip: grip('spigot', 'pot-nut') });

/** The connector goes into the box whole, and is taken apart there. */
export const HUB_IN = as(BODY_IN, { words: 'hub', grip: grip('box', 'barrel-nut') });
export const HUB_LOOSE = anew('hub-loose', {
  grip: grip('barrel', 'hub-nut', true),
  tools: ['two-spanners'],
  minutes: 1,
});
export const CUT_JACKET_ARMOUR = as(CUT_ARMOUR, {
  words: 'cut-connector',
  byArmour: false,
  tools: ['roller-cutter', 'goggles', 'rule'],
});
export const JACKET_BACK = as(STRIP_OUTER, { hold: null, words: 'jacket-back' });
export const CORES_BUNDLED = as(CORES_APART, {
  words: 'cores-bundled',
  hold: 'conductors',
  seen: [],
  out: ['bundle-tape'],
  tools: ['sheath-knife', 'cap-or-tape'],
});
export const GROMMET_ON = anew('grommet', { minutes: 1 });
export const ARMOUR_IN = anew('engage', {
  seen: ['engaged'],
  grip: grip('barrel', 'grommet-nut'),
  tools: ['two-spanners'],
  reaches: ['clamped'],
});
export const GROMMET_SHUT = gripped('grommet-shut', 'barrel', 'grommet-nut');
export const FIBRE = anew('fibre', {
  seen: ['no-metal'],
  tools: ['plastic-stick'],
  back: ['bundle-tape'],
  minutes: 5,
});
export const INJECT = anew('inject', {
  hold: 'resin-dam',
  caution: 'chemical',
  joint: 'resin-port',
  grip: grip('barrel', 'port-plug'),
  tools: ['gloves', 'goggles', 'thermometer'],
  pour: 'inject',
  minutes: 6,
});
export const RESIN_CURE = anew('resin-cure', { seen: ['barrel-still'], pour: 'cure', minutes: 1 });
export const UNION = step('union', {
  hold: 'grommet-nut',
  grip: grip('barrel', 'union-nut'),
  tools: ['two-spanners'],
});
