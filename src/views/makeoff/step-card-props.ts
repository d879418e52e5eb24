import type { PlanStep } from '../../core/makeoff/plan';
import type { MakeOff } from '../../core/record/types';
import type { Dossier } from '../../core/rulebook/dossier';

/** What the card of a step is given. */
export interface StepCardProps {
  dossier: Dossier;
  work: MakeOff;
  step: PlanStep;
  number: number;
  open: boolean;
  onOpen: () => void;
  onTick: (step: string, skipped: string | null) => void;
  onUntick: (step: string) => void;
  /** Ticks something that belongs to the step: what was seen, laid out or tried. */
  onMark: (tick: string, skipped: string | null) => void;
}
