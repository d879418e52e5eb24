// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import '../../../tests/dom/page';

vi.mock('./hand', () => ({
  parameter: (name: string) => new URLSearchParams(location.search).get(name),
}));
const { tabIn, useAddress } = await import('./address');

beforeEach(() => history.replaceState(null, '', '/dossier/?site=s&tab=cable'));

const back = () =>
  new Promise<void>((done) => {
    window.addEventListener('popstate', () => done(), { once: true });
    history.back();
  });

describe('the address of a view', () => {
  it('is read at first', () => {
    const { result } = renderHook(() => useAddress('tab', 'record'));
    expect(result.current[0]).toEqual({ tab: 'cable', record: null });
  });

  it('is written as it changes, and leaves the rest alone', () => {
    const { result } = renderHook(() => useAddress('tab', 'record'));
    act(() => result.current[1]({ record: 'k 1' }));
    expect(result.current[0]).toEqual({ tab: 'cable', record: 'k 1' });
    expect(location.search).toBe('?site=s&tab=cable&record=k+1');
    act(() => result.current[1]({ record: null }));
    expect(location.search).toBe('?site=s&tab=cable');
  });

  it('is followed when the browser goes back', async () => {
    const { result } = renderHook(() => useAddress('tab'));
    act(() => result.current[1]({ tab: 'entry' }));
    expect(result.current[0].tab).toBe('entry');
    await act(back);
    expect(result.current[0].tab).toBe('cable');
  });

  it('leaves no step to go back to where it is replaced', () => {
    const { result } = renderHook(() => useAddress('tab'));
    const steps = history.length;
    act(() => result.current[1]({ tab: 'area' }, 'replace'));
    expect(history.length).toBe(steps);
    expect(location.search).toContain('tab=area');
  });

  it('hears nothing more once its view is gone', async () => {
    const { result, unmount } = renderHook(() => useAddress('tab'));
    act(() => result.current[1]({ tab: 'entry' }));
    unmount();
    await back();
    expect(result.current[0].tab).toBe('entry');
  });
});

describe('the tab of an address', () => {
  const TABS = [['area', 'Areas'], ['cable', 'Cables']] as const; // prettier-ignore
  it.each([
    ['cable', 'cable'],
    ['area', 'area'],
    [null, 'area'],
    ['nothing', 'area'],
    ['', 'area'],
  ])('%j is %s', (named, tab) => expect(tabIn(TABS, named)).toBe(tab));
});
