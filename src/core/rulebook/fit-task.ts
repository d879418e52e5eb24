import { placeRow } from '../kinds/kinds';
import type { FitTask, Limits, WorkedOut } from '../kinds/situation';
import { kindOf, type Dossier } from './dossier';
import { gapScale } from './gap-scale';
import { valueTaskOf } from './value-task';

/** What a place is held against as a fit; null where the records do not say, or it is no fit. */
export function fitTaskOf(dossier: Dossier, place: string): FitTask | null {
  const task = placeRow(dossier.entry.kind, place)?.fit?.(dossier, kindOf(dossier));
  return task ? { place, ...task } : null;
}

const workedOut = (dossier: Dossier): WorkedOut => ({ backNut: () => gapScale(dossier) });

/** Limits of a place in its own unit, for its strip: null where an end is open; null when nothing limits it. */
export function limitsOf(dossier: Dossier, place: string): Limits | null {
  const task = fitTaskOf(dossier, place);
  if (task) return [...task.rangeMm];
  const single = valueTaskOf(dossier, place);
  if (single) return [single.low, single.high];
  return placeRow(dossier.entry.kind, place)?.limits?.(dossier, workedOut(dossier)) ?? null;
}

/** What an instrument meets at a place when nobody says otherwise: what the record promises, in the place's unit. */
export function nominalOf(dossier: Dossier, place: string): number {
  const row = placeRow(dossier.entry.kind, place);
  const promised = row?.nominal?.(dossier, kindOf(dossier), workedOut(dossier));
  if (promised !== undefined) return promised;
  const task = valueTaskOf(dossier, place);
  if (task?.low != null && task.high !== null) return (task.low + task.high) / 2;
  return dossier.cable?.outerMm ?? UNKNOWN_MM;
}

/** A cable that nobody described, mm; chosen: a usual one. */
const UNKNOWN_MM = 20;
