import { partsOf } from '../finder/schedule';
import type { Counted, Supply } from '../finder/supply';
import { CandidateJudge } from '../finder/candidate';
import { needOf } from '../finder/need';
import { lookOf, placeOf } from '../kinds/kinds';
import type { LookQuestion } from '../kinds/look';
import type { Grip, Part, Reach, Step } from '../kinds/steps';
import type { Place } from '../kinds/place';
import { DIAMETERS } from '../kinds/places';
import { jointAnswer } from '../kinds/joints';
import { handlingOf, isTestHold, MEASURE } from '../kinds/steps';
import { layTick, MOST_TRIES, partTick, seenTick, tryTick } from '../kinds/ticks';
import type { Habit, Joint, MakeOff, Tick } from '../record/types';
import { askedLooks, askedPlaces, holdsOf, stepsOf } from '../rulebook/asked';
import { holdIsMet } from '../rulebook/mineral-records';
import { groupsOf, kindOf, type Dossier } from '../rulebook/dossier';
import { gapScale, type GapScale } from '../rulebook/gap-scale';
import { partsOfFrame } from './frame-parts';
import { cutMarks, type CutMarks } from './marks';

/** A hold point: what has to be answered before the work goes on. */
export interface Hold {
  id: string;
  is: 'place' | 'look' | 'test';
  /** Answered in this round. */
  answered: boolean;
  /** Whether a look’s answer is as it should be, and when it was given; null for what is measured or open. */
  seen: { good: boolean; at: string } | null;
}

/** Something that has to be seen before the work goes on. */
interface Seen {
  key: string;
  /** What it is ticked off as. */
  id: string;
  tick: Tick | null;
}

