import { Box } from '@mantine/core';
import type { PlanStep } from '../../core/makeoff/plan';
import type { Dossier } from '../../core/rulebook/dossier';
import { drawHandling } from '../../drawing/makeoff/handling';
import { DrawingView } from '../../ui/heart/DrawingView';

/** How a hand does a step, drawn. */
export default function StepPicture({ step, dossier }: { step: PlanStep; dossier: Dossier }) {
  const drawing = step.slips ? null : drawHandling(step, dossier);
  if (!drawing) return null;
  return (
    <Box className="plan-drawing" maw={330} my={6}>
      <DrawingView drawing={drawing} states={{}} aspect={1.5} shownPx={330} />
    </Box>
  );
}
