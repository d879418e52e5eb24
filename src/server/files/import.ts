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

/** Field of the cable's record that each column of lengths fills. */
/** What the other columns with a unit measure. */
const NUMBER_FIELDS: Record<string, QuantityId> = { length_m: 'distance', max_c: 'temperature' };

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

function readCable(
  cells: Record<string, string>,
  id: Id,
  row: number,
): { cable: DossierFields['cable'] } | { faults: FileFault[] } {
  const faults: FileFault[] = [];
  const typed: Record<string, string> = {};
  const fault = (field: string, message: string) => {
    faults.push({ row, field, message });
    return NaN;
  };
  const length = (field: string): number => {
    const read = readQuantity(cells[field] ?? '', 'length');
    if ('value' in read) {
      if (read.typed !== String(read.value)) typed[LENGTH_FIELDS[field]!] = read.typed;
      return read.value;
    }
    return fault(field, `"${cells[field] ?? ''}" is no length; write it like 23.9 or 15/16 in.`);
  };
  const number = (field: string): number => {
    const read = readQuantity(cells[field] ?? '', NUMBER_FIELDS[field] ?? 'number');
    return 'value' in read ? read.value : fault(field, `"${cells[field] ?? ''}" is no number.`);
  };
  const armourType = (cells.armour ?? '').toLowerCase();
  if (![...ARMOUR_TYPES, 'none'].includes(armourType)) {
    fault('armour', `"${cells.armour ?? ''}" must be ${ARMOUR_TYPES.join(', ')} or none.`);
  }
  const armoured = armourType !== 'none';
  const cable: DossierFields['cable'] = {
    id,
    tag: cells.tag ?? '',
    from: cells.from ?? '',
    to: cells.to ?? '',
    lengthM: number('length_m'),
    cores: [
      { count: number('cores'), areaMm2: number('core_area_mm2'), diameterMm: length('core_diameter') },
    ],
    shape: (cells.shape || 'round').toLowerCase() as CableShape,
    coldFlow: /^(yes|true|1)$/i.test(cells.cold_flow ?? ''),
    innerMm: length('inner'),
    armour: armoured
      ? {
          type: armourType as ArmourType,
          sizeMm: length('armour_size'),
          material: (cells.armour_material || 'steel') as 'steel',
          areaMm2: cells.armour_area_mm2 ? number('armour_area_mm2') : null,
        }
      : null,
    // A schedule that says "none" is a claim on paper; somebody still has to look and confirm it.
    unarmoured: null,
    sheathMm: length('sheath'),
    outerMm: length('outer'),
    toleranceMm: cells.tolerance ? length('tolerance') : 0.5,
    maxC: number('max_c'),
    filling: fillingOf(cells.filling ?? ''),
    breathing: null,
    mineral: null,
    minC: null,
    screened: null,
  };
  if (Object.keys(typed).length > 0) cable.typed = typed;
  if (faults.length > 0) return { faults };
  try {
    checkRecord('cable', cable, '');
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { faults: [{ row, field: error.field, message: error.message }] };
  }
  return { cable };
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
