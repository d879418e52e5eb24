import { clickText, openAs, openBrowser, openPage, serveDemo, waitForText } from './harness';

/** One picture per view, named after its folder. */
const VIEWS: [name: string, path: string, ready: string, size?: [width: number, height: number]][] = [
  ['site', '/site/?site=marrowick', '.plan'],
  ['bench', '/bench/?entry=mb-jb-204-c&site=marrowick', '.bench'],
  ['desk', '/desk/?site=marrowick&tool=back-nut&entry=mb-jb-201-a', '.desk-result'],
  ['makeoff', '/makeoff/?site=marrowick&entry=mb-ax-34-b', '.step.open'],
  ['clocks', '/clocks/?site=marrowick', '.clock-list li'],
  ['certificates', '/certificates/?site=marrowick&tab=find&entry=mb-jb-204-c', '.candidate'],
  ['mineral', '/mineral/?site=marrowick&cable=mb-cable-mi-03', 'canvas'],
  ['transit', '/transit/?site=marrowick&entry=mb-tr-3-c', '.face-block'],
  ['judging', '/bench/?entry=mb-jb-204-c&site=marrowick', '.look'],
  ['testing', '/makeoff/?site=marrowick&entry=mb-ax-34-m', '.ir-grid'],
  ['frame', '/site/?site=marrowick', '.plan'],
  ['defects', '/defects/?site=marrowick', '.ledger'],
  ['bench-tablet', '/bench/?entry=mb-jb-204-c&site=marrowick', '.bench', [834, 1112]],
  ['transit-tablet', '/transit/?site=marrowick&entry=mb-tr-3-c', '.face-block', [1112, 834]],
  ['report', '/report/?site=marrowick', '.files'],
  ['dossier', '/dossier/?site=marrowick&table=certificate&record=mb-cert-double', '.record-form'],
  ['hand', '/bench/?entry=mb-jb-204-c&site=marrowick', '.chip:not(.next)'],
];

const served = await serveDemo();
const { browser, close } = await openBrowser();
const { page } = await openPage(browser);
await openAs(page, served, 'A. Vell', '/site/');
for (const [name, path, ready, [width, height] = [1280, 800]] of VIEWS) {
  await page.setViewport({ width, height });
  await page.goto(served.address + path);
  await page.waitForSelector(ready);
  await page.evaluate(() =>
    document.fonts.ready.then(() => new Promise((resolve) => setTimeout(resolve, 700))),
  );
  // Shared rooms are shown where they stand: the looks of an entry, a test of insulation, the finder of every view.
  if (name === 'judging' || name === 'testing')
    await page.$eval(ready, (e) => e.scrollIntoView({ block: 'start' }));
  // What is given is said, and can be undone.
  if (name === 'hand') {
    await page.click(ready);
    await clickText(page, '.chip-menu button', 'Strike out');
    await waitForText(page, '.toast', 'Undo');
  }
  if (name === 'frame') {
    await page.keyboard.down('Control');
    await page.keyboard.press('k');
    await page.keyboard.up('Control');
    await page.waitForSelector('[role="dialog"] input');
    await page.type('[role="dialog"] input', 'JB-20');
    await page.waitForSelector('#find-hits button');
  }
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
}
await close();
await served.stop();
