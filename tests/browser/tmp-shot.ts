import { openAs, openBrowser, openPage, serveDemo } from './harness';
const served = await serveDemo();
const { browser, close } = await openBrowser();
const { page } = await openPage(browser);
await openAs(page, served, 'A. Vell', '/site/');
for (const arg of process.argv.slice(2)) {
  const [name, path, size, js] = arg.split('@@');
  const [width, height] = size!.split('x').map(Number);
  await page.setViewport({ width: width!, height: height! });
  await page.goto(served.address + path);
  await page.evaluate(() => document.fonts.ready.then(() => new Promise((r) => setTimeout(r, 1800))));
  if (js) { await page.evaluate(js); await new Promise((r) => setTimeout(r, 900)); }
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  console.log(name, 'wider by', wide);
  await page.screenshot({ path: `/tmp/shots/${name}.png` as `${string}.png` });
}
await close();
await served.stop();
