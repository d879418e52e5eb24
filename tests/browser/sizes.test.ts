import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { openAs, openPage } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

/** Phone, tablet and desk, both ways round. */
const SIZES = [[390, 844], [844, 390], [834, 1112], [1112, 834], [1280, 800], [1920, 1080]] as const; // prettier-ignore

/** Least height of what is pressed, px: with gloves at the work, and elsewhere. */
const GLOVES = 48;
const ELSEWHERE = 40;

const VIEWS: [path: string, ready: string, least: number][] = [
  ['/site/?site=marrowick', '.plan', ELSEWHERE],
  ['/bench/?entry=mb-jb-204-c&site=marrowick', '.bench', GLOVES],
  ['/transit/?site=marrowick&entry=mb-tr-3-c', '.face-block', GLOVES],
  ['/mineral/?site=marrowick&cable=mb-cable-mi-03', 'canvas', ELSEWHERE],
  ['/makeoff/?site=marrowick&entry=mb-ax-34-b', '.step.open', GLOVES],
  ['/clocks/?site=marrowick', '.clock-list li', ELSEWHERE],
  ['/defects/?site=marrowick', '.ledger', ELSEWHERE],
  ['/report/?site=marrowick', '.files', ELSEWHERE],
  ['/dossier/?site=marrowick&table=certificate', '.records', ELSEWHERE],
  ['/certificates/?site=marrowick', '.charts svg', ELSEWHERE],
  ['/certificates/?site=marrowick&tab=find&entry=mb-jb-201-a', '.candidate', ELSEWHERE],
  ['/desk/?site=marrowick&tool=compound&entry=mb-ax-31-a', '.desk-result', ELSEWHERE],
];

/** Most controls of a view that are looked at, at one size. */
const MOST_CONTROLS = 160;

/** What is wrong with a page as it stands: too wide, a control that something lies over, one that is too small. */
const wrongIn = (page: Page, least: number, most: number): Promise<string[]> =>
  page.evaluate(
    async (leastPx, mostControls) => {
      const wrong: string[] = [];
      const { clientWidth, scrollWidth } = document.documentElement;
      if (scrollWidth > clientWidth) wrong.push(`the page is ${scrollWidth} px wide`);
      const named = (one: Element) =>
        `${one.tagName.toLowerCase()} “${(one.getAttribute('aria-label') ?? one.textContent ?? '').trim().slice(0, 30)}”`;
      const controls = [...document.querySelectorAll<HTMLElement>('button, select, textarea, input, nav a')]
        .filter((one) => one.checkVisibility() && one.getBoundingClientRect().width > 0)
        .filter((one) => !one.matches(':disabled, .skip-link, [type="file"]'))
        .slice(0, mostControls);
      for (const one of controls) {
        one.scrollIntoView({ block: 'center', inline: 'center', behavior: 'instant' });
        const { left, top, width, height } = one.getBoundingClientRect();
        const small = one.matches('[type="checkbox"], [type="radio"]') ? 20 : leastPx;
        if (height < small - 0.5) wrong.push(`${named(one)} is ${Math.round(height)} px high`);
        if (left < -0.5 || left + width > clientWidth + 0.5) wrong.push(`${named(one)} is cut at the side`);
        const there = document.elementFromPoint(left + width / 2, top + height / 2);
        const own =
          there && (one.contains(there) || there.contains(one) || there.closest('label')?.contains(one));
        if (!own) wrong.push(`${there ? named(there) : 'nothing'} lies over ${named(one)}`);
        else if (there !== one && there!.contains(one) && !one.contains(there)) {
          // Something that holds the control is hit where the control itself should be.
          const label = there!.closest('label');
          if (!label)
            wrong.push(
              `${there!.tagName.toLowerCase()}.${there!.className} is hit in place of ${named(one)}`,
            );
        }
      }
      window.scrollTo(0, 0);
      return wrong;
    },
    least,
    most,
  );

describe('at every size', () => {
  it.each(VIEWS)('%s stands in its screen, and everything can be pressed', async (path, ready, least) => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', path);
    await page.waitForSelector(ready);
    const wrong: string[] = [];
    for (const [width, height] of SIZES) {
      await page.setViewport({ width, height });
      await page.evaluate(
        () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
      );
      for (const one of await wrongIn(page, least, MOST_CONTROLS)) wrong.push(`${width}×${height}: ${one}`);
    }
    expect(wrong).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});
