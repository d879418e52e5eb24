import { BODY_IN, gripped } from './armour';
import { anew, as, grip, step, where } from './step';

const screened = ({ cable }: { cable: { mineral: { screened: boolean } | null } | null }) => cable?.mineral?.screened !== false; // prettier-ignore
const jacketed = ({ cable }: { cable: { mineral: { jacketed: boolean } | null } | null }) => cable?.mineral?.jacketed !== false; // prettier-ignore

export const KIT = anew('kit', { seen: ['kit-whole'], first: true, minutes: 2 });
export const SQUARE = anew('square-cut', {
  caution: 'offcut',
  tools: ['vice', 'fine-saw-or-ringing-tool', 'file', 'goggles'],
  minutes: 4,
});
export const MARK = anew('mark', { tools: ['rule', 'permanent-marker'], minutes: 2 });
export const JACKET = where(
  anew('jacket', { caution: 'knife', tools: ['sheath-knife', 'rule'], minutes: 2 }),
  jacketed,
);
export const FIRST_END = anew('first-end', { seen: ['pulled-back'], minutes: 2 });
export const CUT_TO_LENGTH = anew('length', { hold: 'sheath-length', tools: ['rule', 'permanent-marker'] });
export const SHROUDS_ON = step('facing', { hold: 'shrouds-facing', minutes: 1 });
export const STRIP_SHEATH = anew('strip-sheath', {
  hold: 'conductors',
  seen: ['under-blade'],
  caution: 'copper-edges',
  tools: ['stripping-tool', 'gloves', 'torch'],
  reaches: ['outerCut'],
  minutes: 6,
});
export const OFFCUTS = anew('offcuts', { seen: ['offcuts'], caution: 'copper-edges', minutes: 1 });
export const CLEAN = anew('clean', {
  caution: 'dust',
  tools: ['pick', 'clean-rag', 'dust-mask', 'goggles'],
});
export const POT_ON = anew('pot-on', {
  hold: 'pot-square',
  grip: grip('sheath', 'pot'),
  tools: ['pot-wrench'],
  reaches: ['pot'],
});
export const PROUD = anew('projection', { hold: 'pot-projection', tools: ['caliper'], minutes: 1 });
export const DRAIN_ON = where(
  anew('drain', {
    hold: 'drain-wire',
    seen: ['screen-flush'],
    grip: grip('pot', 'drain-nut'),
    tools: ['drain-nut-key'],
    reaches: ['drain'],
  }),
  screened,
);
export const TAILS = where(
  anew('tails', { seen: ['tail-length'], tools: ['rule', 'side-cutters'], minutes: 1 }),
  ({ size }) => size?.mineral?.longestTailMm != null,
);
export const TRACE = step('continuity', {
  hold: 'continuity',
  tools: ['continuity-tester', 'sleeves'],
  minutes: 4,
});
export const TEST_BEFORE = anew('test-before', {
  hold: 'insulation-before',
  caution: 'testing-and-flame',
  tools: ['insulation-tester', 'thermometer'],
  minutes: 6,
});
export const WARM = where(
  anew('warm', { seen: ['warm'], caution: 'hot-work', tools: ['hot-air'], minutes: 2 }),
  ({ size }) => size?.mineral?.warms === true,
);
/** Its tick is the moment at which the pot was sealed. */
export const FILL = anew('fill', {
  hold: 'insulation-before',
  caution: 'chemical',
  tools: ['gloves', 'goggles', 'plastic-stick'],
  reaches: ['filled'],
});
export const CRIMP = anew('crimp', {
  hold: 'pot-filled',
  joint: 'pot',
  grip: grip('cable', 'crimping-tool'),
  tools: ['crimping-tool', 'clean-rag'],
  reaches: ['filled'],
});
export const TEST_AFTER = step('test-after', {
  hold: 'insulation-after',
  caution: 'testing',
  tools: ['insulation-tester', 'thermometer'],
  minutes: 4,
});
/** A mineral-insulated end goes into the box last, whatever the habit. */
export const GLAND_IN = as(BODY_IN, { id: 'gland-in', words: 'gland-in', body: false });
export const PANEL = where(
  anew('panel', { seen: ['both-locknuts'], grip: grip('gland-body', 'locknut'), tools: ['two-spanners'], minutes: 2 }),
  ({ entry }) => entry.hole.form === 'clearance',
); // prettier-ignore
export const NUT_MI = gripped('gland-nut', 'gland-body', 'gland-nut');
export const EARTH_PROVED = step('earth', { hold: 'sheath-earth', tools: ['milliohm-meter'] });
