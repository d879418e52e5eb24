import type { MemorySlice, Written } from '../record/slice';
import type { Entry } from '../record/types';
import { recordsWith } from '../rulebook/sound-entry.test.data';

/** A box with two sister entries, another box with two ends of one cable, and a transit beside them. */
export function plant(): MemorySlice {
  const slice = recordsWith();
  const own = slice.get('entry', 'e')!;
  const sister = (id: string, set: Partial<Entry>): Written => ({ table: 'entry', id, after: { ...own, id, label: id.toUpperCase(), ...set } }); // prettier-ignore
  const transit = recordsWith({ kind: 'transit-block' });
  slice.write([
    { table: 'enclosure', id: 'b2', after: { ...slice.get('enclosure', 'b')!, id: 'b2', tag: 'JB-2' } },
    { table: 'area', id: 'a2', after: { ...slice.get('area', 'a')!, id: 'a2', name: 'Yard' } },
    { table: 'cable', id: 'k2', after: { ...slice.get('cable', 'k')!, id: 'k2', tag: 'P-2' } },
    { table: 'certificate', id: 'q2', after: { ...transit.get('certificate', 'q')!, id: 'q2' } },
    sister('f', { cable: 'k2' }),
    sister('g', { enclosure: 'b2' }),
    sister('h', { enclosure: 'b2', cable: null }),
    sister('t', { enclosure: 'b2', kind: 'transit-block', cable: null, certificate: 'q2', frame: { ...transit.get('entry', 'e')!.frame!, otherArea: 'a2' } }),
    { table: 'packing', id: 't', after: { ...transit.get('packing', 'e')!, id: 't', entry: 't' } },
    { table: 'round', id: 'r', after: { ...slice.get('round', 'r')!, entries: ['e', 'f', 'g', 'h', 't'] } },
  ]); // prettier-ignore
  return slice;
}
