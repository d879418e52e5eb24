import { describe, expect, it } from 'vitest';
import { apply } from '../../core/commands/apply';
import type { AnyCommand, DossierTable } from '../../core/commands/commands';
import { KIND_IDS } from '../../core/record/kind-ids';
import { MemorySlice } from '../../core/record/slice';
import { assess } from '../../core/rulebook/assess';
import { statement } from '../../core/words/en/findings';
import { parseCommand } from '../../shapes/parse';
import { toDraft, toRecord } from './draft';
import { blankOf } from './fields';
import { blankSite, FORMS } from './forms';

/** A site whose records were made with the forms, filled in with no more than the forms ask for. */
function bareSite(kind: string): MemorySlice {
  const slice = new MemorySlice();
  let count = 0;
  const give = (command: string, payload: object) => {
    const id = `c${++count}`;
    const given = {
      id,
      kind: command,
      site: 's',
      at: '2026-03-04T10:00:00.000Z',
      payload,
    } as unknown as AnyCommand;
    slice.write(apply(slice, parseCommand(given), 'A. Vell'));
  };
  const add = (table: DossierTable, own: object) => {
    const { fields, extra } = FORMS[table];
    const blank = blankOf(fields, typeof extra === 'function' ? extra() : extra);
    give(`${table}.add`, toRecord(fields, toDraft(fields, { ...blank, ...own })).record);
  };
  give('site.add', { ...blankSite('s'), name: 'Works' });
  add('area', { id: 'a', name: 'Hall' });
  add('enclosure', { id: 'b', area: 'a', tag: 'JB-1', what: 'junction box' });
  add('cable', { id: 'k', tag: 'P-1' });
  const certificate = blankOf(FORMS.certificate.fields) as { sheet: object };
  const sizes = FORMS.certificate.fields.find(({ path }) => path === 'sheet.sizes');
  const size = blankOf(sizes?.type === 'list' ? sizes.fields : []);
  add('certificate', { id: 'q', number: 'FRN 1', maker: 'Fernholt', title: 'Gland', kind, sheet: { ...certificate.sheet, number: 'S 1', sizes: [{ ...size, size: 'S3' }] } }); // prettier-ignore
  add('entry', { id: 'e', enclosure: 'b', label: 'A', kind, certificate: 'q', size: 'S3', cable: 'k' });
  add('round', { id: 'r', name: 'Spring', entries: ['e'], started: '2026-03-01T00:00:00.000Z' });
  return slice;
}

describe('records with nothing but their names', () => {
  it.each(KIND_IDS)('judge unread, never sound, and blame nothing: %s', (kind) => {
    const found = assess(bareSite(kind), 'e', 's', '2026-03-05T10:00:00.000Z')!;
    expect(found.status.state).toBe('incomplete');
    const said = found.findings
      .filter(({ outcome }) => outcome !== 'unread' && outcome !== 'not-applicable')
      .map((finding) => `${finding.check}: ${statement(finding)}`);
    expect(said).toEqual([]);
  });
});