/** An item of the laying-out list: a part with how many of it, or a tool. */
export interface Laid {
  /** What it is ticked off as. */
  id: string;
  part: Supply | null;
  count: number;
  /** Key of the tool; null for a part. */
  tool: string | null;
  /** Ticked, or missing with who said so. */
  tick: Tick | null;
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
  /** What is held and what is turned; null where nothing is closed or opened. */
  grip: Grip | null;
  /** Keys of the tools. */
  tools: readonly string[];
  hold: Hold | null;
  /** What has to be seen before the work goes on. */
  seen: Seen[];
  /** What is laid out at it; empty at the others. */
  lays: Laid[];
  /** What was tried at it and did not look right, the first try first; null where nothing is tried. */
  tries: Tick[] | null;
  /** Keys of what comes out for a while at it, and of what goes back. */
  out: readonly string[];
  back: readonly string[];
  /** How long it usually takes at the site, min. */
  minutes: number;
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
interface PlanPart extends Part {
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
  parts: Counted[];
  steps: PlanStep[];
  /** Everything in the order of the hands: the steps, with the parts slipped on between them. */
  all: PlanStep[];
  /** Keys of what is out now and has to go back, or is on and has to come off. */
  out: string[];
  /** First part or step that is not ticked; null when all are. */
  next: string | null;
}

/** In which order, why, and with which finish of the armour’s end an entry is worked on. */
type Way = Pick<MakeOff, 'habit' | 'why'> & Partial<Pick<MakeOff, 'armourEnd'>>;

/**
 * The plan for an entry: what to slip on, where to cut, what to close how far, and where to stop and look.
 * Steps that do not apply are absent.
 *
 * @param work the work that is going on, whose ticks are shown; null before it begins
 * @param nowMs ms since 1970: a test before sealing grows too old
 */
export function planOf(
  dossier: Dossier,
  { habit, why, armourEnd = null }: Way,
  work: MakeOff | null,
  nowMs = 0,
): Plan {
  const kind = kindOf(dossier);
  const ticks = new Map((work?.ticks ?? []).map((tick) => [tick.step, tick]));
  const holds = new Set(holdsOf(dossier));
  const own = ordered(stepsOf(dossier), habit).filter(({ whys }) => whys.includes(why));
  const parts = partsFor(dossier, why);
  const tools = toolsOf(dossier, own, why);
  const laid = laidOut(parts, tools, ticks);
  const steps = own.map((step) => planStep(dossier, step, holds, ticks, laid, nowMs));
  const slipOn =
    why !== 'make-off'
      ? []
      : kind.parts
          .filter((part) => hasPart(part, dossier))
          .map((part) => ({ ...part, tick: ticks.get(partTick(part.id)) ?? null }));
  const begin = own.filter(({ first }) => first).length;
  const all = [...steps.slice(0, begin), ...slipOn.map(slipStep), ...steps.slice(begin)];
  const next = all.find(({ tick }) => tick === null)?.id ?? null;
  return {
    habit,
    slipOn,
    marks: cutMarks(dossier, armourEnd),
    tools,
    parts,
    steps,
    all,
    out: outNow(steps),
    next,
  };
}

/** What came out at a step that is ticked and has not gone back at another. */
function outNow(steps: readonly PlanStep[]): string[] {
  const done = steps.filter(({ tick }) => tick !== null);
  const back = new Set(done.flatMap((step) => step.back));
  // What no later step puts back belongs to the step itself.
  const returns = new Set(steps.flatMap((step) => step.back));
  return done.flatMap((step) => step.out).filter((key) => returns.has(key) && !back.has(key));
}

/** Every tool of the steps, and those by which their joints are closed. */
function toolsOf(dossier: Dossier, steps: readonly Step[], why: MakeOff['why']): string[] {
  return [
    ...new Set([
      ...(why === 'make-off' ? ['caliper', 'permanent-marker'] : []),
      ...steps.flatMap((step) => [...step.tools, ...toolFor(closingOf(dossier, step))]),
    ]),
  ];
}

/** The list that is ticked off before anything is cut: parts and packs, then tools, gauges and instruments. */
function laidOut(parts: Plan['parts'], tools: readonly string[], ticks: ReadonlyMap<string, Tick>): Laid[] {
  const ofParts = parts.map(([part, count], i) => ({
    id: layTick(`${part.is}-${i + 1}`),
    part,
    count,
    tool: null,
  }));
  const ofTools = tools.map((tool) => ({ id: layTick(tool), part: null, count: 1, tool }));
  return [...ofParts, ...ofTools].map((one) => ({ ...one, tick: ticks.get(one.id) ?? null }));
}

/** Slipping a part on, as a step. */
const slipStep = (part: PlanPart): PlanStep => ({
  id: partTick(part.id),
  words: part.words,
  slips: part,
  caution: null,
  grip: null,
  tools: [],
  hold: null,
  seen: [],
  lays: [],
  tries: null,
  out: [],
  back: [],
  minutes: 1,
  closing: null,
  measures: [],
  asks: [],
  reaches: [],
  pour: null,
  tick: part.tick,
});

/** Body into the box first, or everything on the cable first and the body turned in before the outer seal is closed. */
function ordered(steps: readonly Step[], habit: Habit): Step[] {
  const first = steps.filter((step) => step.first);
  const body = steps.filter((step) => step.body);
  const rest = steps.filter((step) => !step.body && !step.first);
  return [...first, ...inHabit(body, rest, habit)];
}

function inHabit(body: readonly Step[], rest: readonly Step[], habit: Habit): Step[] {
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
  laid: Laid[],
  nowMs: number,
): PlanStep {
  const { id, caution, tools, hold, reaches, pour, out, back } = step;
  return {
    id,
    words: handlingOf(step, dossier.cable?.armour?.type ?? null),
    caution,
    grip: step.grip,
    tools,
    reaches,
    pour,
    out,
    back,
    minutes: minutesOf(dossier, step),
    seen: step.seen.map((key) => ({ key, id: seenTick(key), tick: ticks.get(seenTick(key)) ?? null })),
    lays: step.lays ? laid : [],
    tries: step.tries ? triesOf(id, ticks) : null,
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

/** As the site has it, else as it usually takes. */
const minutesOf = ({ site }: Dossier, { words, minutes }: Step): number =>
  site.usualMinutes.find((one) => one.step === words)?.minutes ?? minutes;

function holdOf(dossier: Dossier, id: string, nowMs: number): Hold {
  if (isTestHold(id)) {
    const { mineral, cable, entry } = dossier;
    return { id, is: 'test', answered: holdIsMet(mineral, cable, entry.id, id, nowMs), seen: null };
  }
  const is = placeOf(dossier.entry.kind, id) ? 'place' : 'look';
  const fresh = !dossier.recorded.has(id);
  const answered = is === 'place' ? groupsOf(dossier, id).length > 0 : dossier.looks.has(id);
  const look = is === 'look' && fresh ? dossier.looks.get(id) : undefined;
  const good = lookOf(dossier.entry.kind, id)?.answers.find((one) => one.id === look?.answer)?.good === true;
  return { id, is, answered: answered && fresh, seen: look ? { good, at: look.at } : null };
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

const triesOf = (step: string, ticks: ReadonlyMap<string, Tick>): Tick[] =>
  Array.from({ length: MOST_TRIES }, (_, i) => ticks.get(tryTick(step, i + 1)) ?? []).flat();

function toolFor(closing: PlanStep['closing']): string[] {
  if (closing?.joint.school === 'torque') return ['torque-driver'];
  return closing?.joint.school === 'turns' ? ['turn-marker'] : [];
}

/** What has to be fetched; for an opening only the seals and the compound that are replaced. */
function partsFor(dossier: Dossier, why: MakeOff['why']): Plan['parts'] {
  const { cable, certificate, size, transit } = dossier;
  if (transit) return why === 'make-off' ? partsOfFrame(dossier) : [];
  if (!cable || !certificate || !size) return [];
  if (why !== 'make-off') {
    const seals = size.inner ? (['outer-seal', 'inner-seal'] as const) : (['outer-seal'] as const);
    return seals.map((is) => [{ is, size: size.size }, 1]);
  }
  const judge = new CandidateJudge(needOf(dossier, cable, true), '');
  return partsOf(cable, judge.judge(certificate, size));
}
