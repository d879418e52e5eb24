import { describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { OverlaySlice } from './overlay';
import type { Area } from './types';

describe('an overlay', () => {
  const below = recordsWith();
  const area = below.get('area', 'a')!;
  const named = (id: string, name: string): Area => ({ ...area, id, name });

  it('shows what stands over a slice and leaves the slice as it is', () => {
    const over = new OverlaySlice(below);
    over.write([
      { table: 'area', id: 'a', after: named('a', 'Changed') },
      { table: 'area', id: 'b2', after: named('b2', 'New') },
    ]);
    expect(over.get('area', 'a')).toMatchObject({ name: 'Changed' });
    expect(over.by('area', 'site', 's').map(({ name }) => name)).toEqual(['Changed', 'New']);
    expect(over.all('area')).toHaveLength(2);
    expect(below.all('area').map(({ name }) => name)).toEqual([area.name]);
    over.write([{ table: 'area', id: 'a', after: null }]);
    expect(over.get('area', 'a')).toBeNull();
    expect(over.all('area').map(({ id }) => id)).toEqual(['b2']);
    over.write([{ table: 'area', id: 'a', after: named('a', 'Back') }]);
    expect(over.get('area', 'a')).toMatchObject({ name: 'Back' });
    over.clear();
    expect(over.all('area')).toEqual(below.all('area'));
  });

  it('finds a record by the field that it has now', () => {
    const over = new OverlaySlice(below);
    over.write([{ table: 'area', id: 'a', after: named('a', 'Yard') }]);
    expect(over.by('area', 'name', 'Yard')).toHaveLength(1);
    expect(over.by('area', 'name', area.name)).toEqual([]);
  });
});
