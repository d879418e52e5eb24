import { describe, expect, it } from 'vitest';
import { DOSSIER_TABLES, type DossierTable } from '../../core/commands/commands';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import { checkRecord } from '../../shapes/parse';
import type { Entry, Instrument, UnusedEntry } from '../../core/record/types';
import { blankOf, type Field } from './fields';
import { blankSite, FORMS, SITE_FIELDS } from './forms';

const DIVISIONS = [{ class: 'I' as const, division: 1 as const, groups: ['C' as const] }];
const PLUG: UnusedEntry = {
  label: 'Z', closure: 'plug', needsTool: true, inAdaptor: false, concepts: ['db'], certificate: 'FRN 24.0601', levels: ['Gb'],
  groups: ['IIC'], divisions: DIVISIONS, thread: 'M20x1.5', hole: 'M20x1.5', ingress: 'IP66', engagedMm: 11,
}; // prettier-ignore
const slice = recordsWith({
  certificate: { divisions: [{ class: 'I', division: 1, groups: ['C'] }] },
  sheet: { joints: [{ joint: 'clamp', school: 'turns', range: [0.75, 1] }] },
  enclosure: {
    unused: [PLUG],
  },
  entry: {
    adaptors: [
      {
        what: 'adaptor',
        male: 'M25x1.5',
        female: 'M25x1.5',
        concepts: ['db'],
        levels: ['Gb'],
        groups: ['IIC'],
        divisions: DIVISIONS,
        maleLengthMm: 15,
        runoutMm: 1.5,
        femaleDepthMm: 16,
      },
    ],
  },
  instrument: { calibrations: [{ from: null, to: '2027-01-01', found: null, certificate: 'CAL 1' }] },
  site: { enclosureTypes: [{ type: '4X', ingress: 'IP66' }], usualMinutes: [{ step: 'peel', minutes: 20 }] },
  references: [
    { id: 'x', site: 's', title: 'Ours', over: 'iec-2013', basis: [{ check: 'E-01', text: 'Own rule 1' }] },
  ],
});
/** What the reducer keeps is in no form. */
function withoutKept(record: Entry | Instrument): object {
  const { cableSince: _since, of: _of, lentAt: _at, ...rest } = record as unknown as Record<string, unknown>;
  return rest;
}
const SAMPLES: Record<DossierTable, object> = {
  area: slice.get('area', 'a')!,
  enclosure: slice.get('enclosure', 'b')!,
  cable: slice.get('cable', 'k')!,
  certificate: slice.get('certificate', 'q')!,
  instrument: withoutKept(slice.get('instrument', 'c')!),
  entry: withoutKept(slice.get('entry', 'e')!),
  round: slice.get('round', 'r')!,
  reference: slice.get('reference', 'x')!,
};

const at = (value: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((inner, key) => (inner as Record<string, unknown> | null)?.[key], value);

/** Paths of a form, those inside lists and groups by their first element. */
function paths(fields: readonly Field[], prefix = ''): string[] {
  return fields.flatMap((field) => {
    const path = prefix + field.path;
    if (field.type === 'list') return [path, ...paths(field.fields, `${path}.0.`)];
    if (field.type === 'group') return [path];
    return [path];
  });
}

describe.each(DOSSIER_TABLES)('the form of a %s', (table) => {
  const form = FORMS[table];
  const extra = typeof form.extra === 'function' ? form.extra() : form.extra;
  const blank: Record<string, unknown> = { ...blankOf(form.fields, extra), id: 'x1' };

  it('asks for every field of the record, and for none that it does not have', () => {
    const { id: _id, site: _site, typed: _typed, ...record } = SAMPLES[table] as Record<string, unknown>;
    const asked = new Set(paths(form.fields).map((path) => path.split('.')[0]));
    expect([...asked].sort()).toEqual(Object.keys(record).sort());
    for (const path of paths(form.fields)) expect(at(SAMPLES[table], path), path).not.toBeUndefined();
  });

  it('starts from a record that only lacks what has to be typed', () => {
    const { site: _site, ...sample } = SAMPLES[table] as Record<string, unknown>;
    expect(Object.keys(blank).sort()).toEqual(
      Object.keys(sample)
        .filter((key) => key !== 'typed')
        .sort(),
    );
    expect(blank.id).toBe('x1');
  });

  it('starts with no fact that somebody must have seen', () => {
    const {
      id: _id,
      outlineM: _o,
      levelM: _l,
      positionM: _p,
      grade: _g,
      started: _s,
      simulated: _sim,
      ...facts
    } = blank;
    const values = (value: unknown): unknown[] =>
      typeof value === 'object' && value !== null ? Object.values(value).flatMap(values) : [value];
    expect(values(facts).filter((value) => value !== null && value !== '')).toEqual([]);
  });

  it('a record filled in by it is one that the server takes', () => {
    const { site: _site, ...sample } = SAMPLES[table] as Record<string, unknown>;
    expect(() => checkRecord(table, { ...blank, ...sample, id: 'x1' }, '')).not.toThrow();
  });

  it('what is added to its lists and groups has the fields that the form then shows', () => {
    for (const field of form.fields) {
      if (field.type !== 'list' && field.type !== 'group') continue;
      for (const inner of field.fields)
        expect(
          at(blankOf(field.fields, 'extra' in field ? field.extra : {}), inner.path),
          `${field.path}.${inner.path}`,
        ).not.toBeUndefined();
    }
  });

  it('calls a record by its name, and says what to do when there is none', () => {
    expect(form.name(SAMPLES[table] as Record<string, unknown>)).not.toBe('');
    expect(form.beside(SAMPLES[table] as Record<string, unknown>)).not.toMatch(/undefined|\[object/);
    expect(form.empty).toMatch(/\.$/);
  });

  it('every title is in words and every choice offers something', () => {
    const look = (fields: readonly Field[]): void => {
      for (const field of fields) {
        expect(field.title).toMatch(/^[A-Z]/);
        if (field.type === 'select') expect(field.options.length).toBeGreaterThan(1);
        if (field.type === 'list' || field.type === 'group') look(field.fields);
      }
    };
    look(form.fields);
  });
});

describe('the form of a site', () => {
  it('starts from limits that hold, in the zone of the device', () => {
    const site = blankSite('s1');
    for (const { path } of SITE_FIELDS) expect(at(site, path), path).not.toBeUndefined();
    expect(site.acceptance).toBe('guarded');
    expect(() => new Intl.DateTimeFormat('en-GB', { timeZone: site.timeZone })).not.toThrow();
  });
});
