// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { show } from '../../../tests/dom/page';
import { NumberPad } from './NumberPad';

function Field({ start = '', onEnter = () => {} }: { start?: string; onEnter?: () => void }) {
  const [value, setValue] = useState(start);
  return (
    <>
      <output>{value}</output>
      <NumberPad value={value} onChange={setValue} onEnter={onEnter} />
    </>
  );
}

const key = (name: string) => screen.getByRole('button', { name });
const shown = () => screen.getByRole('status').textContent;

describe('the number pad', () => {
  it('types figures one after the other, each by its own key', async () => {
    const { hands } = show(<Field />);
    for (const name of ['2', '0', 'Decimal point', '7', '1']) await hands.click(key(name));
    expect(shown()).toBe('20.71');
  });

  it('has every figure once', () => {
    show(<Field />);
    for (const figure of '0123456789')
      expect(screen.getAllByRole('button', { name: figure })).toHaveLength(1);
  });

  it('takes back the last figure, and nothing where there is none', async () => {
    const { hands } = show(<Field start="20" />);
    for (const left of ['2', '', '']) {
      await hands.click(key('Delete the last figure'));
      expect(shown()).toBe(left);
    }
  });

  it('says when it is entered, and leaves what was typed to its owner', async () => {
    const onEnter = vi.fn();
    const { hands } = show(<Field start="11.2" onEnter={onEnter} />);
    await hands.click(key('Enter'));
    expect(onEnter).toHaveBeenCalledTimes(1);
    expect(shown()).toBe('11.2');
  });

  it('keeps no form from being sent by one of its keys', () => {
    show(<Field />);
    for (const button of screen.getAllByRole('button')) expect(button).toHaveProperty('type', 'button');
  });
});
