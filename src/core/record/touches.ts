import { versionsOf } from './instruments';
import { namesIn } from './packing';
import type { Slice } from './slice';
import { KIND_IDS } from './kind-ids';
import type { Id, Tables, TransitPacking } from './types';

/** Entries whose judgement a record can alter, as the records stand. */
export type Touches<R> = (slice: Slice, record: R) => Iterable<Id>;

const ids = (records: readonly { id: Id }[]): Id[] => records.map(({ id }) => id);
const ofCable = (slice: Slice, cable: Id): Id[] => ids(slice.by('entry', 'cable', cable));
const ofEnclosure = (slice: Slice, enclosure: Id): Id[] => ids(slice.by('entry', 'enclosure', enclosure));

/** None: nobody judges by it. */
export const nothing: Touches<unknown> = () => [];

/** The entry that it belongs to. */
export const itsEntry: Touches<{ entry: Id }> = (_, { entry }) => [entry];

/** Every entry of the site. */
export const wholeSite: Touches<{ site: Id }> = (slice, { site }) => ids(slice.by('entry', 'site', site));

/** The ends of the cable that it belongs to. */
export const itsCable: Touches<{ cable: Id }> = (slice, { cable }) => ofCable(slice, cable);

/** What lies in an area, and transits whose other side it is. */
export const area: Touches<Tables['area']> = (slice, { id, site }) => [
  ...slice.by('enclosure', 'area', id).flatMap((enclosure) => ofEnclosure(slice, enclosure.id)),
  ...TRANSITS.flatMap((kind) => slice.by('entry', 'kind', kind))
    .filter((entry) => entry.site === site && entry.frame?.otherArea === id)
    .map((entry) => entry.id),
];

/** Kinds that lie between two areas. */
const TRANSITS = KIND_IDS.filter((kind) => kind.startsWith('transit'));

/** Its entries, and the other ends of their cables, which ask in which area this one is. */
export const enclosure: Touches<Tables['enclosure']> = (slice, { id }) =>
  slice
    .by('entry', 'enclosure', id)
    .flatMap((entry) => [entry.id, ...(entry.cable === null ? [] : ofCable(slice, entry.cable))]);

/** An entry, its sisters in the enclosure (questions are asked at the first of them) and the other ends of its cable. */
export const entry: Touches<Tables['entry']> = (slice, one) => [
  one.id,
  ...ofEnclosure(slice, one.enclosure),
  ...(one.cable === null ? [] : ofCable(slice, one.cable)),
];

/** Entries that it ends in, and transits that it lies in. */
export const cable: Touches<Tables['cable']> = (slice, { id, site }) => [
  ...ofCable(slice, id),
  ...packings(slice, site, (packing) => namesIn(packing).cables.has(id)),
];

/** Entries of the certificate. */
export const certificate: Touches<Tables['certificate']> = (slice, { id }) =>
  ids(slice.by('entry', 'certificate', id));

/** Whatever was measured or tested with any version of it, sealed records included: later ones tell of earlier ones. */
export const instrument: Touches<Tables['instrument']> = (slice, one) =>
  [...versionsOf(slice, one), one].flatMap(({ id, site }) => [
    ...slice.by('reading', 'instrument', id).map((reading) => reading.entry),
    ...slice.by('insulation', 'instrument', id).flatMap((test) => ofCable(slice, test.cable)),
    ...packings(slice, site, (packing) => namesIn(packing).instruments.has(id)),
    ...slice
      .by('asleft', 'site', site)
      .filter(({ instruments }) => instruments.some((used) => used.id === id))
      .map((record) => record.entry),
  ]);

/** Its entries, and their sisters: the first entry of an enclosure in a round answers for it. */
export const round: Touches<Tables['round']> = (slice, { entries }) =>
  entries.flatMap((id) => {
    const one = slice.get('entry', id);
    return one ? [id, ...ofEnclosure(slice, one.enclosure)] : [id];
  });

const packings = (slice: Slice, site: Id, named: (packing: TransitPacking) => boolean): Id[] =>
  slice
    .by('packing', 'site', site)
    .filter(named)
    .map((packing) => packing.entry);
