import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { PUBLISHED } from '../../src/server/files/schema';

it.each(Object.entries(PUBLISHED))(
  'the published schema of a %s is the one of the shapes',
  (name, schema) => {
    expect(readFileSync(`docs/schemas/${name}.schema.json`, 'utf8')).toBe(schema());
  },
);
