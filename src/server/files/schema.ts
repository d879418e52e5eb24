import { Ajv, type ErrorObject } from 'ajv';
import { certificateSchema, siteSchema } from '../../shapes/published';

const ajv = new Ajv({ allErrors: true, strict: false });
const SCHEMAS = { certificate: ajv.compile(certificateSchema()), site: ajv.compile(siteSchema()) };

/** The published formats by name, as the text of their files in `docs/schemas`. */
export const PUBLISHED = {
  certificate: (): string => textOf(certificateSchema()),
  site: (): string => textOf(siteSchema()),
};

const textOf = (schema: object): string => `${JSON.stringify(schema, null, 2)}\n`;

/** What is wrong in a file: where, and what to do about it. */
export interface FileFault {
  /** Row of a table (from 1, the heading not counted) or null. */
  row: number | null;
  /** Column or dotted path. */
  field: string;
  message: string;
}

/** Faults of a JSON value against a published schema, at most twenty; empty when it holds. */
export function schemaFaults(name: keyof typeof SCHEMAS, value: unknown): FileFault[] {
  const validate = SCHEMAS[name];
  if (validate(value)) return [];
  return (validate.errors ?? []).slice(0, 20).map(faultOf);
}

function faultOf({ instancePath, message, params, keyword }: ErrorObject): FileFault {
  const path = instancePath.slice(1).replaceAll('/', '.');
  const extra = params as {
    additionalProperty?: string;
    missingProperty?: string;
    allowedValues?: unknown[];
  };
  if (keyword === 'additionalProperties') {
    return {
      row: null,
      field: join(path, extra.additionalProperty!),
      message: 'is not a known field; take it out.',
    };
  }
  if (keyword === 'required') {
    return { row: null, field: join(path, extra.missingProperty!), message: 'is missing; add it.' };
  }
  if (keyword === 'enum') {
    return { row: null, field: path, message: `must be one of: ${(extra.allowedValues ?? []).join(', ')}.` };
  }
  return { row: null, field: path || '(file)', message: `${message ?? 'is not right'}.` };
}

const join = (path: string, field: string) => (path ? `${path}.${field}` : field);
