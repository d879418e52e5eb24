import { LATER } from '../core/record/completed';
import { FILE_TABLES } from '../core/record/tables';
import type { TableName } from '../core/record/types';
import { DOSSIER_SHAPES } from './dossier';
import type { Fragment } from './fragments';
import { schemaOf } from './schema';
import { STORED_SHAPES } from './stored';

const DRAFT = 'http://json-schema.org/draft-07/schema#';

/** Tables that the first files had already; those of later ones may be missing. */
const FIRST_TABLES: readonly TableName[] = [
  'area',
  'enclosure',
  'cable',
  'certificate',
  'instrument',
  'entry',
  'round',
  'reading',
  'look',
  'inspection',
  'defect',
];

const TIME: Fragment = { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}(T.+)?$' };

const JOURNAL: Fragment = {
  description: 'Where the journal stood; null in a file that was made elsewhere.',
  anyOf: [
    {
      type: 'object',
      additionalProperties: false,
      required: ['seq', 'hash'],
      properties: {
        seq: { type: 'integer', minimum: 0 },
        hash: { type: 'string', minLength: 1, maxLength: 64 },
      },
    },
    { type: 'null' },
  ],
};

const stored = (table: Exclude<TableName, 'change'>): Fragment =>
  schemaOf(STORED_SHAPES[table], LATER[table]);

/** The open format of one site. */
export function siteSchema(): Fragment {
  const lists = FILE_TABLES as readonly Exclude<TableName, 'change'>[];
  return {
    $schema: DRAFT,
    $id: 'yendral-site-1',
    title: 'One site with its dossier, readings, inspections and defects',
    description: 'Lengths in mm (positions in m), temperatures in °C, resistances in Ω, times in ISO 8601.',
    type: 'object',
    additionalProperties: false,
    required: ['format', 'exportedAt', 'journal', 'site', ...FIRST_TABLES],
    properties: {
      format: { const: 'yendral-site-1' },
      exportedAt: TIME,
      journal: JOURNAL,
      site: { $ref: '#/definitions/site' },
      ...Object.fromEntries(
        lists.map((table) => [table, { type: 'array', items: { $ref: `#/definitions/${table}` } }]),
      ),
    },
    definitions: Object.fromEntries((['site', ...lists] as const).map((table) => [table, stored(table)])),
  };
}

/** The open format of one certificate; it belongs to no site yet. */
export function certificateSchema(): Fragment {
  return {
    $schema: DRAFT,
    $id: 'yendral-certificate-1',
    title: 'Certificate with its assembly sheet',
    description: 'One entry-device certificate. Lengths in mm, temperatures in °C, resistances in Ω.',
    type: 'object',
    additionalProperties: false,
    required: ['format', 'certificate'],
    properties: {
      format: { const: 'yendral-certificate-1' },
      certificate: withoutId(schemaOf(DOSSIER_SHAPES.certificate, LATER.certificate)),
    },
  };
}

/** It gets its id where it is read. */
function withoutId(schema: Fragment): Fragment {
  const { id: _id, ...properties } = schema.properties as Record<string, Fragment>;
  const required = (schema.required as string[]).filter((field) => field !== 'id');
  return { ...schema, required, properties };
}
