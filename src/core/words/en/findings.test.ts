import { checkTitle } from './checks/index';
import { describe, expect, it } from 'vitest';
import type { Facts } from '../../record/finding';
import { RULES } from '../../rulebook/rules';
import { sentence, sentenceKeys, settleKeys, settling } from './findings';

const NUMBERS =
  /^ohm$|Mm$|Ohm$|C$|Mm2$|^(row|column|first|second|difference)$|^megohm$|Megohm$|^pairs$|^tests$|Pct$|Cm3$|Dm3$|lengthM$|halfTimeS$|Min$|^(readings|threads|requiredThreads|expectedThreads|turns|factor|probability|count|reducers|cores|most|number|division|value|low|high|uncertainty|excess|sides|lines|names|wanted|have|relaxH)$/;

/** Facts that every sentence finds what it needs in. */
const FACTS: Facts = new Proxy(
  {},
  {
    get: (_target, name: string) => {
      if (name === 'expectedOhm') return 0.012;
      if (
        /^(until|on|expires|mixedAt|packedAt|lookAt|lookedAt|lastSealed|at|issued|sealedAt|due)$/.test(name)
      )
        return '2026-03-04T10:00:00Z';
      if (name === 'reason') return 'every-termination';
      if (name === 'unit') return 'mm';
      if (name === 'missing') return 'filling, group';
      if (NUMBERS.test(name)) return 1.5;
      return 'Something';
    },
  },
);

describe('every sentence', () => {
  it.each(sentenceKeys())('%s is one or two sentences with nothing missing in it', (key) => {
    const text = sentence({ key, facts: FACTS });
    expect(text).toMatch(/^[A-Z0-9“"].*\.$/s);
    expect(text).not.toMatch(/undefined|NaN|null|\[object|Infinity/);
    expect(text).not.toContain('!');
    expect(text.length).toBeLessThan(320);
  });

  it.each(
    sentenceKeys().filter((key) => /above|below|oval$|too-|short$|over$|far$|differs?$|marginal/.test(key)),
  )('%s, about a limit, names a number with its unit', (key) => {
    expect(sentence({ key, facts: FACTS })).toMatch(/\d (mm|mΩ|Ω|°C|%)|IP|threads|Something/);
  });

  it('an unknown key is a fault of the house, not an empty sentence', () => {
    expect(() => sentence({ key: 'nothing', facts: {} })).toThrow('No sentence for nothing');
  });
});

describe('what would settle a question', () => {
  it.each(settleKeys())('%s says what to do', (settle) =>
    expect(settling({ settle })).toMatch(/^[A-Z].*\.$/),
  );
  it('is nothing where nothing is open', () => expect(settling({ settle: null })).toBe(''));
});

it('every rule has a title, a grade and a consequence of its own', () => {
  for (const { id, grade, hazard } of RULES) {
    const title = checkTitle(id);
    expect(id).toMatch(/^[EMRST]-\d\d[ab]?$/);
    expect(title.length).toBeGreaterThan(3);
    expect(['visual', 'close', 'detailed']).toContain(grade);
    expect(['explosion', 'shock', 'record']).toContain(hazard);
  }
});
