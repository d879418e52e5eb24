import { failedFinding } from '../../commands/apply-defect';
import type { AnyCommand } from '../../commands/commands';
import type { Finding } from '../../record/finding';
import type { Slice } from '../../record/slice';
import type { Said } from '../../record/types';
import { assessDossier } from '../../rulebook/assess';
import { dossierOf, type Dossier } from '../../rulebook/dossier';
import { statement } from './findings';

/** Language of these words. */
const LANGUAGE = 'en';

/**
 * A command with its findings in the words that they are shown in: what is sealed or raised keeps them, whatever the
 * words become later. One that carries them already, or rests on no finding, stays as it is.
 */
export function withSaid(slice: Slice, command: AnyCommand): AnyCommand {
  if (command.kind !== 'inspection.seal' && command.kind !== 'defect.raise') return command;
  const { payload, at } = command;
  if (payload.said) return command;
  const round = slice.get('round', payload.round);
  const dossier = round && dossierOf(slice, payload.entry, round);
  // The reducer refuses it, and says why.
  if (!dossier) return command;
  if (command.kind === 'inspection.seal') {
    const { findings } = assessDossier(slice, dossier, at, round.grade);
    return { ...command, payload: { ...command.payload, said: saidOf(findings) } };
  }
  const said = raisedAs(dossier, command.payload, at);
  return said ? { ...command, payload: { ...command.payload, said } } : command;
}

function raisedAs(dossier: Dossier, raise: Parameters<typeof failedFinding>[1], at: string): Said | null {
  const finding = raise.check === null ? null : failedFinding(dossier, raise, at);
  return finding && saidOf([finding]);
}

/** Findings as they are shown. */
const saidOf = (findings: readonly Finding[]): Said => ({
  language: LANGUAGE,
  sentences: findings.map((finding) => ({ check: finding.check, text: statement(finding) })),
});
