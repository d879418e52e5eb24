import { describe, expect, it } from 'vitest';
import { DOSSIER_TABLES } from '../../core/commands/commands';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import { faultsOf, fieldAt, own, toDraft, toRecord, asSent, type Draft } from './draft';
import { offenceWords } from './offence-words';
import { blankOf, get, put } from './fields';
import { FORMS } from './forms';

const slices = [recordsWith(), recordsWith({ kind: 'mi-link' }), recordsWith({ kind: 'transit-sealant' })];
const sheet = FORMS.certificate.fields;
const record = () =>
  structuredClone(slices[0]!.get('certificate', 'q')!) as unknown as Record<string, unknown>;
/** The certificate's draft with some fields typed anew. */
const typed = (changes: Record<string, unknown>): Draft => {
  const draft = toDraft(sheet, record());
  for (const [path, value] of Object.entries(changes)) put(draft, path, value);
  return draft;
};

describe('a record as the texts of a form', () => {
  it.each(DOSSIER_TABLES)('a %s comes back as it was', (table) => {
    for (const slice of slices)
      for (const one of slice.by(table, 'site', 's')) {
        const read = toRecord(FORMS[table].fields, toDraft(FORMS[table].fields, one));
        expect(read.faults).toEqual({});
        expect(read.record).toEqual({ ...one, typed: undefined });
      }
  });

  it.each(DOSSIER_TABLES)('a blank %s comes back blank', (table) => {
    const { fields, extra } = FORMS[table];
    const blank = blankOf(fields, typeof extra === 'function' ? extra() : extra);
    const { record: back } = toRecord(fields, toDraft(fields, blank));
    for (const { path } of fields) {
      const value = get(back, path.replace(/\.[01]$/, ''));
      if (/\.[01]$/.test(path)) expect(value, path).toBeNull();
    }
  });

  it('a length stays as it was typed, beside what it is', () => {
    const read = toRecord(sheet, typed({ 'sheet.sizes.0.outer.rangeMm.0': '15/16 in' }));
    expect(get(read.record, 'sheet.sizes.0.outer.rangeMm.0')).toBe(23.8125);
    expect(asSent('certificate', read)).toMatchObject({
      typed: { 'sheet.sizes.0.outer.rangeMm.0': '15/16 in' },
    });
    const again = toDraft(sheet, asSent('certificate', read));
    expect(get(again, 'sheet.sizes.0.outer.rangeMm.0')).toBe('15/16 in');
    const area = toDraft(FORMS.area.fields, slices[0]!.get('area', 'a')!);
    put(area, 'ambientC.1', '104 °F');
    expect(asSent('area', toRecord(FORMS.area.fields, area))).toMatchObject({
      ambientC: [expect.anything(), 40],
    });
    expect(asSent('area', toRecord(FORMS.area.fields, area))).not.toHaveProperty('typed');
  });

  it('conditions are one a line, commas and all; none is not the same as not recorded', () => {
    const lines = (none: boolean, text: string) => toRecord(sheet, typed({ specialConditions: { none, text } })).record.specialConditions; // prettier-ignore
    expect(lines(false, 'Hold the cable, within 300 mm, by a clamp.\n\nTwo.')).toEqual([
      'Hold the cable, within 300 mm, by a clamp.',
      'Two.',
    ]);
    expect(lines(true, '')).toEqual([]);
    expect(lines(false, ' ')).toBeNull();
  });

  it('a protection is understood, or named as what was not', () => {
    expect(toRecord(sheet, typed({ concepts: 'Ex db, eb' })).record.concepts).toEqual(['db', 'eb']);
    expect(toRecord(sheet, typed({ concepts: 'Ex db IIC' })).faults.concepts).toContain('"IIC" is no kind');
  });

  it('a range of which neither end is known is not recorded', () => {
    const read = toRecord(
      sheet,
      typed({ 'sheet.sizes.0.outer.rangeMm.0': '', 'sheet.sizes.0.outer.rangeMm.1': '' }),
    );
    expect(get(read.record, 'sheet.sizes.0.outer.rangeMm')).toBeNull();
  });
});

describe('what is wrong in a form', () => {
  it('is the server’s own check, at the path of the field', () => {
    expect(faultsOf('certificate', sheet, toDraft(sheet, own(record())))).toEqual({});
    const bare = { ...blankOf(sheet), id: 'n1' };
    const faults = faultsOf('certificate', sheet, toDraft(sheet, bare));
    expect(Object.keys(faults).sort()).toEqual(['kind', 'maker', 'number', 'sheet.number', 'title']);
    expect(faults.number).toContain('Not filled in yet');
  });

  it.each([
    ['sheet.sizes.0.outer.rangeMm.0', 'wide', 'That is not a length'],
    ['sheet.sizes.0.outer.rangeMm.0', '99', 'The lower figure comes first'],
    ['sheet.sizes.0.outer.rangeMm.1', '', 'Not filled in yet'],
    ['sheet.sizes.0.maleLengthMm', '0', 'It must be above 0.'],
    ['sheet.sizes.0.maleLengthMm', '-3', 'cannot be negative'],
    ['sheet.expectedBondOhm', '12 V', 'That unit is not one of a resistance'],
    ['number', 'x'.repeat(61), 'It must have at most 60 characters.'],
  ])('%s as %j', (path, value, wanted) => {
    expect(faultsOf('certificate', sheet, typed({ [path]: value }))[path]).toContain(wanted);
  });

  it('belongs to the field itself, to an end of its range, or to the group that it lies in', () => {
    const paths = new Set(['span.0', 'span.1', 'frame', 'frame.openings']);
    expect(fieldAt('span', paths)).toBe('span.0');
    expect(fieldAt('span.1', paths)).toBe('span.1');
    expect(fieldAt('frame.openings.2.label', paths)).toBe('frame.openings');
    expect(fieldAt('stray', paths)).toBe('stray');
  });

  it('is said in words', () => {
    expect(offenceWords('must be one of: a, b')).toBe('Choose one of: a, b.');
    expect(offenceWords('is required')).toContain('Not filled in yet');
  });
});
