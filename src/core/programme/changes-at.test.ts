import { describe, expect, it } from 'vitest';
import { KIND_IDS } from '../record/kind-ids';
import type { Standing } from '../record/types';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { standingOf } from './standing';

const HOUR_MS = 3_600_000;
/** When the sound entries of these tests were read. */
const READ = Date.parse('2026-03-04T12:00:00.000Z');
const at = (hours: number): string => new Date(READ + hours * HOUR_MS).toISOString();

/** What lists show of a standing. */
const shown = ({ changes_at: _, ...rest }: Standing): string => JSON.stringify(rest);

describe('when time alone can alter where an entry stands', () => {
  it.each(KIND_IDS)('%s: never between a judgement and the moment that it names', (kind) => {
    // Bolts of a transit were said to be tightened later; whatever was recorded lies ahead of the earliest clock.
    const slice = recordsWith({ kind, ...(kind.startsWith('transit-') ? { looks: { 'bolts-again': 'not-yet' } } : {}) });
    let before = standingOf(slice, 'e', 's', at(-72))!;
    let altered = 0;
    for (let hours = -72; hours <= 400; hours += 0.5) {
      const now = standingOf(slice, 'e', 's', at(hours))!;
      if (shown(now) !== shown(before)) {
        altered++;
        expect(before.changes_at, `altered before ${at(hours)}`).not.toBeNull();
        expect(before.changes_at! <= at(hours), `${before.changes_at} is later than ${at(hours)}`).toBe(true);
      }
      before = now;
    }
    expect(altered).toBeGreaterThan(0);
    expect(before.changes_at).toBeNull();
  });

  it('is the end of the cure while compound cures, and nothing after it', () => {
    const slice = recordsWith({ kind: 'gland-barrier' });
    const [pour] = slice.all('pour');
    const packedAt = at(0);
    slice.write([{ table: 'pour', id: pour!.id, after: { ...pour!, mixedAt: packedAt, packedAt, lookedAt: null } }]);
    const curing = standingOf(slice, 'e', 's', at(0.1))!;
    expect(curing.changes_at! > at(0.1)).toBe(true);
    expect(standingOf(slice, 'e', 's', curing.changes_at!)!.changes_at).toBeNull();
  });
}); // prettier-ignore
