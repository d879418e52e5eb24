import { describe, expect, it } from 'vitest';
import { KINDS } from '../../core/kinds/kinds';
import { dossierWith, SOUND_GAP_MM, type Change } from '../../core/rulebook/sound-entry.test.data';
import { contextOf, judge } from '../../core/rulebook/judge';
import { countedOf, isRead, partState, placeView } from './place-view';

const kind = KINDS['gland-double-seal'];
const view = (place: string, change: Change = {}) => {
  const dossier = dossierWith(change);
  const context = contextOf(dossier, 'detailed', '');
  return placeView(
    context,
    kind.places.find(({ id }) => id === place)!,
    judge(dossier, 'detailed', ''),
  );
};
const views = (change: Change = {}) => kind.places.map(({ id }) => view(id, change));

describe('a place on the bench', () => {
  it.each([
    ['outer-sheath', {}, 'fits', 'Fits'],
    ['outer-sheath', { truth: { 'outer-sheath': [24.3, 24.3, 24.3] } }, 'large', 'Too large'],
    ['outer-sheath', { truth: { 'outer-sheath': [15, 15, 15] } }, 'small', 'Too small'],
    ['outer-sheath', { truth: { 'outer-sheath': [20, 21.3, 20.6] } }, 'large', 'Too oval'],
    ['outer-sheath', { truth: { 'outer-sheath': [20.7] } }, 'close', 'Close call'],
    ['outer-sheath', { truth: { 'outer-sheath': [] } }, 'unread', 'Not read'],
    ['outer-sheath', { fault: 'past-calibration' }, 'unread', 'Not read'],
    ['armour', { truth: { armour: [1.9, 1.9, 1.9] } }, 'large', 'Too large'],
    ['thread-engagement', {}, 'fits', 'Sound'],
    ['thread-engagement', { truth: { 'thread-engagement': [5] } }, 'large', 'Too short'],
    ['bond', { truth: { bond: [0.2] } }, 'large', 'Too high'],
    ['back-nut-gap', {}, 'fits', 'Sound'],
    ['back-nut-gap', { truth: { 'back-nut-gap': [] } }, 'unread', 'Not read'],
    ['back-nut-gap', { truth: { 'back-nut-gap': [2.4] } }, 'large', 'Too narrow'],
    ['back-nut-gap', { size: { backNut: null } }, 'na', 'No limit on file'],
    ['armour-length', { truth: { 'armour-length': [12] } }, 'large', 'Too little'],
    ['armour-length', { truth: { 'armour-length': [24] } }, 'large', 'Too much'],
    ['inner-proud', {}, 'fits', 'Sound'],
  ] as [string, Change, string, string][])(
    '%s %j is marked %s and called "%s"',
    (place, change, glyph, word) => {
      expect(view(place, change)).toMatchObject({ glyph, word });
    },
  );

  it('the verdict on the size stands apart from the look under the seal', () => {
    expect(view('outer-sheath', { looks: { 'outer-bare': 'no' } })).toMatchObject({ glyph: 'fits' });
  });

  it('shows its limits, its mean and its uncertainty', () => {
    const outer = view('outer-sheath');
    expect(outer.limits).toEqual([16.9, 24.1]);
    expect(outer.mean).toBeCloseTo(20.7, 9);
    expect(outer.uncertainty).toBeGreaterThan(0.03);
    expect(view('thread-engagement').limits).toEqual([8, null]);
    expect(view('thread-engagement', { enclosure: { volumeCm3: 80 } }).limits).toEqual([5, null]);
    expect(view('bond').limits).toEqual([null, 0.1]);
    expect(view('back-nut-gap').limits![0]).toBeCloseTo(SOUND_GAP_MM - 0.4, 1);
    expect(view('back-nut-gap', { size: { backNut: null } }).limits).toBeNull();
    expect(view('armour-length').limits).toEqual([15, 20]);
    expect(view('thread-turns').limits).toEqual([8 / 1.5, null]);
  });

  it('a reversible ring is held against the range of the face in use', () => {
    const braid: Change = {
      kind: 'gland-reversible-ring',
      entry: { ringFace: 'braid' },
      cable: { armour: { type: 'braid', sizeMm: 0.4, material: 'copper', areaMm2: null } },
    };
    expect(view('armour', { kind: 'gland-reversible-ring' }).limits).toEqual([1.15, 1.65]);
    expect(view('armour', braid).limits).toEqual([0.2, 0.7]);
    expect(view('armour', { kind: 'gland-reversible-ring', entry: { ringFace: 'braid' } }).limits).toBeNull();
  });

  it('is read once it has the readings that it asks for; one that cannot count leaves it unread', () => {
    const read = (change: Change = {}) => views(change).filter(isRead).map(({ place }) => place.id); // prettier-ignore
    expect(read()).toContain('armour');
    expect(read({ truth: { armour: [1.25] } })).not.toContain('armour');
    const armour = view('armour');
    const faults = new Map([[armour.readings[0]!.id, 'past-calibration' as const]]);
    expect(isRead({ ...armour, faults })).toBe(armour.readings.length > armour.place.wanted);
    expect(countedOf({ ...armour, faults })).toBe(armour.readings.length - 1);
  });

  it('outlines its part by how it was judged', () => {
    expect(['fits', 'close', 'small', 'large', 'unread', 'na'].map((glyph) => partState(glyph as never))).toEqual([
      'sound', 'close', 'failed', 'failed', 'unread', null,
    ]); // prettier-ignore
  });
});
