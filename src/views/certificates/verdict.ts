import type { Candidate } from '../../core/finder/candidate';
import type { GlyphState } from '../../ui/heart/SealGlyph';

/** Verdicts of the finder as they are said. */
export const VERDICT_WORDS: Record<Candidate['verdict'], string> = {
  fits: 'Fits',
  close: 'Close call',
  open: 'Not all known',
  no: 'Does not fit',
};

export const VERDICT_GLYPHS: Record<Candidate['verdict'], GlyphState> = {
  fits: 'fits',
  close: 'close',
  open: 'unread',
  no: 'large',
};
