import type { InsulationAction, InsulationStage, InsulationVerdict } from '../../core/mineral/insulation';
import type { GlyphState } from '../../ui/heart/SealGlyph';

export const STAGE_WORDS: Record<InsulationStage, string> = {
  'before-seal': 'Before sealing',
  'after-seal': 'After sealing',
  'in-service': 'In service',
};

/** What to do after a test, in words. */
export const ACTION_WORDS: Record<InsulationAction, string> = {
  'seal-now': 'Sound: seal it now, before a reading is too old.',
  'dry-out': 'Damp: dry the end out, and test again.',
  'find-fault':
    'Short: do not dry it out. Find the fault: a crushed sheath, a stray strand, a nicked sleeve.',
  retest: 'Test again: a reading is invalid or too old.',
  record: 'Sound: it stands in the record.',
};

export const VERDICT_WORDS: Record<InsulationVerdict, string> = {
  sound: 'sound',
  damp: 'damp',
  short: 'short',
  invalid: 'says nothing',
};

export const VERDICT_GLYPH: Record<InsulationVerdict, GlyphState> = {
  sound: 'fits',
  damp: 'close',
  short: 'large',
  invalid: 'unread',
};

/** A resistance in the unit that suits its size. */
export function megohmWords(megohm: number, saturated = false): string {
  const more = saturated ? '> ' : '';
  if (megohm >= 1) return `${more}${megohm >= 100 ? megohm.toFixed(0) : megohm.toFixed(1)} MΩ`;
  return `${more}${(megohm * 1000).toFixed(megohm >= 0.01 ? 0 : 1)} kΩ`;
}
