/** The seven states of the one status mark. */
export type GlyphState = 'fits' | 'close' | 'small' | 'large' | 'unread' | 'na';

const WORDS: Record<GlyphState, string> = {
  fits: 'fits',
  close: 'close call',
  small: 'too small',
  large: 'failed',
  unread: 'not read',
  na: 'does not apply',
};

const TONES: Record<GlyphState, string> = {
  fits: 'tone-sound',
  close: 'tone-close',
  small: 'tone-failed',
  large: 'tone-failed',
  unread: 'tone-unread',
  na: 'tone-na',
};

/** The tone class of a state, for the words beside the glyph. */
export const toneOf = (state: GlyphState): string => TONES[state];

/**
 * The seal glyph: the ring is the seal, the disc is the cable. Never colour alone: every state has its own shape
 * and a text alternative.
 *
 * @param label replaces the state's own words, e.g. "Outer sheath, too large"; empty beside words that say the same
 */
export function SealGlyph({ state, size = 20, label }: { state: GlyphState; size?: number; label?: string }) {
  // Beside words that say the same, the mark is decoration.
  const named = label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label ?? WORDS[state] };
  return (
    <svg width={size} height={size} viewBox="-12 -12 24 24" className={TONES[state]} {...named}>
      {GLYPHS[state]}
    </svg>
  );
}

/** The same mark inside another SVG, centred at the origin. */
export function GlyphShapes({ state }: { state: GlyphState }) {
  return <g className={TONES[state]}>{GLYPHS[state]}</g>;
}

const ring = <circle r="9.2" fill="none" stroke="currentColor" strokeWidth="2.2" />;

/** Arcs of the ring that a cable too large has burst. */
const arcs = [20, 140, 260].map((from) => {
  const point = (deg: number) =>
    `${(10.2 * Math.cos((deg * Math.PI) / 180)).toFixed(2)} ${(10.2 * Math.sin((deg * Math.PI) / 180)).toFixed(2)}`;
  return (
    <path
      key={from}
      d={`M${point(from)}A10.2 10.2 0 0 1 ${point(from + 76)}`}
      fill="none"
      stroke="currentColor"
      strokeWidth="2.2"
    />
  );
});

const GLYPHS: Record<GlyphState, React.ReactNode> = {
  fits: (
    <>
      {ring}
      <circle r="6.2" fill="currentColor" />
    </>
  ),
  close: (
    <>
      {ring}
      <circle cx="2.4" r="5.6" fill="currentColor" />
    </>
  ),
  small: (
    <>
      {ring}
      <circle r="2.6" fill="currentColor" />
    </>
  ),
  large: (
    <>
      {arcs}
      <circle r="7.2" fill="currentColor" />
    </>
  ),
  unread: <circle r="9.2" fill="none" stroke="currentColor" strokeWidth="2.2" strokeDasharray="3.6 2.2" />,
  na: (
    <>
      {ring}
      <rect x="-10" y="-1.3" width="20" height="2.6" fill="currentColor" />
    </>
  ),
};
