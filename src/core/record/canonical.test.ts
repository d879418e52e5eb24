import canonicalize from 'canonicalize';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonical } from './canonical';

/** What a way of writing gives, or that it refuses. */
const of = (write: (value: unknown) => string | undefined, value: unknown): string | undefined => {
  try {
    return write(value);
  } catch {
    return 'refused';
  }
};

describe('canonical JSON', () => {
  it('is what the package writes, for any value', () => {
    const text = fc.string({ unit: fc.constantFrom('a', '9', '10', '\\', 'u', 'd8', '"', 'é', '\ud83d', '\ude00', '\u2028', '\n'), maxLength: 4 });
    const value = fc.letrec((tie) => ({
      any: fc.oneof({ depthSize: 'small' }, text, fc.double(), fc.integer(), fc.boolean(), fc.constantFrom(null, undefined, -0, 1e21), fc.array(tie('any')), fc.dictionary(fc.oneof(text, fc.constantFrom('__proto__', '2', '10', 'b', 'a')), tie('any')), fc.constant(new Date(0))),
    })).any;
    fc.assert(fc.property(value, (one) => { expect(of(canonical, one)).toBe(of(canonicalize, one)); }), { numRuns: 3000, seed: 8785 });
  });

  it('refuses what lies inside itself', () => {
    const one: { self?: unknown } = {};
    one.self = one;
    expect(() => canonical(one)).toThrow();
  });
}); // prettier-ignore
