import type { Page } from 'puppeteer-core';
import { clickText } from './harness';

const at = (path: string) => `[data-path="${path}"]`;

/** Fills one field of a record's form, by its path: types, or chooses what begins with the text. */
export async function fill(page: Page, path: string, text: string): Promise<void> {
  const field = await page.waitForSelector(`${at(path)} input, ${at(path)} select, ${at(path)} textarea`);
  const kind = await field!.evaluate((element) => element.tagName);
  if (kind === 'SELECT') {
    await page.waitForFunction(
      (s, t) => [...document.querySelector<HTMLSelectElement>(s)!.options].some((o) => o.text.startsWith(t)),
      {},
      `${at(path)} select`,
      text,
    );
    const value = await field!.evaluate(
      (element, t) => [...(element as HTMLSelectElement).options].find((o) => o.text.startsWith(t))!.value,
      text,
    );
    await page.select(`${at(path)} select`, value);
    return;
  }
  await field!.click({ count: 3 });
  await field!.type(text);
}

/** Adds a line to a list of a record's form, or opens a group that is not recorded. */
async function open(page: Page, path: string): Promise<void> {
  await page.waitForSelector(at(path));
  await page.evaluate((selector) => {
    const root = document.querySelector<HTMLElement>(selector)!;
    const legend = root.querySelector<HTMLInputElement>(':scope > legend input[type="checkbox"]');
    if (legend && !legend.checked) return legend.click();
    [...root.querySelectorAll<HTMLElement>(':scope > .wide > button')]
      .find((b) => b.textContent === 'Add')!
      .click();
  }, at(path));
}

/** Makes a record of a table of the dossier. */
export async function makeRecord(
  page: Page,
  tab: string,
  one: string,
  fields: Record<string, string | null>,
): Promise<void> {
  await clickText(page, '.dossier nav button', tab);
  await clickText(page, 'button', `New ${one}`);
  await page.waitForSelector('.record-form');
  for (const [path, text] of Object.entries(fields)) {
    if (text === null) await open(page, path);
    else await fill(page, path, text);
  }
  await clickText(page, '.form-foot button', 'Save');
  await page.waitForSelector('.records');
}
