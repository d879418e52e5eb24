import { describe, expect, it } from 'vitest';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import type { InsulationTest } from '../../core/record/types';
import { testsOf } from './tests-of';
import { ACTION_WORDS, megohmWords, STAGE_WORDS, VERDICT_GLYPH, VERDICT_WORDS } from './insulation-words';

describe('a resistance', () => {
  it.each([
    [1000, true, '> 1000 MΩ'],
    [820, false, '820 MΩ'],
    [100, false, '100 MΩ'],
    [45.26, false, '45.3 MΩ'],
    [1, false, '1.0 MΩ'],
    [0.35, false, '350 kΩ'],
    [0.08, false, '80 kΩ'],
    [0.0042, false, '4.2 kΩ'],
  ])('%f is said as %s %s', (megohm, saturated, words) => expect(megohmWords(megohm, saturated)).toBe(words));
});

describe('words of a test', () => {
  it('say for each action what to do, and mark each verdict with its own glyph or word', () => {
    for (const words of Object.values(ACTION_WORDS)) expect(words).toMatch(/^[A-Z].*\.$/);
    expect(new Set(Object.values(VERDICT_WORDS)).size).toBe(Object.keys(VERDICT_GLYPH).length);
    expect(Object.values(STAGE_WORDS)).toHaveLength(3);
  });
});

describe('tests of a cable', () => {
  it('come oldest first, those of one moment in the order of their making', () => {
    const slice = recordsWith();
    const test = (id: string, at: string, cable = 'k') =>
      ({ id, site: 's', cable, at, readings: [] }) as unknown as InsulationTest;
    for (const after of [
      test('c', '2026-02-01'),
      test('b', '2026-01-01'),
      test('a', '2026-02-01'),
      test('d', '2025-01-01', 'k2'),
    ])
      slice.write([{ table: 'insulation', id: after.id, after }]);
    expect(testsOf(slice, 'k').map(({ id }) => id)).toEqual(['b', 'a', 'c']);
  });
});
