import { describe, expect, it } from 'vitest';
import { readConcepts } from './concept';

describe('protection as it is read off a plate', () => {
  it.each([
    ['Ex d', ['d']],
    ['d/e', ['d', 'e']],
    ['db eb', ['db', 'eb']],
    ['Ex db, eb', ['db', 'eb']],
    ['EEx d', ['d']],
    ['EExde', ['d', 'e']],
    ['Exd', ['d']],
    ['ex DB', ['db']],
    ['Ex nR', ['nR']],
    ['tD A21', ['tD A21']],
    ['[ia]', ['[ia]']],
    ['db [ia] db', ['db', '[ia]']],
    ['', []],
    ['Ex', []],
  ])('%j is %j', (text, concepts) => expect(readConcepts(text)).toEqual({ concepts }));

  it.each([
    ['Ex db IIC', 'IIC'],
    ['x', 'x'],
    ['d e f', 'f'],
  ])('%j: %j is none', (text, unknown) => expect(readConcepts(text)).toEqual({ unknown }));
});
