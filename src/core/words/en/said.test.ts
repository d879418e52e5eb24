import { describe, expect, it } from 'vitest';
import { apply } from '../../commands/apply';
import type { AnyCommand } from '../../commands/commands';
import { hashOfSeal } from '../../record/seal';
import type { MemorySlice } from '../../record/slice';
import { recordsWith } from '../../rulebook/sound-entry.test.data';
import { defectStatement } from './defects';
import { withSaid } from './said';

const AT = '2026-03-04T12:00:00Z';

function given(slice: MemorySlice, kind: string, payload: object): AnyCommand {
  const command = { id: kind, kind, site: 's', at: AT, payload } as unknown as AnyCommand;
  const worded = withSaid(slice, command);
  slice.write(apply(slice, worded, 'A. Vell'));
  return worded;
}

/** A sound entry whose gland was found cracked. */
function cracked(): MemorySlice {
  const slice = recordsWith({});
  given(slice, 'look.answer', {
    id: 'l9',
    entry: 'e',
    round: 'r',
    look: 'damage',
    answer: 'cracked',
    photo: null,
  });
  return slice;
}
const RAISE = { id: 'd', entry: 'e', round: 'r', check: 'E-29', grade: 'detailed', photos: [], action: '', observation: null }; // prettier-ignore

describe('what was said', () => {
  it('is sealed with the findings, one sentence each, under the hash', () => {
    const slice = cracked();
    given(slice, 'inspection.seal', { id: 'i', entry: 'e', round: 'r' });
    const sealed = slice.get('inspection', 'i')!;
    expect(sealed.said!.language).toBe('en');
    expect(sealed.said!.sentences.map(({ check }) => check)).toEqual(
      sealed.findings.map(({ check }) => check),
    );
    expect(sealed.said!.sentences.find(({ check }) => check === 'E-29')!.text).toContain('cracked');
    const sentences = sealed.said!.sentences.map((one) => ({ ...one, text: 'All is well.' }));
    expect(hashOfSeal({ ...sealed, said: { language: 'en', sentences } })).not.toBe(sealed.hash);
  });

  it('stays with a defect beside its facts, and a list says it in the words of today', () => {
    const slice = cracked();
    given(slice, 'defect.raise', RAISE);
    const defect = slice.get('defect', 'd')!;
    expect(defect).toMatchObject({ language: 'en', finding: { check: 'E-29' } });
    expect(defect.statement).toContain('cracked');
    expect(defectStatement({ ...defect, statement: 'As it was put then.' })).toBe(defect.statement);
    expect(defectStatement({ finding: null, statement: 'As it was put then.' })).toBe('As it was put then.');
  });

  it('is taken as it was shown, and not put into other words on the way', () => {
    const said = { language: 'de', sentences: [{ check: 'E-29', text: 'Gerissen.' }] };
    const slice = cracked();
    given(slice, 'defect.raise', { ...RAISE, said });
    expect(slice.get('defect', 'd')).toMatchObject({ language: 'de', statement: 'Gerissen.' });
  });

  it('is left to the reducer where there is nothing to say: it refuses', () => {
    const slice = cracked();
    const command = {
      id: 'c',
      kind: 'defect.raise',
      site: 's',
      at: AT,
      payload: { ...RAISE, check: 'E-11' },
    };
    expect(withSaid(slice, command as unknown as AnyCommand)).toBe(command);
    expect(() => given(slice, 'defect.raise', { ...RAISE, check: 'E-11' })).toThrow('check.not-failed');
    const nowhere = { ...command, payload: { ...RAISE, entry: 'none' } } as unknown as AnyCommand;
    expect(withSaid(slice, nowhere)).toBe(nowhere);
  });
});
