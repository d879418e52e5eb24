import { InputError } from '../../core/quantity/error';
import { readQuantity } from '../../core/quantity/quantity';
import type { DossierFields } from '../../core/commands/commands';
import type { ArmourType, Certificate, GlandSize, Range } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';
import { checkRecord } from '../../shapes/parse';
import { fromCsv, headingFaults, MOST_ROWS } from './csv';
import { addItem, refuse, type ImportPreview, TOLD_EVERY, type Told } from './import-preview';
import type { FileFault } from './schema';

const CLAMPED: readonly ArmourType[] = ['wire', 'braid', 'tape', 'corrugated', 'interlocked'];

/** Columns of a table of sizes; lengths in mm or with a unit. */
export const SIZE_COLUMNS = [
  'certificate', 'size', 'thread', 'male_length', 'run_out', 'washer', 'across', 'body_length', 'outer_from',
  'outer_to', 'inner_from', 'inner_to', ...CLAMPED.flatMap((type) => [`${type}_from`, `${type}_to`]), 'armour_from',
  'armour_to', 'proud', 'seal_depth',
]; // prettier-ignore

const NEEDED = new Set(['certificate', 'size', 'thread', 'outer_from', 'outer_to']);
const OPTIONAL = new Set(SIZE_COLUMNS.filter((column) => !NEEDED.has(column)));

type Cells = Record<string, string>;

/**
 * What a table of sizes would add and change: one row per size of a certificate that is on file. A blank cell
 * leaves what is on file; of a new size it is not recorded.
 */
export function previewSizes(store: SiteStore, text: string, told: Told): ImportPreview {
  const { columns, rows, faults: formFaults } = fromCsv(text);
  const unread = formFaults.find(({ row }) => row === null);
  if (unread) return refuse('(file)', unread.message);
  const faults = headingFaults(columns, SIZE_COLUMNS, OPTIONAL, 'a table of sizes');
  if (faults.length > 0) return { rows: [], faults, items: [] };
  if (rows.length === 0) return refuse('(file)', 'holds no rows under its heading; add a row per size.');
  if (rows.length > MOST_ROWS) return refuse('(file)', `holds more than ${MOST_ROWS} rows; split it.`);
  for (const { row, message } of formFaults) faults.push({ row, field: '(row)', message });
  const onFile = new Map(store.records.all('certificate').map((one) => [one.number, one]));
  const changed = new Map<string, Certificate>();
  rows.forEach((cells, i) => {
    if (i % TOLD_EVERY === 0) told(i, rows.length);
    const before = changed.get(cells.certificate ?? '') ?? onFile.get(cells.certificate ?? '');
    if (!before) {
      const message = `"${cells.certificate ?? ''}" is not on file; type or import the certificate first.`;
      faults.push({ row: i + 1, field: 'certificate', message });
      return;
    }
    const read = readSize(cells, before, i + 1);
    if ('faults' in read) faults.push(...read.faults);
    else changed.set(before.number, withSize(before, read.size));
  });
  const preview: ImportPreview = { rows: [], faults, items: [] };
  let row = 0;
  for (const [number, { site: _site, rev: _rev, stamps: _stamps, ...record }] of changed) {
    const fault = faultOf(record);
    if (fault) faults.push(fault);
    else addItem(preview, ++row, number, { table: 'certificate', record }, onFile.get(number)!);
  }
  if (faults.length > 0) preview.items = [];
  return preview;
}

function faultOf(record: DossierFields['certificate']): FileFault | null {
  try {
    checkRecord('certificate', record, '');
    return null;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { row: null, field: `${record.number} ${error.field}`, message: error.message };
  }
}

function withSize(certificate: Certificate, size: GlandSize): Certificate {
  const { sizes } = certificate.sheet;
  const known = sizes.some((one) => one.size === size.size);
  const next = known ? sizes.map((one) => (one.size === size.size ? size : one)) : [...sizes, size];
  return { ...certificate, sheet: { ...certificate.sheet, sizes: next } };
}

