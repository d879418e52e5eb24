import { partsOf } from '../finder/schedule';
import type { Supply } from '../finder/supply';
import { CandidateJudge } from '../finder/candidate';
import { needOf } from '../finder/need';
import { placeOf, partTick } from '../kinds/kinds';
import type { LookQuestion } from '../kinds/look';
import type { Part, Reach, Step } from '../kinds/steps';
import type { Place } from '../kinds/place';
import { DIAMETERS } from '../kinds/places';
import { jointAnswer } from '../kinds/joints';
import { isTestHold, MEASURE } from '../kinds/steps';
import type { Habit, Joint, MakeOff, PackedOpening, Tick } from '../record/types';
import { pickList } from '../rulebook/transit-planned';
import { askedLooks, askedPlaces, holdsOf, stepsOf } from '../rulebook/asked';
import { holdIsMet } from '../rulebook/mineral-records';
import { groupsOf, kindOf, type Dossier } from '../rulebook/dossier';
import { gapScale, type GapScale } from '../rulebook/gap-scale';
import { cutMarks, type CutMarks } from './marks';

/** A hold point: what has to be answered before the work goes on. */
export interface Hold {
  id: string;
  is: 'place' | 'look' | 'test';
  /** Answered in this round. */
  answered: boolean;
}

/** One step of the work on one entry. */
export interface PlanStep {
  /** What it is ticked off as. */
  id: string;
  /** Key of what it says. */
  words: string;
  /** Part that is slipped on; left out at the other steps. */
  slips?: Part;
  /** Key of what can hurt somebody at it. */
  caution: string | null;
  /** Keys of the tools. */
  tools: readonly string[];
  hold: Hold | null;
  /** Joint that it closes with its school, place or look at which that is recorded, and the right gap where it is by gap. */
  closing: { joint: Joint; answer: string | null; gap: GapScale | null } | null;
  /** Diameters that are read at this step; empty at the others. */
  measures: Place[];
  /** Looks that are answered here too. */
  asks: LookQuestion[];
  /** What of the entry stands once it is done. */
  reaches: readonly Reach[];
  /** What is done with compound or resin at it. */
  pour: Step['pour'];
  tick: Tick | null;
}

/** A part to slip on. */
export interface PlanPart extends Part {
  tick: Tick | null;
}

/** The plan of making off an entry, or of opening it up. */
export interface Plan {
  habit: Habit;
  /** In the order of slipping on; empty when an entry is only opened. */
  slipOn: PlanPart[];
  marks: CutMarks;
  /** Keys of every tool. */
  tools: string[];
  parts: [part: Supply, count: number][];
  steps: PlanStep[];
  /** First part or step that is not ticked; null when all are. */
  next: string | null;
}

/**
 * The plan for an entry: what to slip on, where to cut, what to close how far, and where to stop and look.
 * Steps that do not apply are absent.
 *
 * @param work the work that is going on, whose ticks are shown; null before it begins
 * @param nowMs ms since 1970: a test before sealing grows too old
 */
export function planOf(
  dossier: Dossier,
  habit: Habit,
  why: MakeOff['why'],
  work: MakeOff | null,
  nowMs = 0,
): Plan {
  const kind = kindOf(dossier);
  const ticks = new Map((work?.ticks ?? []).map((tick) => [tick.step, tick]));
  const holds = new Set(holdsOf(dossier));
  const steps = ordered(stepsOf(dossier), habit)
    .filter((step) => why === 'make-off' || !step.anew)
    .map((step) => planStep(dossier, step, holds, ticks, nowMs));
  const slipOn =
    why === 'opening'
      ? []
      : kind.parts
          .filter((part) => hasPart(part, dossier))
          .map((part) => ({ ...part, tick: ticks.get(partTick(part.id)) ?? null }));
  const open = [...slipOn.map(({ id, tick }) => ({ id: partTick(id), tick })), ...steps].find(
    ({ tick }) => tick === null,
  );
  return {
    habit,
    slipOn,
    marks: cutMarks(dossier),
    tools: [
      ...new Set([
        ...(why === 'make-off' ? ['caliper', 'permanent-marker'] : []),
        ...steps.flatMap((step) => [...step.tools, ...toolFor(step)]),
      ]),
    ],
    parts: partsFor(dossier, why),
    steps,
    next: open?.id ?? null,
  };
}

