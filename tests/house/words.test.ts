import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { InputError, type InputKey } from '../../src/core/quantity/error';
import { Refusal, type RefusalKey } from '../../src/core/commands/commands';
import { sentenceKeys, settleKeys } from '../../src/core/words/en/findings';
import { inputSentence } from '../../src/core/words/en/inputs';
import { refusalSentence } from '../../src/core/words/en/refusals';
import { BLANKS, OF_PLUG } from '../../src/core/words/en/sentences/terms';

const WORDS = 'src/core/words';

/** Every text of the program itself but its words and tests. */
function programText(folder: string): string {
  if (folder === WORDS) return '';
  return readdirSync(folder, { withFileTypes: true })
    .map((one) => {
      const path = join(folder, one.name);
      if (one.isDirectory()) return programText(path);
      return /\.tsx?$/.test(one.name) && !one.name.includes('.test.') ? readFileSync(path, 'utf8') : '';
    })
    .join('\n');
}
const program = programText('src');

/** Whether both parts of a key stand in the program, which joins them. */
const isJoined = (key: string): boolean => key.split('.').every((part) => program.includes(`'${part}'`));

/** Keys of a table of words, as they stand in its file. */
const keysIn = (file: string): string[] =>
  [...readFileSync(join(WORDS, 'en', file), 'utf8').matchAll(/^ {2}'?([a-z]+(?:[.-][a-z-]+)*)'?:/gm)].map(([, key]) => key!); // prettier-ignore

describe('every word is used', () => {
  it.each([...keysIn('refusals.ts'), ...keysIn('inputs.ts')])('%s', (key) => {
    expect(program).toContain(`'${key}'`);
  });

  it.each([...sentenceKeys(), ...settleKeys()])('%s', (key) => {
    // Some keys are put together: one part stands before or behind what is put in.
    const put = [...key.matchAll(/[.-]/g)].map(({ index }) => `\`${key.slice(0, index! + 1)}\${`);
    const tails = [...key.matchAll(/\./g)].map(({ index }) => `}${key.slice(index!)}\``);
    expect([`'${key}'`, ...put, ...tails].some((text) => program.includes(text)) || isJoined(key)).toBe(true);
  });
});

describe('what is not recorded', () => {
  const checks = programText('src/core/rulebook');
  const named = (call: RegExp) => [...new Set([...checks.matchAll(call)].map(([, key]) => key!))].sort();

  it('has a word for every blank, and no word too many', () => {
    const seals = ['inner-seal', 'outer-seal'].flatMap((seal) => [
      `${seal}-cold-flow`,
      `${seal}-temperature`,
    ]);
    expect([...named(/\bblank\('([a-z-]+)'/g), ...seals].sort()).toEqual(Object.keys(BLANKS).sort());
  });

  it('has a word for everything that is not known of a plug', () => {
    const plugs = named(/missing\(context, plug, '([a-z-]+)'/g).filter((key) => key !== 'plug-table-thread');
    expect(plugs).toEqual(Object.keys(OF_PLUG).sort());
  });
});

describe('what was refused', () => {
  const said = (key: RefusalKey, facts: Refusal['facts'] = {}, because: Refusal | null = null) =>
    refusalSentence(new Refusal('invalid', '', key, facts, because));

  it('is told with its facts', () => {
    expect(said('record.none', { table: 'pour' })).toBe('There is no compound fill with this id on this site. Choose another compound fill.'); // prettier-ignore
    expect(said('record.used', { table: 'area', users: [{ table: 'enclosure', count: 2 }, { table: 'round', count: 1 }] })).toBe('This area is used by 2 enclosures, 1 round. Remove or change them first.'); // prettier-ignore
    expect(said('name.area', { name: 'North', substances: '' })).toBe('There is an area "North" already. Choose another name, or change that one.'); // prettier-ignore
    expect(said('name.enclosure', { tag: 'JB-1', what: 'box', area: null })).toContain(
      'box, in another area.',
    );
    expect(said('opening.once', { labels: '' })).toContain('none; record the frame first.');
  });

  it('is told with what stands behind it', () => {
    const twin = new Refusal('exists', 'tag', 'name.entry', { tag: 'JB-1', label: 'A' });
    expect(said('undo.gone', {}, twin)).toBe('This cannot be undone any more. JB-1 has an entry "A" already. Choose another label, or change that one.'); // prettier-ignore
  });

  it('leaves no fact unsaid: no sentence speaks of "undefined"', () => {
    const thrown = [...program.matchAll(/'([a-z]+\.[a-z-]+)',\s*(\{[^}]*\})/g)];
    const keys = new Set(keysIn('refusals.ts'));
    const given = thrown.filter(([, key]) => keys.has(key!));
    expect(given.length).toBeGreaterThan(15);
    for (const [, key, facts] of given) {
      const names = [...facts!.matchAll(/(\w+)(?=[:,\s}])/g)].map(([name]) => name);
      const value = (name: string) => (name === 'users' ? [] : name === 'table' ? 'entry' : 'X');
      const sentence = said(key as RefusalKey, Object.fromEntries(names.map((name) => [name, value(name)])));
      expect(sentence, key).not.toContain('undefined');
    }
  });
});

describe('a wrong input', () => {
  const said = (key: InputKey, facts = {}) => inputSentence(new InputError('f', key, facts));

  it('is told with its facts', () => {
    expect(said('number.finite', { field: 'x_mm' })).toBe('x_mm must be a finite number');
    expect(said('earth.k', { material: 'copper', least: 1, most: 2 })).toBe('For copper, k must lie within 1 to 2.'); // prettier-ignore
  });

  it('keeps the sentence that a finding was sealed with before there were keys', () => {
    expect(inputSentence({ key: 'The cable does not go through.' as InputKey, facts: {} })).toBe('The cable does not go through.'); // prettier-ignore
  });
});
