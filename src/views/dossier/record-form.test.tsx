// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { show, type } from '../../../tests/dom/page';
import { DOSSIER_TABLES, type DossierTable } from '../../core/commands/commands';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import { blankOf } from './fields';
import { FORMS } from './forms';
import { RecordForm } from './RecordForm';
import type { SaveFault } from './use-record-form';

Element.prototype.scrollIntoView = () => {};

const slice = recordsWith();

/** A form of a table over a record; keeps what it would save. */
function form(table: DossierTable, value: object, beside: Partial<Parameters<typeof RecordForm>[0]> = {}) {
  const onSave = vi.fn<(value: Record<string, unknown>) => SaveFault | null>(() => null);
  const onDirty = vi.fn();
  const page = show(
    <RecordForm
      table={table}
      fields={FORMS[table].fields}
      value={value}
      slice={slice}
      site="s"
      onSave={onSave}
      onCancel={() => {}}
      onDirty={onDirty}
      {...beside}
    />,
  );
  return { ...page, onSave, onDirty };
}

const save = () => screen.getByRole('button', { name: 'Save' });
const cable = () => structuredClone(slice.get('cable', 'k')!);
const blank = (table: DossierTable) => {
  const { fields, extra = {} } = FORMS[table];
  return { id: 'new', ...blankOf(fields, typeof extra === 'function' ? extra() : extra) };
};

describe('the form of a record', () => {
  it.each(DOSSIER_TABLES)(
    'of a blank %s says at its fields what is missing, and keeps nothing',
    async (table) => {
      const { hands, onSave } = form(table, blank(table));
      await hands.click(save());
      expect(onSave).not.toHaveBeenCalled();
      expect(screen.getByRole('alert').textContent).toMatch(/\d+ fields? to put right/);
      const invalid = document.querySelector('[aria-invalid="true"]');
      expect(invalid).not.toBeNull();
      await waitFor(() => expect(document.activeElement).toBe(invalid));
    },
  );

  it('saves what stands in it, figures in mm', async () => {
    const { hands, onSave } = form('cable', cable());
    await type(hands, /^Tag/, 'P-2');
    await type(hands, /^Overall|^Over all|^Outer diameter|^Outside/, '1 in');
    await hands.click(save());
    expect(onSave).toHaveBeenCalledTimes(1);
    expect(onSave.mock.calls[0]![0]).toMatchObject({ tag: 'P-2', outerMm: 25.4 });
  });

  it('is not dirty before anything is typed, and is afterwards', async () => {
    const { hands, onDirty } = form('cable', cable());
    expect(onDirty).toHaveBeenLastCalledWith(false);
    await type(hands, /^Tag/, 'P-3');
    expect(onDirty).toHaveBeenLastCalledWith(true);
  });

  it('lets an error go as soon as it is right', async () => {
    const { hands } = form('cable', cable());
    await type(hands, /^Tag/, '');
    await hands.click(save());
    const field = screen.getByLabelText(/^Tag/);
    expect(field.getAttribute('aria-invalid')).toBe('true');
    await hands.type(field, 'P-4');
    expect(field.getAttribute('aria-invalid')).not.toBe('true');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('keeps what was typed when the records refuse it, and says why at the field', async () => {
    const refusal = { field: 'tag', message: 'P-5 is the tag of another cable.' };
    const { hands } = form('cable', cable(), { onSave: () => refusal });
    await type(hands, /^Tag/, 'P-5');
    await hands.click(save());
    expect(screen.getByText(refusal.message)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/^Tag/).value).toBe('P-5');
  });

  it('says a refusal that has no field at its foot', async () => {
    const { hands } = form('cable', cable(), {
      onSave: () => ({ field: 'site', message: 'The site is closed.' }),
    });
    await hands.click(save());
    expect(screen.getByRole('alert').textContent).toContain('site: The site is closed.');
  });

  it('waits for a server, and shows what it says', async () => {
    let answer: (fault: SaveFault | null) => void = () => {};
    const { hands } = form('cable', cable(), { onSave: () => new Promise((done) => (answer = done)) });
    await hands.click(save());
    answer({ field: 'tag', message: 'The server refuses it.' });
    expect(await screen.findByText('The server refuses it.')).toBeTruthy();
  });

  it('opens with the reason for which it was refused before', () => {
    form('cable', cable(), { refused: { tag: 'It is taken.' } });
    expect(screen.getByText('It is taken.')).toBeTruthy();
    expect(screen.getByLabelText(/^Tag/).getAttribute('aria-invalid')).toBe('true');
  });
});

describe('a copied record', () => {
  it('is not saved before each of its facts is confirmed', async () => {
    const { hands, onSave } = form('cable', { ...cable(), id: 'k2', tag: 'P-9' }, { sister: 'P-1' });
    const left = () => Number(/(\d+) facts? copied/.exec(document.body.textContent!)?.[1] ?? 0);
    const first = left();
    expect(first).toBeGreaterThan(3);
    await hands.click(save());
    expect(onSave).not.toHaveBeenCalled();
    await hands.click(screen.getAllByRole('button', { name: 'Confirm as on P-1' })[0]!);
    expect(left()).toBe(first - 1);
  });

  it('can leave what nobody confirmed not recorded', async () => {
    const { hands, onSave } = form('cable', { ...cable(), id: 'k2', tag: 'P-9' }, { sister: 'P-1' });
    await hands.click(screen.getByRole('button', { name: 'Leave the rest not recorded' }));
    expect(screen.queryByText(/copied, not confirmed/)).toBeNull();
    await type(hands, /^Tag/, 'P-9');
    await hands.click(save());
    const kept = onSave.mock.calls[0]?.[0];
    expect(kept?.outerMm ?? null).toBeNull();
  });

  it('is confirmed by Enter in a field, which goes on to the next', async () => {
    const { hands } = form('cable', { ...cable(), id: 'k2', tag: 'P-9' }, { sister: 'P-1' });
    const fields = [...document.querySelectorAll<HTMLInputElement>('[data-proposed] input')];
    fields[0]!.focus();
    await hands.keyboard('{Enter}');
    expect(fields[0]!.closest('[data-proposed]')).toBeNull();
    expect(document.activeElement).not.toBe(fields[0]);
    expect(document.activeElement!.closest('[data-proposed]')).not.toBeNull();
  });
});

describe('a list in a record', () => {
  it('takes lines in and out, and goes to the one that is new', async () => {
    const { hands, onSave } = form('cable', cable());
    const lines = () => document.querySelectorAll('[data-path="cores"] .list-item').length;
    expect(lines()).toBe(1);
    await hands.click(screen.getAllByRole('button', { name: 'Copy' })[0]!);
    expect(lines()).toBe(2);
    const second = document.querySelectorAll('[data-path="cores"] .list-item')[1]!;
    expect(second.contains(document.activeElement)).toBe(true);
    await hands.click(screen.getAllByRole('button', { name: 'Take out' })[1]!);
    expect(lines()).toBe(1);
    await hands.click(save());
    expect(onSave.mock.calls[0]![0]).toMatchObject({ cores: slice.get('cable', 'k')!.cores });
  });
});
