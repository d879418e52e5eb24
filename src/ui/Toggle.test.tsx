// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { show } from '../../tests/dom/page';
import { TabBar } from './TabBar';
import { Toggle } from './Toggle';

describe('a button that stays pressed', () => {
  it('says whether it is', async () => {
    function Two() {
      const [on, set] = useState(false);
      return (
        <Toggle on={on} onClick={() => set(!on)}>
          Armour side
        </Toggle>
      );
    }
    const { hands } = show(<Two />);
    const button = screen.getByRole('button', { name: 'Armour side' });
    expect(button.getAttribute('aria-pressed')).toBe('false');
    await hands.click(button);
    expect(button.getAttribute('aria-pressed')).toBe('true');
  });
});

describe('tabs', () => {
  it('show what lies under the open one, and change by the arrows', async () => {
    const TABS = [['a', 'Board'], ['b', 'Planner']] as const; // prettier-ignore
    function Both() {
      const [tab, set] = useState<'a' | 'b'>('a');
      return (
        <TabBar label="Transit" tabs={TABS} value={tab} onChange={set}>
          <p>under {tab}</p>
        </TabBar>
      );
    }
    const { hands } = show(<Both />);
    expect(screen.getByRole('tabpanel').textContent).toBe('under a');
    screen.getByRole('tab', { name: 'Board' }).focus();
    await hands.keyboard('{ArrowRight}');
    expect(screen.getByRole('tabpanel').textContent).toBe('under b');
    expect(screen.getByRole('tab', { name: 'Planner' }).getAttribute('aria-selected')).toBe('true');
  });
});
