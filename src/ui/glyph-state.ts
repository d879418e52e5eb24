import type { EntryState, Finding, Outcome } from '../core/record/finding';
import type { GlyphState } from './heart/SealGlyph';

const OF_OUTCOME: Record<Outcome, GlyphState> = {
  conforms: 'fits',
  marginal: 'close',
  fails: 'large',
  unread: 'unread',
  'not-applicable': 'na',
};

const OF_STATE: Record<EntryState, GlyphState> = {
  sound: 'fits',
  doubtful: 'close',
  failed: 'large',
  incomplete: 'unread',
};

/** The mark of a finding or an aspect: only a size that is too small has the small disc. */
export const glyphOfFinding = ({ outcome, key }: Pick<Finding, 'outcome' | 'key'>): GlyphState =>
  key === 'fit.below' ? 'small' : OF_OUTCOME[outcome];

/** The mark of an entry as a whole. */
export const glyphOfState = (state: EntryState): GlyphState => OF_STATE[state];
