import type { Dimension } from '../../core/finder/candidate';
import { partTitle } from '../../core/words/en/kinds/titles';
import { FitStrip } from '../../ui/heart/FitStrip';
import type { GlyphState } from '../../ui/heart/SealGlyph';

/** One dimension of a candidate: the range, and where the cable falls in it. */
export function CandidateStrip({ dimension }: { dimension: Dimension }) {
  const { part, on, rangeMm, meanMm, minMm, maxMm, expandedUncertaintyMm, source } = dimension;
  return (
    <div className="candidate-strip">
      <span>
        {partTitle(part, on)}{' '}
        <small className="quiet">{source === 'measured' ? 'measured' : 'by its record'}</small>
      </span>
      <FitStrip
        unit="mm"
        limits={rangeMm}
        readings={[minMm, maxMm]}
        mean={meanMm}
        uncertainty={expandedUncertaintyMm}
        guarded
        state={stateOf(dimension)}
      />
    </div>
  );
}

function stateOf({ rangeMm: [low, high], minMm, maxMm, expandedUncertaintyMm: u }: Dimension): GlyphState {
  if (minMm < low - 1e-9) return 'small';
  if (maxMm > high + 1e-9) return 'large';
  return minMm - u < low - 1e-9 || maxMm + u > high + 1e-9 ? 'close' : 'fits';
}
