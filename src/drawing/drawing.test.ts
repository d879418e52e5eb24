import { describe, expect, it } from 'vitest';
import { KIND_IDS } from '../core/record/kind-ids';
import { KINDS } from '../core/kinds/kinds';
import { dossierWith, type Change } from '../core/rulebook/sound-entry.test.data';
import { drawEntry } from './draw';
import type { Drawing, Point, Shape } from './shapes';
import { drawingToSvg } from './svg';
import { kindTitle } from '../core/words/en/kinds/kinds';

const polygons = (drawing: Drawing, material: string, place?: string) =>
  drawing.shapes.filter(
    (s): s is Shape & { type: 'polygon' } =>
      s.type === 'polygon' && s.material === material && (place === undefined || s.place === place),
  );
const xs = (shapes: readonly Shape[]) => shapes.flatMap(({ points }) => points.map(([x]) => x));
const span = (shapes: readonly Shape[]) => Math.max(...xs(shapes)) - Math.min(...xs(shapes));
const reach = (points: readonly Point[]) => Math.max(...points.map(([, y]) => Math.abs(y)));
const nearest = (points: readonly Point[]) => Math.min(...points.map(([, y]) => Math.abs(y)));
const drawn = (change: Change = {}) => drawEntry(dossierWith(change));
const words = (change: Change) =>
  drawn(change)
    .labels.map(({ text }) => text)
    .join(' | ');
/** Distance between a seal and the sheath under it, mm. */
const gapUnderSeal = (outerMm: number) => {
  const drawing = drawn({ truth: { 'outer-sheath': [outerMm, outerMm, outerMm] } });
  return nearest(polygons(drawing, 'rubber', 'outer-sheath')[0]!.points) - outerMm / 2;
};

