import { expect } from 'vitest';
import { openDoor } from '../../src/server/doors/door';

/** Equal to 1e-9·max(1, |value|), at any depth. */
export function expectClose(found: unknown, wanted: unknown, path = ''): void {
  if (typeof wanted === 'number') {
    expect(typeof found, path).toBe('number');
    expect(Math.abs((found as number) - wanted), path).toBeLessThanOrEqual(
      1e-9 * Math.max(1, Math.abs(wanted)),
    );
    return;
  }
  if (wanted === null || typeof wanted !== 'object') return expect(found, path).toBe(wanted);
  expect(Object.keys(found as object), path).toEqual(Object.keys(wanted));
  for (const [key, value] of Object.entries(wanted)) {
    expectClose((found as Record<string, unknown>)[key], value, `${path}.${key}`);
  }
}

/** The outputs that are looked into. */
interface Output {
  verdict: 'inside' | 'marginal' | 'below' | 'above';
  min_mm: number;
  max_mm: number;
  probability: number;
  decidable: boolean;
  required_depth_mm: number | null;
}

export const output = (name: string, input: unknown) => {
  const answer = openDoor(name, input);
  if ('error' in answer) throw new Error(`${answer.error.field}: ${answer.error.message}`);
  return answer.output as Output;
};
export const field = (name: string, input: unknown) => {
  const answer = openDoor(name, input);
  return 'error' in answer ? answer.error.field : 'no error';
};
