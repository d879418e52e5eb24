import { kindOf, type Mutation } from './mutation';
import { add, type Records } from './records';

const h = (field: string, reason: string, edit: Mutation['edit']): Mutation => ({
  field,
  change: 'out',
  reason,
  edit,
});
const set = (table: 'site' | 'area' | 'enclosure' | 'entry' | 'cable' | 'certificate' | 'size' | 'round', key: string, values: unknown[], reason: string, when: (r: Records) => boolean = () => true): Mutation[] =>
  values.map((value) => h(`${table}.${key}`, reason, (r) => {
    if (!when(r)) return false;
    (r[table] as Record<string, unknown>)[key] = value;
  })); // prettier-ignore
const single = (r: Records) => kindOf(r).transit === null;
const gland = (r: Records) => single(r) && kindOf(r).certified;

/** Every string of the records that looks like a time, moved by whole days. */
function shifted(value: unknown, days: number): unknown {
  if (typeof value === 'string' && /^\d{4}-\d{2}-\d{2}/.test(value)) {
    const moved = new Date(Date.parse(value) + days * 86_400_000).toISOString();
    return value.length === 10 ? moved.slice(0, 10) : moved;
  }
  if (Array.isArray(value)) return value.map((item) => shifted(item, days));
  if (typeof value === 'object' && value !== null) {
    return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, shifted(item, days)]));
  }
  return value;
}

/** Changes that leave an entry as sound as it was: no alarm may come of them. */
export const HARMLESS: readonly Mutation[] = [
  ...set('site', 'name', ['Works North', 'Hall 9'], 'Another name.'),
  ...set('site', 'ovalityAllowancePct', [2, 4], 'The seals have an allowance of their own.'),
  ...set('site', 'references', ['en-2014'], 'Printed otherwise.', () => false),
  ...set('area', 'name', ['Ward 4', 'Kiln'], 'Another name.'),
  ...set('area', 'substances', ['ethanol', 'pine oil'], 'Its group counts.'),
  ...set('area', 'levelM', [3, 18], 'Another floor.'),
  ...set('area', 'ambientC', [[0, 35], [5, 30]], 'A milder place.', (r) => r.area.ambientC[1] <= 40),
  ...set('area', 'group', ['IIA'], 'A gas that asks for less.', (r) => r.area.zone === '1' && gland(r)),
  ...set('area', 'ingressNeed', ['IP44', 'IP20', 'IP2X'], 'A drier place.', gland),
  ...set('enclosure', 'tag', ['JB-9', 'Box'], 'Another tag.'),
  ...set('enclosure', 'what', ['heater box'], 'Another use.'),
  ...set('enclosure', 'positionM', [{ x: 4, y: 2, z: 1 }], 'Another place.'),
  ...set('enclosure', 'volumeCm3', [1500, 900], 'A smaller box of the same step.', gland),
  ...set('enclosure', 'wallMm', [16, 20], 'A thicker wall.', gland),
  ...set('enclosure', 'ingress', ['IP65', 'IP54'], 'A box that is rated less.', gland),
  ...set('entry', 'label', ['B', '12'], 'Another label.'),
  ...set('entry', 'tailMm', [90, 190], 'A tail that the sheet allows.'),
  ...set('cable', 'tag', ['P-99', 'X'], 'Another tag.'),
  ...set('cable', 'from', ['MCC 4'], 'Another start.'),
  ...set('cable', 'lengthM', [41, 55], 'A longer cable.', (r) => !kindOf(r).mineral),
  ...set('cable', 'maxC', [95, 105], 'A cable that bears more.'),
  ...set('cable', 'minC', [-50], 'A cable that bears more.'),
  ...set('certificate', 'title', ['Gland, second print'], 'Another title.'),
  ...set('certificate', 'maker', ['Quillion'], 'Another maker.'),
  ...set('certificate', 'number', ['QLN 23.0044', 'FRN 24.9999'], 'Another number.'),
  ...set('certificate', 'issued', ['2023-06-01', '2022-01-01'], 'Issued earlier.'),
  ...set('certificate', 'state', ['superseded'], 'A newer issue does not make this part unsafe.', gland),
  ...set('certificate', 'serviceC', [[-60, 120], [-50, 100]], 'It bears more.', gland),
  ...set('size', 'bodyLengthMm', [60, 70], 'A longer body.'),
  ...set('size', 'acrossMm', [36, 41], 'Another spanner.'),
  ...set('round', 'name', ['Spring round'], 'Another name.'),
  h('place:*', 'The same readings in another order.', (r) => {
    const readings = r.all.filter(([table]) => table === 'reading');
    const turned = [...readings].reverse();
    readings.forEach((item, i) => r.all.splice(r.all.indexOf(item), 1, ['placeholder' as never, turned[i]![1]]));
    r.all = r.all.map(([table, record]) => [String(table) === 'placeholder' ? 'reading' : table, record]);
    return readings.length > 1;
  }),
  ...['M. Okonjo', 'R. Tarn'].map((by) => h('place:*', 'Somebody else read the same.', (r) => {
    const readings = [...r.readings];
    readings.forEach((one) => add(r, 'reading', { ...one, id: `${String(one.id)}-again`, by }));
    return readings.length > 0;
  })),
  h('place:*', 'Read an hour earlier, in this round.', (r) => {
    r.readings.forEach((one) => (one.at = '2026-03-04T08:00:00.000Z'));
    return r.readings.length > 0;
  }),
  h('place:*', 'A reading was struck out beside those that count.', (r) => {
    const [first] = r.readings;
    if (!first) return false;
    add(r, 'reading', { ...first, id: 'struck', value: 4, struck: { by: 'A. Vell', at: '2026-03-04T09:01:00.000Z', reason: 'misreading' } });
  }),
  ...[2.2, 2.5, 3].map((coverageFactor) => h('instrument', 'The same doubt at a higher coverage.', (r) => {
    for (const one of r.instruments.values()) {
      one.expandedUncertainty = (one.expandedUncertainty * coverageFactor) / one.coverageFactor;
      one.coverageFactor = coverageFactor;
    }
  })),
  h('instrument', 'Its calibration lasts longer.', (r) => {
    for (const one of r.instruments.values()) one.calibratedUntil = '2028-01-01';
  }),
  h('instrument', 'Another name of the instrument.', (r) => {
    for (const one of r.instruments.values()) one.tag = `${String(one.tag)} b`;
  }),
  h('instrument', 'Its last calibration found it good.', (r) => {
    for (const one of r.instruments.values()) one.calibrations = [{ from: '2025-06-01', to: '2027-01-01', found: 'in', certificate: 'CAL 3' }];
  }),
  ...[-1, -7, -28].map((days) => h('dates', 'Every date moved together.', (r) => {
    r.all = r.all.map(([table, record]) => [table, shifted(record, days) as { id: string }]);
  })),
  h('ids', 'Another certificate, cable and box of the same kind are on file.', (r) => {
    add(r, 'certificate', { ...r.certificate, id: 'q2', number: 'FRN 24.0118' });
    add(r, 'cable', { ...r.cable, id: 'k2', tag: 'P-2' });
    add(r, 'enclosure', { ...r.enclosure, id: 'b2', tag: 'JB-2' });
  }),
  h('look:*', 'Somebody else saw the same.', (r) => {
    const looks = [...r.looks];
    looks.forEach((look) => add(r, 'look', { ...look, id: `${String(look.id)}-again`, by: 'M. Okonjo', at: '2026-03-04T09:30:00.000Z' }));
  }),
]; // prettier-ignore
