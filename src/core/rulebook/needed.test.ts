import { describe, expect, it } from 'vitest';
import { dossierOf } from './dossier';
import { neededFor } from './needed';
import { recordsWith, type Change } from './sound-entry.test.data';

const AT = '2026-03-04T12:00:00.000Z';

function needed(check: string, change: Change = {}) {
  const slice = recordsWith(change);
  return neededFor(dossierOf(slice, 'e', slice.get('round', 'r'))!, check, AT);
}

describe('what a check rested on', () => {
  it('is the place that it measures', () => {
    expect(needed('E-13', { truth: { armour: [2.4, 2.41, 2.4] } })).toEqual({
      places: ['armour'],
      looks: [],
    });
  });

  it('is nothing but the records where these alone make it fail', () => {
    expect(needed('E-01', { certificate: { withdrawn: 'safety' } }).places).toEqual([]);
  });

  it('of a check that is not there is nothing', () => {
    expect(needed('E-99')).toEqual({ places: [], looks: [] });
  });
});
