import { look, where } from './look';
import { INNER, OUTER, THREAD_MAJOR } from './places';
import { coreCount, type Situation } from './situation';

/** Whether a tape was wrapped round a sheath, and nothing else says whether it is round. */
const wrapped = ({ groups }: Situation): boolean =>
  [OUTER, INNER].some(({ id }) => {
    const own = groups.get(id) ?? [];
    return own.length > 0 && own.every(({ method }) => method === 'tape');
  });

export const MARKING = look('marking', 'visual', {
  spot: 'outside',
  good: ['yes'],
  bad: ['no', 'unreadable'],
});
/** Asked once per enclosure, at the first of its entries in the round. */
export const UNUSED = where(
  look('unused-entries', 'visual', {
    spot: 'wall',
    good: ['yes', 'none'],
    bad: ['open', 'transport', 'adaptor'],
  }),
  ({ askedAt }) => askedAt === null,
);
export const BARE = look('outer-bare', 'close', { spot: 'outside', good: ['yes'], bad: ['no', 'two'] });
/** Asked where a tape was wrapped: it hides whether the cable is round. */
export const FLATS = where(
  look('flats', 'close', { spot: 'outside', good: ['none'], bad: ['flats'] }),
  wrapped,
);
/** Asked where a measured thread can be a parallel or a taper one. */
export const TAPER = where(
  look('thread-taper', 'detailed', { spot: 'wall', good: ['parallel', 'taper'], bad: [] }),
  ({ groups }) => (groups.get(THREAD_MAJOR.id)?.length ?? 0) > 0,
);
export const SEATED = look('armour-seated', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['crossed', 'inside', 'beside', 'broken'],
});
export const RING = look('ring-thick-end', 'detailed', { spot: 'inside', good: ['yes'], bad: ['no'] });
export const DIAPHRAGM = look('diaphragm-lip', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['folded', 'cut'],
});
export const INSIDE = look('inside-cable', 'detailed', {
  spot: 'box',
  good: ['same-area', 'stopped'],
  bad: ['open'],
});
export const SCORED = look('conductors', 'detailed', { spot: 'box', good: ['yes'], bad: ['scored'] });
export const VOIDS = look('compound-face', 'detailed', {
  spot: 'inside',
  good: ['yes', 'mended'],
  bad: ['voids', 'touching'],
});
export const WITNESS = look('compound-witness', 'detailed', {
  spot: 'inside',
  good: ['hard'],
  bad: ['soft', 'none'],
});
export const SPIGOT = look('spigot-held', 'detailed', { spot: 'inside', good: ['yes'], bad: ['no'] });
export const DAM = look('resin-dam', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['short', 'dam', 'first-shot'],
});
export const GROMMET = look('grommet-nut', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['body', 'armour'],
});
export const WASHER = look('washer', 'visual', {
  spot: 'wall',
  good: ['fitted', 'o-ring', 'none'],
  bad: ['damaged'],
});
export const BOND_LOOK = look('bond-tight', 'visual', { spot: 'wall', good: ['yes'], bad: ['loose', 'no'] });
export const BOND_PATH = look('bond-path', 'detailed', { spot: 'wall', good: ['yes'], bad: ['parallel'] });
export const SHROUD = look('shroud', 'visual', {
  spot: 'outside',
  good: ['fitted', 'none'],
  bad: ['missing', 'cut', 'pools'],
});
export const SUPPORTED = look('cable-held', 'visual', {
  spot: 'outside',
  good: ['yes'],
  bad: ['loose', 'bend', 'strain'],
});
export const CORES = look('unused-cores', 'close', { spot: 'box', good: ['yes', 'none'], bad: ['no'] });
export const UNALTERED = look('unaltered', 'visual', {
  spot: 'outside',
  good: ['same', 'first'],
  bad: ['altered'],
});
export const DAMAGE = look('damage', 'visual', {
  spot: 'outside',
  good: ['yes'],
  bad: ['corroded', 'unlike', 'cracked', 'painted', 'attacked', 'dust'],
});
export const SEAL_STATE = look('seal-state', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['hard', 'cut', 'reused', 'necked'],
});
export const SINGLE = where(
  look('single-core', 'close', { spot: 'box', good: ['yes'], bad: ['no', 'bonding'] }),
  (of) => (coreCount(of) ?? 1) === 1,
);

export const POT_SQUARE = look('pot-square', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['tilted', 'off', 'chips'],
});
export const DRAIN = where(
  look('drain-wire', 'detailed', { spot: 'inside', good: ['yes'], bad: ['touching', 'loose'] }),
  ({ cable }) => cable?.mineral?.screened !== false,
);
export const POT_FILLED = look('pot-filled', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['voids', 'disc', 'sleeves', 'crimp'],
});
export const FACING = look('shrouds-facing', 'visual', {
  spot: 'outside',
  good: ['yes'],
  bad: ['turned', 'one'],
});

export const APPROVAL = look(
  'marking',
  'visual',
  { spot: 'outside', good: ['yes'], bad: ['no', 'unreadable'] },
  'approval',
);
export const BOTH_SIDES = look('both-sides', 'close', {
  spot: 'wall',
  good: ['yes', 'one-sided'],
  bad: ['one'],
});
/** What cannot be seen or reached from the face is said, with its reason, and asked when it is opened. */
export const FROM_FACE = look('from-face', 'close', { spot: 'outside', good: ['all', 'part'], bad: [] });
export const STRAIGHT = look('transit-cables', 'close', {
  spot: 'outside',
  good: ['yes'],
  bad: ['dry', 'bent', 'loose'],
});
export const BRAID = look('braid', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['grease', 'paint', 'loose'],
});
/** Of a bonded block: the end of the armour is seen past it, finished, and its finish lies outside. */
export const ARMOUR_PAST = look('armour-past', 'detailed', {
  spot: 'inside',
  good: ['yes', 'window'],
  bad: ['short', 'raw', 'inside'],
});
export const FRAME_FIXED = look('frame-fixed', 'close', {
  spot: 'wall',
  good: ['yes', 'unseen'],
  bad: ['gap', 'loose', 'corroded'],
});
export const RELAXED = look('bolts-again', 'close', { spot: 'wall', good: ['yes', 'not-yet'], bad: ['no'] });
export const ADHESION = look('adhesion', 'close', {
  spot: 'wall',
  good: ['yes'],
  bad: ['lifts', 'wall', 'rough'],
});
export const BEHIND = look('sleeves-behind', 'detailed', {
  spot: 'inside',
  good: ['yes'],
  bad: ['dirty', 'bare', 'hollow'],
});
