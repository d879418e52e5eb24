import { ulid } from 'ulid';
import { InputError } from '../../core/quantity/error';
import { readQuantity, type QuantityId } from '../../core/quantity/quantity';
import type { DossierFields } from '../../core/commands/commands';
import { completed } from '../../core/record/completed';
import { ARMOUR_TYPES, type ArmourType, type CableShape, type Id } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';
import { checkRecord } from '../../shapes/parse';
import { fromCsv, headingFaults, MOST_ROWS } from './csv';
import { addItem, refuse, TOLD_EVERY, type ImportPreview, type Told } from './import-preview';
import { previewSizes } from './import-sizes';
import { schemaFaults, type FileFault } from './schema';

export const IMPORT_KINDS = ['cables', 'certificate', 'sizes'] as const;
export type ImportKind = (typeof IMPORT_KINDS)[number];

/** Columns of a cable schedule; those with a star may be left out. */
const CABLE_COLUMNS = [
  'tag', 'from', 'to', 'length_m', 'cores', 'core_area_mm2', 'core_diameter', 'shape', 'cold_flow', 'inner',
  'armour', 'armour_size', 'armour_material', 'armour_area_mm2', 'sheath', 'outer', 'tolerance', 'max_c',
  'filling',
] as const; // prettier-ignore
const OPTIONAL = new Set([
  'from',
  'to',
  'shape',
  'cold_flow',
  'armour_material',
  'armour_area_mm2',
  'tolerance',
  'filling',
]);

/** What the other columns with a unit measure. */
const NUMBER_FIELDS: Record<string, QuantityId> = { length_m: 'distance', max_c: 'temperature' };

/** Field of the cable's record that each column of lengths fills. */
const LENGTH_FIELDS: Record<string, string> = {
  core_diameter: 'cores.0.diameterMm',
  inner: 'innerMm',
  armour_size: 'armour.sizeMm',
  sheath: 'sheathMm',
  outer: 'outerMm',
  tolerance: 'toleranceMm',
};

const PREVIEWS: Record<ImportKind, (store: SiteStore, text: string, told: Told) => ImportPreview> = {
  cables: previewCables,
  certificate: previewCertificate,
  sizes: previewSizes,
};

/** What a file would add and change on a site. Nothing is written. */
export function previewImport(
  store: SiteStore,
  kind: ImportKind,
  text: string,
  told: Told = () => undefined,
): ImportPreview {
  return PREVIEWS[kind](store, text, told);
}

function previewCables(store: SiteStore, text: string, told: Told): ImportPreview {
  const { columns, rows, faults: formFaults } = fromCsv(text);
  const unread = formFaults.find(({ row }) => row === null);
  if (unread) return refuse('(file)', unread.message);
  const faults = headingFaults(columns, CABLE_COLUMNS, OPTIONAL, 'a cable schedule');
  if (faults.length > 0) return { rows: [], faults, items: [] };
  if (rows.length === 0) return refuse('(file)', 'holds no rows under its heading; add a row per cable.');
  if (rows.length > MOST_ROWS) return refuse('(file)', `holds more than ${MOST_ROWS} rows; split it.`);
  for (const { row, message } of formFaults) faults.push({ row, field: '(row)', message });

  const byTag = new Map(store.records.by('cable', 'site', store.id).map((cable) => [cable.tag, cable]));
  const seen = new Map<string, number>();
  const preview: ImportPreview = { rows: [], faults, items: [] };
  rows.forEach((cells, i) => {
    if (i % TOLD_EVERY === 0) told(i, rows.length);
    const row = i + 1;
    const twin = seen.get(cells.tag ?? '');
    if (cells.tag && twin !== undefined) {
      faults.push({
        row,
        field: 'tag',
        message: `${cells.tag} stands in row ${twin} already; keep one of them.`,
      });
      return;
    }
    seen.set(cells.tag ?? '', row);
    const before = byTag.get(cells.tag ?? '') ?? null;
    const read = readCable(cells, before?.id ?? ulid(), row);
    if ('faults' in read) faults.push(...read.faults);
    else addItem(preview, row, read.cable.tag, { table: 'cable', record: read.cable }, before);
  });
  if (faults.length > 0) preview.items = [];
  return preview;
}

/** The cells of one row, read as values; what cannot be read becomes a fault of its column. */
class Cells {
  readonly faults: FileFault[] = [];
  /** Lengths as they were written, by the field of the record. */
  readonly typed: Record<string, string> = {};

  constructor(
    private readonly cells: Record<string, string>,
    private readonly row: number,
  ) {}

