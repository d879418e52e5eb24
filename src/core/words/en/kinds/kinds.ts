import type { KindId } from '../../../record/kind-ids';

/** What the kinds of entries are called. */
export const KIND_TITLES: Record<KindId, string> = {
  'gland-double-seal': 'double-seal gland',
  'gland-reversible-ring': 'reversible-ring gland',
  'gland-dedicated-ring': 'dedicated-ring gland',
  'gland-diaphragm': 'diaphragm gland',
  'gland-barrier': 'barrier gland',
  'gland-barrier-plain': 'barrier gland for unarmoured cable',
  'gland-plain': 'plain gland',
  'gland-industrial': 'industrial gland',
  'connector-resin': 'resin connector',
  'mi-pot': 'mineral-insulated pot',
  'mi-link': 'mineral-insulated link, cut to fit',
  'transit-block': 'block transit',
  'transit-block-bonded': 'bonded block transit',
  'transit-cabinet': 'cabinet transit',
  'transit-sealant': 'sealant transit',
};

/** What a kind of entry is called. */
export const kindTitle = (kind: KindId): string => KIND_TITLES[kind];
