import type { ImportItem } from '../commands/commands';
import type { Area, Id } from '../record/types';
import type { Filling } from './fill';
import type { OnFile } from './on-file';
import { areasBelow, areaSize, placeIn } from './place';

type Outline = Area['outlineM'];
type Placing = { [K in keyof Outline]: number | null } | null;

/** An area or enclosure as it is checked before its place is known. */
export function anywhere(record: Filling): Filling {
  const [outline, position] = [record.outlineM, record.positionM] as [Placing, { x: number | null } | null];
  if (outline !== undefined)
    return { ...record, outlineM: { x: 0, y: 0, width: 1, height: 1, ...given(outline) } };
  if (position !== undefined) return { ...record, positionM: { x: 0, y: 0, z: 0, ...given(position) } };
  return record;
}

/** What is given of a place. */
const given = (place: object | null): Record<string, number> =>
  Object.fromEntries(Object.entries(place ?? {}).filter(([, value]) => value !== null));

/**
 * Gives a tidy place on the plan to new areas and enclosures that the sheets give none: areas in rows under those that are
 * drawn, enclosures in rows in their area.
 */
export function placed(file: OnFile, items: ImportItem[]): ImportItem[] {
  const inAreas = new Map<Id, Filling[]>();
  for (const { table, record } of items) {
    const one = record as unknown as Filling;
    if (table === 'enclosure' && file.byId('enclosure', one.id as Id) === null)
      inAreas.set(one.area as Id, [...(inAreas.get(one.area as Id) ?? []), one]);
  }
  const outlines = new Map<Id, Outline>();
  const areas = items.filter(
    ({ table, record }) => table === 'area' && file.byId('area', record.id) === null,
  );
  const sizes = areas.map(({ record }) => areaSize(inAreas.get(record.id)?.length ?? 0));
  const below = areasBelow(file.outlines(), sizes);
  areas.forEach(({ record }, i) => {
    const outline = (record as unknown as Filling).outlineM as Placing;
    outlines.set(record.id, { ...below[i]!, ...given(outline) });
  });
  return items.map((item) => withPlace(item, { file, outlines, inAreas }));
}

function withPlace(
  item: ImportItem,
  { file, outlines, inAreas }: { file: OnFile; outlines: Map<Id, Outline>; inAreas: Map<Id, Filling[]> },
): ImportItem {
  const record = item.record as unknown as Filling;
  if (item.table === 'area' && outlines.has(item.record.id))
    return { table: 'area', record: { ...record, outlineM: outlines.get(item.record.id) } as never };
  const others = item.table === 'enclosure' ? inAreas.get(record.area as Id) : undefined;
  if (!others?.includes(record)) return item;
  const area = file.now('area', record.area as Id) as unknown as Area;
  const outline = outlines.get(area.id) ?? area.outlineM;
  const before = file.enclosuresIn(area.id).length;
  const place = placeIn(outline, before + others.indexOf(record), before + others.length);
  const positionM = { ...place, z: area.levelM, ...given(record.positionM as object | null) };
  return { table: 'enclosure', record: { ...record, positionM } as never };
}
