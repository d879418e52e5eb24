import { severity as severityOf, type Hazard, type Severity } from '../defects/severity';
import type { Level } from '../hazard/level';

export interface SeverityInput {
  consequence: Severity;
  hazard: Hazard;
  area_level: Level;
}

export interface SeverityOutput {
  severity: Severity;
}

/** Door `severity`: level 1 to 4 of a defect from its consequence, its hazard and what the area requires. */
export const severity = (input: SeverityInput): SeverityOutput => ({
  severity: severityOf(input.consequence, input.hazard, input.area_level),
});
