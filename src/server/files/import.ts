import { ulid } from 'ulid';
import { InputError } from '../../core/quantity/error';
import type { DossierFields } from '../../core/commands/commands';
import { completed } from '../../core/record/completed';
import type { SiteStore } from '../../store/site-store';
import { checkRecord } from '../../shapes/parse';
import { addItem, refuse, type ImportPreview, type Told } from './import-preview';
import { previewSizes } from './import-sizes';
import { schemaFaults } from './schema';

export const IMPORT_KINDS = ['certificate', 'sizes'] as const;
export type ImportKind = (typeof IMPORT_KINDS)[number];

const PREVIEWS: Record<ImportKind, (store: SiteStore, text: string, told: Told) => ImportPreview> = {
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
