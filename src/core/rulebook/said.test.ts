import { describe, expect, it } from 'vitest';
import { KIND_IDS } from '../record/kind-ids';
import type { Aspect } from '../record/finding';
import { GRADES, type Grade } from '../record/types';
import { sentence, sentenceKeys, settleKeys, settling } from '../words/en/findings';
import type { Dossier } from './dossier';
import { contextOf } from './judge';
import { judgeLook } from './look';
import { rulesOf } from './rules';
import { CASES } from './rulebook.cases.test.data';
import { SAID, SAID_AT } from './said.test.data';
import { dossierWith } from './sound-entry.test.data';

/** Said from the history of an entry, over its checks: standing.test.ts has its cases. */
const ELSEWHERE = ['old.failed'];

const saidOf = (dossier: Dossier, grade: Grade, at: string): Aspect[] =>
  rulesOf(dossier.entry.kind).flatMap((rule) => rule.run(contextOf(dossier, grade, at)));

/** The sound dossier with something that a single change cannot say. */
function dossiersBeside(): Dossier[] {
  const sound = dossierWith();
  const { sheet } = sound.certificate!;
  const twice = { ...sound.certificate!, sheet: { ...sheet, sizes: [...sheet.sizes, sound.size!] } };
  const end = { label: 'B', tag: 'JB-2', area: 'elsewhere' };
  return [
    { ...sound, certificate: twice },
    { ...sound, lastSealed: '2026-01-02T10:00:00.000Z' },
    { ...sound, broken: [{ table: 'asleft', id: 'al', by: 'A. Vell', at: '2026-01-02T10:00:00.000Z' }] },
    {
      ...dossierWith({ looks: { 'armour-seated': null } }),
      skipped: new Map([['armour-seated', { by: 'A. Vell', reason: 'no light' }]]),
    },
    { ...dossierWith({ looks: { 'inside-cable': 'same-area' } }), otherEnds: [end, { ...end, label: 'C' }] },
  ];
}

describe('every sentence', () => {
  it.each(SAID)('%s is said', (key, change, at) => {
    const said = saidOf(dossierWith(change), 'detailed', at ?? SAID_AT);
    const aspect = said.find((one) => one.key === key);
    expect(aspect, said.map((one) => one.key).join(', ')).toBeDefined();
    expect(sentence(aspect!)).toMatch(/^[A-Z0-9“"].*\.$/s);
    expect(sentence(aspect!)).not.toMatch(/undefined|NaN|null/);
  });

  it('of a look that the kind does not have says so', () => {
    const aspect = judgeLook(contextOf(dossierWith(), 'detailed', ''), 'nothing');
    expect(aspect).toMatchObject({ outcome: 'unread', key: 'look.unknown' });
    expect(sentence(aspect)).toContain('does not belong to this kind');
  });

  it('is reached by a case, and what would settle it too', () => {
    const reached = new Set(['look.unknown', ...ELSEWHERE]);
    const settles = new Set<string>();
    const take = (dossier: Dossier, at: string) => {
      for (const grade of GRADES)
        for (const { key, settle } of saidOf(dossier, grade, at)) {
          reached.add(key);
          if (settle !== null) settles.add(settle);
        }
    };
    for (const [, , , change] of CASES)
      for (const at of ['', SAID_AT, '2026-03-04T08:00:00Z']) take(dossierWith(change), at);
    for (const kind of KIND_IDS) take(dossierWith({ kind }), SAID_AT);
    for (const [, change, at] of SAID) take(dossierWith(change), at ?? SAID_AT);
    for (const dossier of dossiersBeside()) take(dossier, SAID_AT);
    expect(sentenceKeys().filter((key) => !reached.has(key))).toEqual([]);
    expect(settleKeys().filter((key) => !settles.has(key))).toEqual([]);
    for (const settle of settles) expect(settling({ settle })).toMatch(/\.$/);
  });
});