describe('a section', () => {
  it.each(KIND_IDS.filter((kind) => !KINDS[kind].transit))(
    'of a %s is to scale: wall, sheaths and armour as recorded and measured',
    (kind) => {
      const drawing = drawn({ kind });
      expect(span(polygons(drawing, 'wall').slice(0, 1))).toBeCloseTo(12, 9);
      const sheath = KINDS[kind].mineral ? 'conductor' : 'sheath-outer';
      expect(reach(polygons(drawing, sheath)[0]!.points)).toBeCloseTo(20.7 / 2, 2);
      const armour = drawing.shapes.find((s) => s.type === 'line' && s.material === 'armour');
      if (KINDS[kind].armour === 'cone') expect(armour).toMatchObject({ width: expect.closeTo(1.2533, 3) });
      else if (KINDS[kind].mineral) expect(armour).toMatchObject({ place: 'drain-wire' });
      else if (KINDS[kind].armour === 'none') expect(armour).toBeUndefined();
      else expect(reach(armour!.points)).toBeCloseTo(17.707 / 2 - 0.3, 2);
      const nameable = new Set(KINDS[kind].places.map(({ id }) => id));
      const anchored = drawing.anchors.map(({ place }) => place);
      expect(anchored.filter((place) => !nameable.has(place))).toEqual([]);
      expect(drawing.description).toContain(kindTitle(kind));
    },
  );

  it.each(KIND_IDS)('of a %s draws what is there when nothing is on file', (kind) => {
    const nothing = { certificate: null, cable: null, size: null };
    const blank = {
      kind,
      entry: nothing,
      truth: Object.fromEntries(KINDS[kind].places.map(({ id }) => [id, []])),
    };
    for (const change of [
      { kind, entry: nothing },
      blank,
      { ...blank, pour: null, looks: { shroud: null } },
    ]) {
      for (const { points } of drawn(change).shapes)
        for (const point of points) expect(point.every(Number.isFinite)).toBe(true);
    }
  });

  it('lets the seal touch a sheath of its range, leaves a gap on one too small, and is burst by one too large', () => {
    expect(gapUnderSeal(20)).toBeCloseTo(0, 9);
    expect(gapUnderSeal(15)).toBeCloseTo((16.9 - 15) / 2, 9);
    expect(gapUnderSeal(25)).toBeCloseTo((24.1 - 25) / 2, 9);
  });

  it('presses the outer seal to the length that the turns leave', () => {
    const length = (turns: number) => {
      const backNut = { ...dossierWith().size!.backNut!, turns };
      return span(polygons(drawn({ size: { backNut } }), 'rubber', 'outer-sheath').slice(0, 1));
    };
    expect(length(0.5) - length(1)).toBeCloseTo(0.75, 9);
  });

  it('draws the cores by their number, and the gland standing off where threads are missing', () => {
    expect(polygons(drawn(), 'core').length).toBe(4);
    const seven = drawn({ cable: { cores: [{ count: 7, areaMm2: 1.5, diameterMm: 3 }] } });
    expect(polygons(seven, 'core').length).toBe(7);
    const shoulder = (engaged: number) =>
      Math.max(...xs(polygons(drawn({ truth: { 'thread-engagement': [engaged] } }), 'brass').slice(0, 1)));
    expect(shoulder(6) - shoulder(11)).toBeCloseTo(5, 9);
  });

  it('puts washer, adaptors and locknut where they stand, and moves the gland out for them', () => {
    const adaptor = {
      what: 'adaptor' as const,
      male: 'M25x1.5',
      female: 'M25x1.5',
      concepts: [],
      levels: [],
      groups: [],
      divisions: [],
      maleLengthMm: null,
      runoutMm: null,
      femaleDepthMm: null,
    };
    expect(span(polygons(drawn(), 'washer').slice(0, 1))).toBeCloseTo(2, 9);
    expect(polygons(drawn({ entry: { washerMm: 0 } }), 'washer')).toEqual([]);
    const out = (n: number) =>
      Math.min(
        ...xs(
          polygons(
            drawn({ entry: { adaptors: Array<typeof adaptor>(n).fill(adaptor) } }),
            'rubber',
            'outer-sheath',
          ),
        ),
      );
    expect(out(2) - out(1)).toBeCloseTo(out(1) - out(0), 9);
    expect(out(1)).toBeGreaterThan(out(0));
    const hole = { form: 'clearance' as const, thread: 'M25x1.5', diameterMm: 25.6, chamfersMm: 0 };
    expect(Math.min(...xs(polygons(drawn({ entry: { hole } }), 'brass')))).toBeLessThanOrEqual(-5);
  });

  it('changes with the record: pot empty and packed, ring turned, gap measured, lip cut', () => {
    const barrier = { kind: 'gland-barrier' as const };
    expect(polygons(drawn({ ...barrier, pour: null }), 'compound')).toEqual([]);
    expect(words({ ...barrier, pour: null })).toContain('not packed yet');
    const far = (mm: number) =>
      Math.min(
        ...xs(
          polygons(drawn({ ...barrier, truth: { 'compound-reach': [mm] } }), 'compound', 'compound-reach'),
        ),
      );
    expect(far(12) - far(20)).toBeCloseTo(8, 9);
    expect(polygons(drawn({ ...barrier, looks: { 'compound-face': 'voids' } }), 'void').length).toBe(3);
    expect(words({ kind: 'gland-reversible-ring', entry: { ringFace: 'braid' } })).toContain(
      'face for braid: wrong for this armour',
    );
    expect(words({ kind: 'gland-reversible-ring' })).not.toContain('wrong');
    expect(words({ truth: { 'back-nut-gap': [6] } })).toContain('gap 6.0 mm');
    expect(words({ truth: { 'back-nut-gap': [] } })).toMatch(/gap not measured, 4\.\d+ mm is right/);
    const lips = (answer: string) =>
      polygons(
        drawn({ kind: 'gland-diaphragm', looks: { 'diaphragm-lip': answer } }),
        'rubber',
        'inner-sheath',
      ).length;
    expect(lips('yes') - lips('cut')).toBe(2);
    const resin = { kind: 'connector-resin' as const };
    expect(polygons(drawn({ ...resin, looks: { 'resin-dam': 'dam' } }), 'dam')).toEqual([]);
    expect(words({ ...resin, looks: { 'resin-dam': 'short' } })).toContain('not filled to the vent');
    expect(
      words({
        kind: 'gland-plain',
        cable: { armour: { type: 'wire', sizeMm: 1, material: 'steel', areaMm2: null } },
      }),
    ).toContain('armour not clamped');
    expect(words({ looks: { 'armour-seated': 'inside' } })).toContain('armour inside the cone');
  });

  it('is saved as SVG with its words escaped', () => {
    const svg = drawingToSvg(drawn({ enclosure: { tag: 'A<&>"' } }), { 'outer-sheath': 'failed' });
    expect(svg).toContain('A&lt;&amp;&gt;&quot;');
    expect(svg).toContain('#A91E2C');
    for (const kind of KIND_IDS) expect(drawingToSvg(drawn({ kind }), {})).not.toMatch(/NaN|undefined/);
  });
});
