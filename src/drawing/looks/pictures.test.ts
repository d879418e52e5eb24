import { describe, expect, it } from 'vitest';
import { KIND_IDS } from '../../core/record/kind-ids';
import { KINDS } from '../../core/kinds/kinds';
import { jointLook } from '../../core/kinds/worked-looks';
import { JOINTS } from '../../core/record/types';
import { drawingToSvg } from '../svg';
import { lookPictures } from './pictures';

const looks = new Set(KIND_IDS.flatMap((kind) => KINDS[kind].looks.map(({ id }) => id)));
for (const joint of JOINTS)
  for (const school of ['faces', 'grip'] as const) looks.add(jointLook(joint, school)!.id);

describe('the pictures of a look', () => {
  it.each([...looks])('%s: right and wrong differ, stay on their paper and have words', (look) => {
    const { right, wrong, rightWords, wrongWords } = lookPictures(look)!;
    expect(rightWords).not.toBe(wrongWords);
    expect(drawingToSvg(right, {})).not.toBe(drawingToSvg(wrong, {}).replace('Wrong', 'Right'));
    for (const picture of [right, wrong]) {
      expect(picture.shapes.length).toBeGreaterThan(1);
      for (const [x, y] of picture.shapes.flatMap(({ points }) => points)) {
        expect(x).toBeGreaterThanOrEqual(-1);
        expect(x).toBeLessThanOrEqual(82);
        expect(y).toBeGreaterThanOrEqual(-1);
        expect(y).toBeLessThanOrEqual(41);
      }
    }
  });

  it('there is none for a special condition', () => expect(lookPictures('condition-1')).toBeNull());
});
