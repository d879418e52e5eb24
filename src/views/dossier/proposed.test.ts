import { describe, expect, it } from 'vitest';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import { toDraft } from './draft';
import { FORMS } from './forms';
import { emptyOf, factsIn, moved } from './proposed';

describe('a copy', () => {
  const fields = FORMS.enclosure.fields;
  const box = recordsWith({ enclosure: { concepts: ['db'], wallMm: 8, unused: null } }).get(
    'enclosure',
    'b',
  )!;

  it('has every fact of its sister to be confirmed, and nothing that is not recorded', () => {
    const facts = factsIn(fields, toDraft(fields, box));
    expect(facts).toEqual(expect.arrayContaining(['tag', 'area', 'concepts', 'wallMm', 'group']));
    expect(facts).not.toContain('type');
    expect(facts).not.toContain('unused');
  });

  it('the facts of its lines too', () => {
    const sheet = FORMS.certificate.fields;
    const facts = factsIn(sheet, toDraft(sheet, recordsWith().get('certificate', 'q')!));
    expect(facts).toContain('sheet.sizes.0.outer.rangeMm.0');
  });

  it('keeps what is to be confirmed with its line when lines move', () => {
    const paths = new Set(['tag', 'l.0.a', 'l.1.a', 'l.2.b']);
    expect([...moved(paths, 'l', 1, 1)].sort()).toEqual(['l.0.a', 'l.2.a', 'l.3.b', 'tag']);
    expect([...moved(paths, 'l', 1, -1)].sort()).toEqual(['l.0.a', 'l.1.b', 'tag']);
  });

  it('what is left out is not recorded', () => {
    expect([emptyOf('x'), emptyOf(['x']), emptyOf({ none: true, text: 'x' })]).toEqual(['', [], { none: false, text: '' }]); // prettier-ignore
  });
});
