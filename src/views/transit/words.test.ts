import { describe, expect, it } from 'vitest';
import { dossierWith, SOUND_TRANSIT, type Change } from '../../core/rulebook/sound-entry.test.data';
import type { BlockState } from '../../core/rulebook/transit-found';
import { blockWords, neighbourWords, verdictFor } from './words';

const blocks = (change: Change = {}) =>
  dossierWith({ kind: 'transit-block-bonded', ...change }).transit!.openings[0]!.blocks;
const as = (block: BlockState, widthMm: number): BlockState => ({
  ...block,
  widthMm,
  sheet: SOUND_TRANSIT.blocks.find(({ sizeMm }) => sizeMm === widthMm) ?? null,
});

describe('a block in words', () => {
  it('says its size, its cable and the layers of both sides', () =>
    expect(blockWords(blocks()[0]!)).toBe('block 30 mm, cable P-1, layers 5 + 5; 4 + 3'));
  it('says what is wrong on which side', () => {
    const packed: Change['packed'] = (o) => ({ ...o, rows: o.rows.map((row) => ({ ...row, columns: row.columns.map((c) => ({ ...c, blocks: c.blocks.map((b) => (b.cable ? { ...b, armour: { ...b.armour!, layers: [6, 1] as [number, number] } } : b)) })) })) }); // prettier-ignore
    expect(blockWords(blocks({ packed })[0]!)).toContain(
      'armour side: the halves differ too much, armour side: the layer that must stay is gone',
    );
  });
  it('says whether a spare has its core', () => {
    const spare = blocks()[1]!;
    const core = (value: boolean | null) => blockWords({ ...spare, block: { ...spare.block, core: value } });
    expect([core(true), core(false), core(null)]).toEqual([
      'block 30 mm, spare',
      'block 30 mm, spare, core missing',
      'block 30 mm, spare, core not looked at',
    ]);
  });
});

describe('a cable over another block', () => {
  const [held, spare] = blocks();
  it('fits, with the layers that both sides ask for', () => {
    const verdict = verdictFor(held, spare, SOUND_TRANSIT)!;
    expect(verdict).toEqual({
      good: true,
      words: 'P-1 fits a block of 30 mm: 5 + 5 layers, gap 0.6 mm; armour side 4 + 3 layers, gap 0.6 mm.',
    });
  });
  it('is too thin, or has no line on the sheet', () => {
    expect(verdictFor(held, as(spare!, 60), SOUND_TRANSIT)).toMatchObject({ good: false, words: expect.stringContaining('too thin') as string }); // prettier-ignore
    expect(verdictFor(held, as(spare!, 45), SOUND_TRANSIT)!.words).toContain('no block of 45 mm');
    const packed: Change['packed'] = (o) => ({ ...o, rows: o.rows.map((row) => ({ ...row, columns: row.columns.map((c) => ({ ...c, blocks: c.blocks.map((b) => ({ ...b, jacket: { ...b.jacket, readingsMm: b.jacket.readingsMm.map((mm) => mm + 12) } })) })) })) }); // prettier-ignore
    const thick = blocks({ packed })[0];
    expect(verdictFor(thick, spare, SOUND_TRANSIT)!.words).toContain('too thick');
  });
  it('finds no number of layers where the sheet leaves none', () => {
    const narrow = { ...SOUND_TRANSIT, gapMm: [0.2, 0.3] as [number, number] };
    expect(verdictFor(held, spare, narrow)!.words).toContain('No number of layers');
  });
  it('changes places with the cable that lies there, if both fit', () => {
    expect(verdictFor(held, held, SOUND_TRANSIT)!.words).toContain('In exchange: P-1 fits');
    expect(verdictFor(spare, held, SOUND_TRANSIT)).toBeNull();
    expect(verdictFor(held, undefined, SOUND_TRANSIT)).toBeNull();
  });
});

describe('a block that finds no number of layers', () => {
  const cable = (mm: number) => ({ minMm: mm, maxMm: mm, meanMm: mm, expandedUncertaintyMm: 0 });
  it('names the neighbour that would do, or says that none would', () => {
    expect(neighbourWords(SOUND_TRANSIT, 30, cable(40.6))).toBe('one of 60 mm would do.');
    expect(neighbourWords(SOUND_TRANSIT, 60, cable(20.7))).toBe('one of 30 mm would do.');
    expect(neighbourWords(SOUND_TRANSIT, 60, cable(80))).toBe('nor would the next smaller or larger one.');
  });
});
