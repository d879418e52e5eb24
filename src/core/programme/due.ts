import { addMonths, dayIn } from '../record/calendar';
import type { Due, DueReason, Grade, Movable } from '../record/types';

/** How often a grade is asked for at most, months; null: not by programme. */
type Intervals = Readonly<Record<Grade, number | null>>;

/** A sealed inspection, as far as the programme counts it. */
export interface Counted {
  grade: Grade;
  /** When it was sealed, ISO. */
  at: string;
  /** Whether everything that its grade asks for was read; an incomplete one resets nothing. */
  complete: boolean;
  sound: boolean;
  /** Highest level of the checks that failed at it, 1 to 4; 0 where none did. */
  worst: 0 | 1 | 2 | 3 | 4;
}

/** What decides when an entry is due. */
export interface DueBy {
  sealed: readonly Counted[];
  intervals: Intervals;
  /** Longest interval of fixed equipment, months: 36, or what an expert’s reasons allow. */
  capMonths: number;
  /** Corrosion, vibration, washdown, heat, UV: 0.5 to 1. */
  surroundings: number;
  movable: Movable;
  timeZone: string;
}

/** Which grade holds the other. Source: IEC 60079-17, grades of inspection. */
const RANK: Readonly<Record<Grade, number>> = { visual: 0, close: 1, detailed: 2 };

/** Longest intervals of equipment that is moved about, months. Source: IEC 60079-17, periodic inspections. */
const MOVED_CAPS: Readonly<Record<Movable, Partial<Record<Grade, number>>>> = {
  fixed: {},
  moved: { close: 12 },
  'moved-and-opened': { close: 12, detailed: 6 },
};

/** Level of a failed check from which on the interval halves. Chosen: with the handbook of the programme. */
const HALVES_FROM = 3;
/** What two sound inspections in a row give back. Chosen: with the handbook of the programme. */
const GIVES_BACK = { times: 1.5, inARow: 2 };

/**
 * What an entry’s own history makes of its interval: halved by each inspection at which a check of level 3 or 4 failed,
 * given back step by step by two sound close or detailed inspections in a row, never beyond the site’s value.
 *
 * @returns factor above 0 and at most 1
 */
export function historyFactor(sealed: readonly Counted[]): {
  factor: number;
  why: 'failed' | 'sound-again' | null;
} {
  let factor = 1;
  let row = 0;
  let why: 'failed' | 'sound-again' | null = null;
  for (const { grade, complete, sound, worst } of inOrder(sealed)) {
    if (worst >= HALVES_FROM) {
      factor /= 2;
      row = 0;
      why = 'failed';
    } else if (!sound) row = 0;
    // A look from a distance says nothing about what failed inside.
    else if (complete && grade !== 'visual' && ++row === GIVES_BACK.inARow) {
      row = 0;
      if (factor < 1) why = 'sound-again';
      factor = Math.min(1, factor * GIVES_BACK.times);
    }
  }
  return { factor, why: factor < 1 || why === 'sound-again' ? why : null };
}

const inOrder = (sealed: readonly Counted[]): Counted[] =>
  [...sealed].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));

/**
 * When an entry is due next, grade by grade: the newest complete inspection of that grade or a higher one, and the
 * interval in calendar months, clipped to the month’s end, in the site’s time zone. A lower grade or an incomplete
 * inspection never resets a higher one.
 *
 * @returns the grades that the site’s programme asks for, in the order of the grades
 */
export function dueOf(by: DueBy): Due[] {
  const history = historyFactor(by.sealed);
  const complete = inOrder(by.sealed).filter((one) => one.complete);
  return (['visual', 'close', 'detailed'] as const).flatMap((grade) => {
    const value = by.intervals[grade];
    return value === null ? [] : [dueAt({ grade, value, history, complete }, by)];
  });
}

/** A grade that is asked for every so many months, and what counts for it. */
interface Asked {
  grade: Grade;
  value: number;
  history: ReturnType<typeof historyFactor>;
  /** Complete inspections, the oldest first. */
  complete: readonly Counted[];
}

function dueAt(
  { grade, value, history, complete }: Asked,
  { capMonths, surroundings, movable, timeZone }: DueBy,
): Due {
  const since = complete.findLast((one) => RANK[one.grade] >= RANK[grade])?.at ?? null;
  const { factor, why } = history;
  const movedCap = MOVED_CAPS[movable][grade];
  const cap = Math.min(capMonths, movedCap ?? capMonths);
  const asked = Math.round(value * surroundings * factor);
  const months = Math.min(Math.max(asked, 1), cap);
  const reasons: DueReason[] = [
    ...(since === null ? (['never'] as const) : []),
    'site',
    ...(surroundings < 1 ? (['surroundings'] as const) : []),
    ...(why === null ? [] : [why]),
    ...(asked > cap
      ? [movedCap !== undefined && cap === movedCap ? ('movable' as const) : ('capped' as const)]
      : []),
  ];
  const day = since === null ? null : addMonths(dayIn(since, timeZone), months);
  return { grade, day, months, since, reasons };
}

/**
 * What is due first: what was never inspected before everything else, then the earliest day; of one day the higher
 * grade, which resets the lower ones too. Null where the programme asks for nothing.
 */
export function nextDue(by: DueBy): Due | null {
  const all = dueOf(by);
  if (all.length === 0) return null;
  return all.reduce((first, one) => ((one.day ?? '') <= (first.day ?? '') ? one : first));
}