/** Body into the box first, or everything on the cable first and the body turned in before the outer seal is closed. */
function ordered(steps: readonly Step[], habit: Habit): Step[] {
  const body = steps.filter((step) => step.body);
  const rest = steps.filter((step) => !step.body);
  if (habit === 'body-first') return [...body, ...rest];
  const at = rest.findIndex(({ joint }) => joint === 'outer-seal');
  return at < 0 ? [...rest, ...body] : [...rest.slice(0, at), ...body, ...rest.slice(at)];
}

const hasPart = ({ shroud }: Part, { certificate }: Dossier): boolean =>
  !shroud || certificate?.sheet.shroud !== 'none';

function planStep(
  dossier: Dossier,
  step: Step,
  holds: ReadonlySet<string>,
  ticks: ReadonlyMap<string, Tick>,
  nowMs: number,
): PlanStep {
  const { id, words, caution, tools, hold, reaches, pour } = step;
  return {
    id,
    words,
    caution,
    tools,
    reaches,
    pour,
    hold: hold !== null && holds.has(hold) ? holdOf(dossier, hold, nowMs) : null,
    closing: closingOf(dossier, step),
    measures:
      id === MEASURE.id
        ? askedPlaces(dossier).filter((place) => place.wanted > 0 && DIAMETERS.has(place.id))
        : [],
    asks: step.asks.flatMap((ask) => askedLooks(dossier).find((look) => look.id === ask) ?? []),
    tick: ticks.get(id) ?? null,
  };
}

function holdOf(dossier: Dossier, id: string, nowMs: number): Hold {
  if (isTestHold(id)) {
    const { mineral, cable, entry } = dossier;
    return { id, is: 'test', answered: holdIsMet(mineral, cable, entry.id, id, nowMs) };
  }
  const is = placeOf(dossier.entry.kind, id) ? 'place' : 'look';
  const fresh = !dossier.recorded.has(id);
  const answered = is === 'place' ? groupsOf(dossier, id).length > 0 : dossier.looks.has(id);
  return { id, is, answered: answered && fresh };
}

function closingOf(dossier: Dossier, { joint: id }: Step): PlanStep['closing'] {
  const joint = id && dossier.certificate?.sheet.joints.find((one) => one.joint === id);
  if (!joint) return null;
  const byGap = joint.school === 'gap';
  return {
    joint,
    answer: byGap ? null : jointAnswer(joint.joint, joint.school),
    gap: byGap ? gapScale(dossier) : null,
  };
}

function toolFor({ closing }: PlanStep): string[] {
  if (closing?.joint.school === 'torque') return ['torque-driver'];
  return closing?.joint.school === 'turns' ? ['turn-marker'] : [];
}

/** What has to be fetched; for an opening only the seals and the compound that are replaced. */
function partsFor(dossier: Dossier, why: MakeOff['why']): Plan['parts'] {
  const { cable, certificate, size, transit } = dossier;
  if (transit) return partsOfTransit(transit.openings.map(({ packed }) => packed));
  if (!cable || !certificate || !size) return [];
  if (why === 'opening') {
    const seals = size.inner ? (['outer-seal', 'inner-seal'] as const) : (['outer-seal'] as const);
    return seals.map((is) => [{ is, size: size.size }, 1]);
  }
  const judge = new CandidateJudge(needOf(dossier, cable, true), '');
  return partsOf(cable, judge.judge(certificate, size));
}

/** Blocks by size, plates and compression units of a frame that is packed. */
function partsOfTransit(openings: readonly PackedOpening[]): Plan['parts'] {
  const { blocks, plates, wedges } = pickList(openings);
  const pairs = blocks.map(({ sizeMm, withCable, spare }): [Supply, number] => [
    { is: 'block-pair', sizeMm },
    withCable + spare,
  ]);
  const rest: Plan['parts'] = [[{ is: 'stay-plate' }, plates], [{ is: 'compression-unit' }, wedges]]; // prettier-ignore
  return [...pairs, ...rest.filter(([, n]) => n > 0)];
}
