import { always, anew, grip, step, where } from './step';

/** Nothing begins before this is said, whatever is made off or opened. */
export const SAFE = always('safe', {
  seen: ['dead', 'identified', 'gas-test'],
  caution: 'opening',
  first: true,
  minutes: 6,
});
export const LAY_OUT = always('lay-out', {
  seen: ['certified'],
  first: true,
  lays: true,
  minutes: 4,
});
const APART = anew('apart', { first: true, minutes: 2 });
/** The device in its sub-assemblies, nothing out for the dry fit. */
export const TAKE_APART = APART;
/** The inner seal is kept out until the clamp has been looked at. */
export const SEAL_OUT = where(anew('apart', { first: true, minutes: 2, out: ['inner-seal'], words: 'apart-seal' }), ({ size }) => size === null || size.inner !== null); // prettier-ignore
/** The pot is kept out until the clamp has been looked at. */
export const POT_OUT = anew('apart', { first: true, minutes: 2, out: ['pot'], words: 'apart-pot' });
export const CABLE_END = anew('cable-end', {
  seen: ['reaches'],
  caution: 'knife',
  tools: ['rule', 'clean-rag', 'caliper'],
  first: true,
  minutes: 3,
});
export const SHROUD_CUT = where(
  anew('shroud-cut', { caution: 'knife', tools: ['sheath-knife'], first: true, minutes: 2 }),
  ({ certificate }) => certificate?.sheet.shroud !== 'none',
);

/** Opening up an end that stands: what is undone, what is looked at while it is open, what is new when it closes. */
export const UNDO_OUTER = step('undo-outer', {
  whys: ['opening'],
  grip: grip('body', 'back-nut', true),
  caution: 'opening',
  tools: ['two-spanners'],
});
export const UNDO_CLAMP = step('undo-clamp', {
  whys: ['opening'],
  grip: grip('entry-item', 'clamp-nut', true),
  tools: ['two-spanners'],
});
export const UNDO_UNION = step('undo-union', {
  whys: ['opening'],
  grip: grip('barrel', 'union-nut', true),
  caution: 'opening',
  tools: ['two-spanners'],
});
export const UNDO_MINERAL = step('undo-mineral', {
  whys: ['opening'],
  grip: grip('gland-body', 'gland-nut', true),
  caution: 'opening',
  tools: ['two-spanners'],
});
export const LOOK_OPEN = step('look-open', {
  whys: ['opening'],
  seen: ['inside-clean', 'second-time'],
  asks: ['seal-state', 'conductors', 'inside-cable'],
  tools: ['torch'],
});

/** What comes before anything is slipped on, of a gland of which nothing is kept out. */
export const BEFORE = [SAFE, LAY_OUT, TAKE_APART, CABLE_END, SHROUD_CUT];
