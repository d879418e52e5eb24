import { MantineProvider } from '@mantine/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { planOf } from '../../core/makeoff/plan';
import { KIND_IDS } from '../../core/record/kind-ids';
import { HABITS, type Habit, type MakeOff } from '../../core/record/types';
import { dossierWith, recordsWith, type Change } from '../../core/rulebook/sound-entry.test.data';
import { HABIT_WORDS, MISSING_WORDS, MARK_WORDS } from '../../core/words/en/makeoff';
import { holdTitle } from './hold-title';
import PlanSheet from './PlanSheet';
import { initialsOf, runningWork, workOf } from './work';
import { PART_WORDS, stepCaution, stepTitle } from '../../core/words/en/kinds/steps';
import { supplyTitle } from '../../core/words/en/supplies';

const sheet = (change: Change, why: 'make-off' | 'opening' = 'make-off', habit: Habit = 'body-first') => {
  const dossier = dossierWith(change);
  const plan = planOf(dossier, { habit, why }, null);
  const page = (
    <MantineProvider>
      <PlanSheet dossier={dossier} plan={plan} />
    </MantineProvider>
  );
  return { dossier, plan, text: renderToStaticMarkup(page).replace(/<style[^>]*>[\s\S]*?<\/style>/g, '') };
};
/** The text of a markup, its tags taken out. */
const plain = (markup: string) =>
  markup
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, "'")
    .replace(/\s+/g, ' ');

describe('the plan on paper', () => {
  it.each(KIND_IDS)(
    'of %s holds every step with its hold point and its caution, the marks and the parts',
    (kind) => {
      const { dossier, plan, text } = sheet({ kind });
      const said = plain(text);
      for (const step of plan.steps) {
        const { hold } = step;
        const caution = stepCaution(step);
        expect(said).toContain(stepTitle(step));
        if (hold) expect(said).toContain(`Hold: ${holdTitle(dossier, hold)}.`);
        if (caution) expect(said).toContain(caution);
      }
      for (const { id } of plan.marks.marks) expect(said).toContain(MARK_WORDS[id]);
      for (const [part, count] of plan.parts) expect(said).toContain(`${count} × ${supplyTitle(part)}`);
      for (const { words } of plan.slipOn) expect(said).toContain(PART_WORDS[words]!.title);
      expect(said).toContain('a competent, authorised person decides');
    },
  );
  it.each(HABITS)('names the habit: %s', (habit) => {
    expect(plain(sheet({}, 'make-off', habit).text)).toContain(HABIT_WORDS[habit]);
  });
  it('of an opening slips nothing on and cuts nothing new', () => {
    const said = plain(sheet({}, 'opening').text);
    expect(said).not.toContain('Slip on first');
    expect(said).not.toContain('Cut the armour to its length');
    expect(said).toContain('outer seal of S3');
  });
  it.each([
    [{ entry: { tailMm: null } }, 'tail'],
    [{ size: { sealDepthMm: null } }, 'seal-depth'],
    [{ size: { armourLengthMm: null } }, 'armour-length'],
    [{ entry: { size: null } }, 'size'],
  ] as [Change, keyof typeof MISSING_WORDS][])('says what %j leaves unknown', (change, missing) => {
    expect(plain(sheet(change).text)).toContain(MISSING_WORDS[missing]);
  });
  it('prints its ruler in millimetres: the strip is as wide as its drawing', () => {
    const { text } = sheet({});
    for (const [, style, box] of text.matchAll(
      /class="strip" style="([^"]+)"><svg class="drawing" viewBox="([^"]+)"/g,
    )) {
      const [, , width, height] = box!.split(' ').map(Number);
      const [, w, h] = /width:([\d.]+)mm;height:([\d.]+)mm/.exec(style!)!;
      expect(Number(w)).toBeCloseTo(width!, 6);
      expect(Number(h)).toBeCloseTo(height!, 6);
    }
    expect(text.match(/class="strip"/g)!.length).toBeGreaterThan(0);
  });
});

describe('work at a site', () => {
  const work = (id: string, at: string, finished: string | null) =>
    ({
      id,
      site: 's',
      entry: 'e',
      round: 'r',
      why: 'make-off',
      habit: 'body-first',
      armourEnd: null,
      ticks: [],
      by: '',
      at,
      finished,
    }) as MakeOff;
  const slice = recordsWith();
  slice.write(
    [
      work('w1', '2026-01-01', '2026-01-02'),
      work('w2', '2026-02-01', null),
      work('w3', '2026-03-01', '2026-03-02'),
    ].map((after) => ({
      table: 'makeoff' as const,
      id: after.id,
      after,
    })),
  );
  it('goes on where it is not finished; without that the newest stands', () => {
    expect(runningWork(slice, 's').map(({ id }) => id)).toEqual(['w2']);
    expect(workOf(slice, 'e')!.id).toBe('w2');
    slice.write([{ table: 'makeoff', id: 'w2', after: null }]);
    expect(workOf(slice, 'e')!.id).toBe('w3');
    expect(workOf(slice, 'other')).toBeNull();
  });
});

describe('initials', () => {
  it.each([
    ['A. Vell', 'AV'],
    ['M. Okonjo', 'MO'],
    ['anna maria de la cruz', 'AMDL'],
    ['', '?'],
  ])('of "%s" are %s', (name, initials) => expect(initialsOf(name)).toBe(initials));
});
