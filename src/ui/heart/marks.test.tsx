import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { FitStrip } from './FitStrip';
import { SealGlyph, type GlyphState } from './SealGlyph';

const STATES: GlyphState[] = ['fits', 'close', 'small', 'large', 'unread', 'na'];

describe('the seal glyph', () => {
  it('has a text alternative and a shape of its own for every state', () => {
    const drawn = STATES.map((state) => renderToStaticMarkup(<SealGlyph state={state} />));
    for (const markup of drawn) expect(markup).toMatch(/role="img" aria-label="[a-z ]+"/);
    // Without colour the shapes still differ.
    expect(new Set(drawn.map((markup) => markup.replace(/class="[^"]*"|aria-label="[^"]*"/g, ''))).size).toBe(
      STATES.length,
    );
  });
  it('is hidden from readers only beside words that say the same', () => {
    expect(renderToStaticMarkup(<SealGlyph state="fits" label="" />)).toContain('aria-hidden="true"');
  });
});

describe('the fit strip', () => {
  it('says its range, mean and uncertainty in words', () => {
    const markup = renderToStaticMarkup(
      <FitStrip
        unit="mm"
        limits={[16.9, 24.1]}
        readings={[20.7, 20.8]}
        mean={20.75}
        uncertainty={0.05}
        guarded
        state="fits"
      />,
    );
    expect(markup).toContain('aria-label="range 16.9 to 24.1 mm, 20.75 ± 0.05 mm"');
    expect(markup.match(/<line/g)!.length).toBe(3);
  });
  it('shows an open end, and nothing read', () => {
    expect(
      renderToStaticMarkup(
        <FitStrip
          unit="mm"
          limits={[8, null]}
          readings={[]}
          mean={null}
          uncertainty={null}
          guarded={false}
          state="unread"
        />,
      ),
    ).toContain('at least 8.0 mm, not read');
  });
});