/** A new size before anything is known of it. */
const UNKNOWN: GlandSize = {
  size: '', thread: null, maleLengthMm: null, runoutMm: null, washerMm: null, acrossMm: null, bodyLengthMm: null,
  outer: { rangeMm: null, ovalityPct: null, maxC: null, minC: null, coldFlow: null, shapes: [] },
  inner: null, clamp: [], backNut: null, armourLengthMm: null, innerProudMm: null, pot: null, sealDepthMm: null,
  mineral: null,
}; // prettier-ignore

/** A row as a size; what the row leaves blank is as it is on file, or not recorded. */
function readSize(
  cells: Cells,
  { sheet }: Certificate,
  row: number,
): { size: GlandSize } | { faults: FileFault[] } {
  const faults: FileFault[] = [];
  const own = sheet.sizes.find(({ size }) => size === cells.size) ?? UNKNOWN;
  const length = <T extends number | null>(field: string, fallback: T): number | T => {
    const text = cells[field] ?? '';
    if (text === '') return fallback;
    const read = readQuantity(text, 'length');
    if ('value' in read) return read.value;
    faults.push({ row, field, message: `"${text}" is no length; write it like 23.9 or 15/16 in.` });
    return fallback;
  };
  const range = (name: string, before: Range | null): Range => {
    const [low, high] = before ?? [NaN, NaN];
    const read: Range = [length(`${name}_from`, low), length(`${name}_to`, high)];
    if (!(read[0] < read[1])) {
      faults.push({
        row,
        field: `${name}_to`,
        message: `lies not above ${name}_from; the larger figure goes here.`,
      });
    }
    return read;
  };
  const given = (name: string) => Boolean(cells[`${name}_from`] || cells[`${name}_to`]);
  if (!cells.size) faults.push({ row, field: 'size', message: 'is empty; name the size.' });
  const size: GlandSize = {
    ...own,
    size: cells.size ?? '',
    thread: cells.thread || own.thread,
    maleLengthMm: length('male_length', own.maleLengthMm),
    runoutMm: length('run_out', own.runoutMm),
    washerMm: length('washer', own.washerMm),
    acrossMm: length('across', own.acrossMm),
    bodyLengthMm: length('body_length', own.bodyLengthMm),
    outer: { ...own.outer, rangeMm: given('outer') ? range('outer', own.outer.rangeMm) : own.outer.rangeMm },
    inner: given('inner')
      ? { ...(own.inner ?? UNKNOWN.outer), rangeMm: range('inner', own.inner?.rangeMm ?? null) }
      : own.inner,
    clamp: CLAMPED.flatMap((armour) => {
      const before = own.clamp.filter((face) => face.armour === armour);
      if (!given(armour)) return before;
      const [first = { face: 'both', armour, rangeMm: null }] = before;
      return [{ ...first, rangeMm: range(armour, first.rangeMm) }];
    }),
    armourLengthMm: given('armour') ? range('armour', own.armourLengthMm) : own.armourLengthMm,
    innerProudMm: cells.proud ? length('proud', 0) : own.innerProudMm,
    sealDepthMm: cells.seal_depth ? length('seal_depth', 0) : own.sealDepthMm,
  };
  return faults.length > 0 ? { faults } : { size };
}

/** Every size of a site's certificates as rows of that table. */
export const sizeRows = (certificates: readonly Certificate[]): Record<string, unknown>[] =>
  certificates.flatMap(({ number, sheet }) =>
    sheet.sizes.map((size) => ({
      certificate: number,
      size: size.size,
      thread: size.thread,
      male_length: size.maleLengthMm,
      run_out: size.runoutMm,
      washer: size.washerMm,
      across: size.acrossMm,
      body_length: size.bodyLengthMm,
      ...ends('outer', size.outer.rangeMm),
      ...ends('inner', size.inner?.rangeMm),
      ...Object.assign({}, ...size.clamp.map(({ armour, rangeMm }) => ends(armour, rangeMm))),
      ...ends('armour', size.armourLengthMm),
      proud: size.innerProudMm,
      seal_depth: size.sealDepthMm,
    })),
  );

const ends = (name: string, range: Range | null | undefined): Record<string, number> =>
  range ? { [`${name}_from`]: range[0], [`${name}_to`]: range[1] } : {};
