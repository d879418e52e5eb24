// @vitest-environment jsdom
import { TextInput } from '@mantine/core';
import { screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show, type } from '../../../tests/dom/page';
import type { Defect } from '../../core/record/types';

const { give, records } = vi.hoisted(() => ({
  give: vi.fn(() => 'command'),
  records: new Map<string, unknown>(),
}));
vi.mock('../hand/give', () => ({ give, tryGive: give }));
vi.mock('../hand/hand', () => ({
  device: { state: () => ({ slice: { get: (_: string, id: string) => records.get(id) ?? null } }) },
}));
const { useDefectForm } = await import('./defect-form');

const DEFECT = { id: 'd-1', owner: null, action: '', due: '2026-12-03', severity: 3 } as unknown as Defect;
const changed = (set: Partial<Defect>): Defect => ({ ...DEFECT, ...set });

function Form({ defect }: { defect: Defect }) {
  const { form, dirty } = useDefectForm(defect);
  return (
    <>
      <TextInput label="Owner" {...form.getInputProps('owner')} />
      <TextInput label="Action" {...form.getInputProps('action')} />
      <TextInput label="Due" {...form.getInputProps('due')} />
      <p role="status">{dirty ? 'dirty' : 'kept'}</p>
    </>
  );
}

const value = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;

beforeEach(() => {
  give.mockClear();
  records.set('d-1', DEFECT);
});

describe('the form of a defect while its record changes', () => {
  it('says what the record says where nobody has typed', () => {
    const { rerender } = show(<Form defect={DEFECT} />);
    rerender(<Form defect={changed({ due: '2027-02-24', severity: 2 })} />);
    expect(value('Due')).toBe('2027-02-24');
    expect(screen.getByRole('status').textContent).toBe('kept');
  });

  it('leaves what is typed as it is', async () => {
    const { hands, rerender } = show(<Form defect={DEFECT} />);
    await type(hands, 'Action', 'new seal');
    rerender(<Form defect={changed({ owner: 'A. Vell', action: 'new gland' })} />);
    expect([value('Owner'), value('Action')]).toEqual(['A. Vell', 'new seal']);
    expect(screen.getByRole('status').textContent).toBe('dirty');
  });

  it('follows a change that is taken back, so that leaving does not make it again', async () => {
    const { hands, rerender, unmount } = show(<Form defect={DEFECT} />);
    await type(hands, 'Owner', 'R. Tarn');
    rerender(<Form defect={changed({ owner: 'R. Tarn' })} />);
    rerender(<Form defect={DEFECT} />);
    expect(value('Owner')).toBe('');
    unmount();
    expect(give).not.toHaveBeenCalled();
  });
});

describe('a form that goes away', () => {
  it('keeps what was typed', async () => {
    const { hands, unmount } = show(<Form defect={DEFECT} />);
    await type(hands, 'Action', 'new seal');
    unmount();
    expect(give).toHaveBeenCalledWith(
      'defect.edit',
      { id: 'd-1', set: { action: 'new seal' } },
      expect.any(String),
    );
  });

  it('keeps nothing that the record says by now: the change that moved its row has kept it', async () => {
    const { hands, unmount } = show(<Form defect={DEFECT} />);
    await type(hands, 'Action', 'new seal');
    records.set('d-1', changed({ action: 'new seal', due: '2027-02-24' }));
    unmount();
    expect(give).not.toHaveBeenCalled();
  });
});
