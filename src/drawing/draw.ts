import type { Stage } from '../core/makeoff/stage';
import { kindOf, type Dossier } from '../core/rulebook/dossier';
import type { Kind } from '../core/kinds/kind';
import { drawMineral } from './section/mineral';
import { drawSection } from './section/section';
import { drawTransit } from './transit/face';
import type { Drawing } from './shapes';

/** Every body is drawn in section by the same hands; a kind that needs another view gets a line of its own. */
const DRAWINGS: Record<Kind['drawing'], (dossier: Dossier, stage?: Stage) => Drawing> = {
  gland: drawSection,
  industrial: drawSection,
  resin: drawSection,
  mineral: drawMineral,
  transit: (dossier) => drawTransit(dossier),
};

/**
 * Draws an entry from its record and its readings; the kinds table names the drawing.
 *
 * @param stage how far its make-off has come; finished unless said
 */
export const drawEntry = (dossier: Dossier, stage?: Stage): Drawing =>
  DRAWINGS[kindOf(dossier).drawing](dossier, stage);
