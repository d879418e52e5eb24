import { openAs, openBrowser, openPage, serveDemo } from './harness';
import { writeFileSync } from 'node:fs';
const served = await serveDemo({});
const { browser, close } = await openBrowser();
const { page } = await openPage(browser);
await openAs(page, served, 'A. Vell', process.argv[2] ?? '/makeoff/?site=marrowick&entry=mb-ax-34-a');
await page.waitForSelector('.plan-sheet');
await new Promise((r) => setTimeout(r, 1500));
for (const format of ['A4', 'Letter'] as const) { const b = await page.pdf({ format }); writeFileSync(`/tmp/plan-${format}.pdf`, b); console.log(format, Buffer.from(b).toString('latin1').match(/\/Type\s*\/Page\b/g)?.length); }
await page.setViewport({ width: 718, height: 1050 }); await page.emulateMediaType('print'); await page.screenshot({ path: '/tmp/shots/plan.png', fullPage: true });
console.log(await page.evaluate(() => { const out: string[] = []; for (let e: Element | null = document.querySelector('.plan-sheet'); e; e = e.parentElement) { const c = getComputedStyle(e); out.push([e.tagName, e.className, c.display, c.overflowY, c.position, Math.round(e.getBoundingClientRect().height), c.height, c.contain].join(' ')); } return out.join('\n'); }));
await close(); await served.stop();