  text(field: string): string {
    return this.cells[field] ?? '';
  }

  fault(field: string, message: string): number {
    this.faults.push({ row: this.row, field, message });
    return NaN;
  }

  length(field: string): number {
    const read = readQuantity(this.text(field), 'length');
    if (!('value' in read))
      return this.fault(field, `"${this.text(field)}" is no length; write it like 23.9 or 15/16 in.`);
    if (read.typed !== String(read.value)) this.typed[LENGTH_FIELDS[field]!] = read.typed;
    return read.value;
  }

  number(field: string): number {
    const read = readQuantity(this.text(field), NUMBER_FIELDS[field] ?? 'number');
    return 'value' in read ? read.value : this.fault(field, `"${this.text(field)}" is no number.`);
  }
}

function readCable(
  row: Record<string, string>,
  id: Id,
  number: number,
): { cable: DossierFields['cable'] } | { faults: FileFault[] } {
  const cells = new Cells(row, number);
  const cable: DossierFields['cable'] = {
    ...NOT_ON_SCHEDULES,
    armour: armourOf(cells),
    id,
    tag: cells.text('tag'),
    from: cells.text('from'),
    to: cells.text('to'),
    lengthM: cells.number('length_m'),
    cores: [
      {
        count: cells.number('cores'),
        areaMm2: cells.number('core_area_mm2'),
        diameterMm: cells.length('core_diameter'),
      },
    ],
    shape: (cells.text('shape') || 'round').toLowerCase() as CableShape,
    coldFlow: /^(yes|true|1)$/i.test(cells.text('cold_flow')),
    innerMm: cells.length('inner'),
    sheathMm: cells.length('sheath'),
    outerMm: cells.length('outer'),
    toleranceMm: cells.text('tolerance') ? cells.length('tolerance') : USUAL_TOLERANCE_MM,
    maxC: cells.number('max_c'),
    filling: fillingOf(cells.text('filling')),
  };
  if (Object.keys(cells.typed).length > 0) cable.typed = cells.typed;
  if (cells.faults.length > 0) return { faults: cells.faults };
  try {
    checkRecord('cable', cable, '');
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { faults: [{ row: number, field: error.field, message: error.message }] };
  }
  return { cable };
}

/** What a schedule without a tolerance is taken to mean, mm. Chosen: what cable makers usually promise. */
const USUAL_TOLERANCE_MM = 0.5;

/** What no schedule says. One that says "none" for the armour is a claim on paper: somebody still has to look. */
const NOT_ON_SCHEDULES = { unarmoured: null, breathing: null, mineral: null, minC: null, screened: null };

/** The armour of a row: "none" leaves it open. */
function armourOf(cells: Cells): DossierFields['cable']['armour'] {
  const type = cells.text('armour').toLowerCase();
  if (![...ARMOUR_TYPES, 'none'].includes(type)) {
    cells.fault('armour', `"${cells.text('armour')}" must be ${ARMOUR_TYPES.join(', ')} or none.`);
  }
  if (type === 'none') return null;
  return {
    type: type as ArmourType,
    sizeMm: cells.length('armour_size'),
    material: (cells.text('armour_material') || 'steel') as 'steel',
    areaMm2: cells.text('armour_area_mm2') ? cells.number('armour_area_mm2') : null,
  };
}

/** A blank leaves it open: nothing is taken as filled that nobody called so. */
function fillingOf(text: string): DossierFields['cable']['filling'] {
  if (/^(filled|yes)$/i.test(text.trim())) return 'filled';
  return /^(not[- ]filled|no)$/i.test(text.trim()) ? 'not-filled' : null;
}

function previewCertificate(store: SiteStore, text: string): ImportPreview {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return refuse('(file)', 'is not JSON; choose a certificate file in the published format.');
  }
  const faults = schemaFaults('certificate', value);
  if (faults.length > 0) return { rows: [], faults, items: [] };
  const { certificate } = value as { certificate: Omit<DossierFields['certificate'], 'id'> };
  const before =
    store.records.by('certificate', 'site', store.id).find(({ number }) => number === certificate.number) ??
    null;
  const record = completed('certificate', { id: before?.id ?? ulid(), ...certificate });
  try {
    checkRecord('certificate', record, 'certificate.');
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return refuse(error.field, error.message);
  }
  const preview: ImportPreview = { rows: [], faults: [], items: [] };
  addItem(preview, 1, certificate.number, { table: 'certificate', record }, before);
  return preview;
}
