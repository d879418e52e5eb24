import { wholeSet } from '../rulebook/basis';
import type { Dossier } from '../rulebook/dossier';
import type { Draft } from './draft';
import { instrumentNow } from '../record/instruments';
import { namesIn } from '../record/packing';
import { bare } from '../record/seal';
import type { Base, Frozen, Id, TableName, Tables } from '../record/types';

/**
 * Keeps everything that an entry was judged on by its content, and names each by its hash: whatever becomes of the
 * live records, the seal can be read and checked as it was made.
 */
export function freeze(draft: Draft, dossier: Dossier): Frozen {
  const { site, area, otherArea, enclosure, entry, cable, certificate, round, record } = dossier;
  const one = (record: Base | null) => record && draft.freezeRecord(record);
  const list = (records: readonly Base[]) => (records.length === 0 ? null : draft.freeze(records.map(bare)));
  const each = (records: readonly Base[]) => records.map((record) => draft.freezeRecord(record));
  const tests = cable ? draft.by('insulation', 'cable', cable.id) : [];
  const packing = draft.get('packing', entry.id);
  const instruments = new Set<Id>([
    ...dossier.instruments.keys(),
    ...tests.map(({ instrument }) => instrument),
    ...(packing ? namesIn(packing).instruments : []),
  ]);
  const { lastSeal: _lastSeal, ...limits } = site;
  return {
    site: draft.freeze(bare(limits as Base)),
    area: one(area),
    otherArea: one(otherArea),
    enclosure: one(enclosure),
    entry: one(entry),
    cable: one(cable),
    certificate: one(certificate),
    round: one(round),
    references: draft.freeze(wholeSet(dossier.references)),
    instruments: each([...instruments].sort().flatMap((id) => instrumentNow(draft, id) ?? [])),
    readings: list(dossier.readings),
    looks: list([...dossier.looks.values()]),
    pours: list(dossier.pours),
    makeoffs: list(draft.by('makeoff', 'entry', entry.id)),
    packing: one(packing),
    packed: packing ? each(found(draft, 'cable', namesIn(packing).cables)) : [],
    insulation: each(tests),
    continuity: cable ? each(draft.by('continuity', 'cable', cable.id)) : [],
    record: one(record),
  };
}

const found = <T extends TableName>(draft: Draft, table: T, ids: Iterable<Id>): Tables[T][] =>
  [...ids].sort().flatMap((id) => draft.get(table, id) ?? []);
