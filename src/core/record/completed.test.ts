import { describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { completed } from './completed';

const without = (record: object, ...keys: string[]) =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)));

describe('a record of an earlier day', () => {
  const slice = recordsWith();
  it.each([
    ['site', 's', ['scheme', 'barrierSchool'], { scheme: 'zones', barrierSchool: '2013' }],
    ['area', 'a', ['division', 'weather'], { division: null, weather: null }],
    ['enclosure', 'b', ['unused', 'material'], { unused: null, material: null }],
    ['cable', 'k', ['filling', 'breathing'], { filling: null, breathing: null }],
    ['entry', 'e', ['adaptors', 'tailMm'], { adaptors: null, tailMm: null }],
  ] as const)(
    '%s gets what it was written without, as "not recorded" or what everything was',
    (table, id, keys, wanted) => {
      const whole = slice.get(table, id)!;
      expect(completed(table, without(whole, ...keys))).toMatchObject(wanted);
      expect(completed(table, whole)).toBe(whole);
    },
  );

  it('a mineral-insulated cable gets them in its build-up, and its tests say which end they belong to', () => {
    const whole = recordsWith({ kind: 'mi-pot' }).get('cable', 'k')!;
    const old = { ...whole, mineral: without(whole.mineral!, 'sheathMm2', 'sheathC', 'link') };
    expect(completed('cable', old).mineral).toMatchObject({ sheathMm2: null, link: null, fallFactor: 2 });
    expect(completed('cable', whole)).toBe(whole);
    const test = recordsWith({ kind: 'mi-pot' }).get('insulation', 't1')!;
    expect(completed('insulation', without(test, 'entry'))).toMatchObject({ entry: null });
  });

  it('a certificate gets them in its sheet and every size too, and keeps what it has', () => {
    const certificate = slice.get('certificate', 'q')!;
    const { sheet, ...rest } = certificate;
    const sizes = sheet.sizes.map((size) => without(size, 'backNut', 'pot', 'sealDepthMm'));
    const old = { ...without(rest, 'divisions'), sheet: { ...without(sheet, 'compound', 'chart'), sizes } };
    const whole = completed('certificate', old) as unknown as typeof certificate;
    expect(whole.divisions).toEqual([]);
    expect(whole.sheet).toMatchObject({ compound: null, chart: [] });
    expect(whole.sheet.sizes[0]).toMatchObject({
      backNut: null,
      pot: null,
      sealDepthMm: null,
      size: 'S3',
      innerProudMm: 5,
    });
    expect(completed('certificate', certificate)).toBe(certificate);
  });
});
