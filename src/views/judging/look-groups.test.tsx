// @vitest-environment jsdom
import { act, screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../../tests/dom/page';
import { asItShould, bySpot } from '../../core/kinds/look';
import { looksOf } from '../../core/kinds/kinds';
import type { Look } from '../../core/record/types';
import { titleOf } from '../../core/words/en/kinds/titles';

vi.mock('../hand/keep-photos', () => ({ keepPhotos: vi.fn() }));
vi.mock('./PhotoRow', () => ({ PhotoRow: () => null }));
const { LookGroups } = await import('./LookGroups');

/** What the browser would tell of what is on the screen. */
let tell: (targets: Element[]) => void;
class Watcher {
  constructor(hear: (entries: { isIntersecting: boolean; target: Element }[]) => void) {
    tell = (targets) => act(() => hear(targets.map((target) => ({ isIntersecting: true, target }))));
  }
  observe() {}
  disconnect() {}
}
beforeEach(() => vi.stubGlobal('IntersectionObserver', Watcher));

const groups = bySpot(looksOf('gland-double-seal', null));
const outside = groups.find(({ spot }) => spot === 'outside')!;
const open = outside.looks.filter((look) => asItShould(look) !== null);
const given = (ids: readonly string[]) =>
  new Map(ids.map((id) => [id, { id: `l-${id}`, look: id, answer: 'yes', note: '', photo: null } as Look]));

function page(answered: readonly string[] = [], sealed = false) {
  const on = { onActive: vi.fn(), onAnswer: vi.fn(), onTogether: vi.fn() };
  const shown = show(
    <LookGroups
      groups={[outside]}
      given={given(answered)}
      recorded={new Set()}
      sealed={sealed}
      active={null}
      {...on}
    />,
  );
  return { ...shown, ...on };
}
const questions = (ids: readonly string[]) =>
  ids.map((id) => document.querySelector(`[data-question="${id}"]`)!);

describe('looks by the spot where one stands', () => {
  it('stand in the order of the place, each of them once', () => {
    expect(groups.map(({ spot }) => spot)).toEqual(['outside', 'wall', 'box', 'inside']);
    const ids = groups.flatMap(({ looks }) => looks.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.length).toBe(looksOf('gland-double-seal', null).length);
  });

  it('are answered in one only after each open question has been on the screen', async () => {
    const { hands, onTogether, onActive } = page();
    const button = () => screen.getByRole('button', { name: /have not seen|All seen/ });
    await hands.click(button());
    expect(onTogether).not.toHaveBeenCalled();
    expect(onActive).toHaveBeenCalledWith(open[0]!.id);
    tell(questions(open.slice(1).map(({ id }) => id)));
    await hands.click(button());
    expect(onTogether).not.toHaveBeenCalled();
    tell(questions([open[0]!.id]));
    await hands.click(button());
    expect(onTogether).toHaveBeenCalledWith(outside);
  });

  it('are answered in one by a key of the card, but not out of a note', async () => {
    const { hands, onTogether } = page([open[0]!.id]);
    tell(questions(open.map(({ id }) => id)));
    const card = screen.getByRole('region', { name: 'From outside' });
    within(card).getByLabelText('Note on what was seen').focus();
    await hands.keyboard('0');
    expect(onTogether).not.toHaveBeenCalled();
    within(card)
      .getByRole('button', { name: /All seen/ })
      .focus();
    await hands.keyboard('0');
    expect(onTogether).toHaveBeenCalledTimes(1);
  });

  it('offer nothing in one where one is left, or once it is sealed', () => {
    page(open.slice(1).map(({ id }) => id)).unmount();
    expect(screen.queryByRole('button', { name: /seen/ })).toBeNull();
    page(open.slice(1).map(({ id }) => id));
    expect(screen.queryByRole('button', { name: /seen/ })).toBeNull();
    page([], true);
    expect(screen.queryByRole('button', { name: /seen/ })).toBeNull();
  });

  it('have no answer in one where there is more than one way to be right, or evidence is asked for', () => {
    const look = (id: string) => looksOf('gland-double-seal', null).find((one) => one.id === id)!;
    expect(asItShould(look('shroud'))).toBeNull();
    expect(asItShould(look('damage'))).toBe('yes');
    expect(asItShould(look('thread-taper'))).toBeNull();
    for (const one of open) expect(titleOf(one)).not.toBe('');
  });
});
