import { describe, expect, it } from 'vitest';
import { jointPlace } from '../../src/core/kinds/joints';
import { KINDS, lookOf } from '../../src/core/kinds/kinds';
import type { LookQuestion } from '../../src/core/kinds/look';
import type { Place } from '../../src/core/kinds/place';
import type { Step } from '../../src/core/kinds/steps';
import * as steps from '../../src/core/kinds/steps';
import { handlingOf } from '../../src/core/kinds/steps';
import { conditionLook, jointLook, jointLookFromOutside } from '../../src/core/kinds/worked-looks';
import { KIND_IDS } from '../../src/core/record/kind-ids';
import { ARMOUR_TYPES, JOINTS, SCHOOLS } from '../../src/core/record/types';
import { kindTitle } from '../../src/core/words/en/kinds/kinds';
import { answerTitle, LOOK_WORDS, lookQuestion } from '../../src/core/words/en/kinds/looks';
import { PLACE_WORDS, placeHow } from '../../src/core/words/en/kinds/places';
import {
  CAUTION_WORDS,
  GRIP_WORDS,
  gripSentence,
  OUT_WORDS,
  PART_WORDS,
  partAndWay,
  SEEN_WORDS,
  stepHandling,
  stepCaution,
  stepTitle,
  TOOL_WORDS,
  toolTitle,
} from '../../src/core/words/en/kinds/steps';
import { STEP_WORDS } from '../../src/core/words/en/kinds/handling';
import { titleOf } from '../../src/core/words/en/kinds/titles';

const kinds = KIND_IDS.map((id) => KINDS[id]);
const joints = JOINTS.flatMap((joint) => SCHOOLS.map((school) => [joint, school] as const));
const there = <T>(rows: readonly (T | null)[]) => rows.filter((row) => row !== null);

const looks: LookQuestion[] = [
  ...kinds.flatMap((kind) => kind.looks),
  ...there(joints.map(([joint, school]) => jointLook(joint, school))),
  ...there(joints.map(([joint, school]) => jointLookFromOutside(joint, school))),
  conditionLook(2, 'The cable is clamped.'),
];
const places: Place[] = [
  ...kinds.flatMap((kind) => kind.places),
  ...there(joints.map(([joint, school]) => jointPlace(joint, school))),
];
const everyStep: Step[] = kinds.flatMap((kind) => kind.steps);
const parts = kinds.flatMap((kind) => kind.parts);
const unique = <T extends { words: string }>(rows: readonly T[]) => [
  ...new Map(rows.map((row) => [row.words, row])).values(),
];
const keysOf = (rows: readonly { words: string }[]) => new Set(rows.map(({ words }) => words));
/** Every word that a step is said in: one for each armour where the handling differs by it. */
const said = everyStep.flatMap((step) =>
  ARMOUR_TYPES.map((armour) => ({ ...step, words: handlingOf(step, armour) })),
);

describe('what a row says', () => {
  it.each(unique(looks).map((look) => [look.words, look] as const))('look %s', (words, look) => {
    expect(titleOf(look)).toMatch(/^[A-Z]/);
    expect(lookQuestion(look)).toMatch(/[.?]$/);
    for (const { id } of look.answers) expect(answerTitle(look, id), id).toMatch(/^[A-Z].* ?\S/);
    expect(Object.keys(LOOK_WORDS[words]!.answers)).toEqual(look.answers.map(({ id }) => id));
  });

  it.each(unique(places).map((place) => [place.words, place] as const))('place %s', (_words, place) => {
    expect(titleOf(place)).toMatch(/^[A-Z]/);
    expect(placeHow(place)).toMatch(/^[a-z]/);
  });

  it.each(unique(said).map((step) => [step.words, step] as const))('step %s', (_words, step) => {
    expect(stepTitle(step)).toMatch(/^[A-Z].*\.$/);
    if (step.caution !== null) expect(stepCaution(step)).toMatch(/^[A-Z].*\.$/);
    for (const tool of step.tools) expect(TOOL_WORDS, tool).toHaveProperty([tool]);
    // Two lines at most on a tablet.
    expect(stepHandling(step).length).toBeLessThanOrEqual(190);
    expect(stepHandling(step)).toMatch(/^$|^[A-Z].*\.$/);
    for (const key of step.seen) expect(SEEN_WORDS[key], key).toMatch(/^[A-Z].*\.$/);
    for (const key of [...step.out, ...step.back]) expect(OUT_WORDS[key], key).toMatch(/^[A-Z].*: /);
    if (step.grip) expect(gripSentence(step.grip)).not.toContain('undefined');
  });

  it.each(unique(parts).map((part) => [part.words, part] as const))('part %s', (_words, part) => {
    expect(partAndWay(part)).toMatch(/^[a-z]/);
  });

  it('names every kind, each by its own name', () => {
    expect(new Set(KIND_IDS.map(kindTitle)).size).toBe(KIND_IDS.length);
  });
});

describe('no word is left over', () => {
  it('of looks and places', () => {
    expect(Object.keys(LOOK_WORDS).filter((key) => !keysOf(looks).has(key))).toEqual([]);
    expect(Object.keys(PLACE_WORDS).filter((key) => !keysOf(places).has(key))).toEqual([]);
  });

  it('of steps, parts, cautions and tools', () => {
    const tools = new Set([...everyStep.flatMap((step) => step.tools), 'torque-driver', 'turn-marker', 'permanent-marker', 'caliper']); // prettier-ignore
    const cautions = new Set(everyStep.map(({ caution }) => caution));
    expect(Object.keys(STEP_WORDS).filter((key) => !keysOf(said).has(key))).toEqual([]);
    expect(Object.keys(PART_WORDS).filter((key) => !keysOf(parts).has(key))).toEqual([]);
    expect(Object.keys(CAUTION_WORDS).filter((key) => !cautions.has(key))).toEqual([]);
    expect(Object.keys(TOOL_WORDS).filter((key) => !tools.has(key))).toEqual([]);
    const grips = new Set(everyStep.flatMap(({ grip }) => (grip ? [grip.held, grip.turned] : [])));
    expect(Object.keys(GRIP_WORDS).filter((key) => !grips.has(key))).toEqual([]);
    const seen = new Set(everyStep.flatMap((step) => step.seen));
    expect(Object.keys(SEEN_WORDS).filter((key) => !seen.has(key))).toEqual([]);
    const out = new Set(everyStep.flatMap((step) => step.out));
    expect(Object.keys(OUT_WORDS).filter((key) => !out.has(key))).toEqual([]);
    expect(toolTitle('turn-marker')).toBe('marker for counting turns');
  });

  it('no step, place or look is written that no kind has', () => {
    const written = Object.values(steps).filter(
      (row): row is Step => typeof row === 'object' && 'hold' in row,
    );
    expect(written.filter((row) => !everyStep.includes(row)).map(({ words }) => words)).toEqual([]);
    expect(lookOf('gland-plain', 'marking')).not.toBeNull();
  });
});
