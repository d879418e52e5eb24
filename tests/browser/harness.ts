import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type ElementHandle, type Page } from 'puppeteer-core';

const FLAGS = [
  '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
  '--disable-component-update', '--disable-sync',
]; // prettier-ignore

/** A running server of the built application, with the demo data. */
export interface Served {
  address: string;
  port: number;
  data: string;
  process: ChildProcess;
  stop: () => Promise<void>;
}

/**
 * Starts the built application on demo data; `port` 0 takes any free one, `now` sets its clock, `seeded` is a
 * folder whose database is copied instead of seeding anew, `empty` leaves the demo data out.
 */
export async function serveDemo({
  port = 0,
  data,
  now,
  seeded,
  empty = false,
}: { port?: number; data?: string; now?: string; seeded?: string; empty?: boolean } = {}): Promise<Served> {
  const folder = data ?? mkdtempSync(join(tmpdir(), 'yendral-browser-'));
  if (seeded) cpSync(seeded, folder, { recursive: true });
  const child = spawn(process.execPath, [empty ? 'dist/cli/start.mjs' : 'dist/cli/demo.mjs'], {
    env: { ...process.env, PORT: String(port), YENDRAL_DATA: folder, YENDRAL_NOW: now ?? '' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    const hear = (chunk: Buffer) => {
      said += chunk.toString();
      const found = /ready: (http:\S+?)\/\n/.exec(said);
      if (found) resolve(found[1]!);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
  });
  return {
    address,
    port: Number(new URL(address).port),
    data: folder,
    process: child,
    stop: () => ended(child, 'SIGTERM'),
  };
}

/** Ends a process and waits until it is gone. */
export const ended = (child: ChildProcess, signal: NodeJS.Signals): Promise<void> =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve();
    child.once('exit', () => resolve());
    child.kill(signal);
  });

/** The cookie of one of the demo's people. */
async function cookieOf(address: string, person: string): Promise<string> {
  const signedIn = await fetch(`${address}/api/session/`, {
    method: 'POST',
    body: JSON.stringify({ name: person }),
  });
  return signedIn.headers.get('set-cookie')!.split(';')[0]!;
}

/** Asks the server as one of the demo's people, beside any page. */
export async function fetchAs(address: string, path: string, person = 'M. Okonjo'): Promise<Response> {
  return fetch(address + path, { headers: { cookie: await cookieOf(address, person) } });
}

/** Starts Debian's Chromium with a fresh profile. */
export async function openBrowser(): Promise<{ browser: Browser; close: () => Promise<void> }> {
  const profile = mkdtempSync(join(tmpdir(), 'yendral-profile-'));
  const browser = await puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    timeout: 120_000,
    args: FLAGS,
    userDataDir: profile,
    defaultViewport: { width: 1280, height: 800 },
  });
  return {
    browser,
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** A page whose errors fail the test that closes it. */
export async function openPage(browser: Browser): Promise<{ page: Page; errors: string[] }> {
  // A context of its own: nobody is signed in yet, nothing is kept from another test.
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  page.setDefaultTimeout(60_000);
  const errors: string[] = [];
  // A page in which something is typed asks before it is left.
  page.on('dialog', (dialog) => void (dialog.type() === 'beforeunload' && dialog.accept()));
  page.on('pageerror', (error) => errors.push(String(error)));
  page.on('console', (message) => {
    // A request that fails while the server is away is part of the work.
    if (message.type() === 'error' && !/Failed to load resource|ERR_/.test(message.text()))
      errors.push(message.text());
  });
  return { page, errors };
}

/** Opens a view as one of the demo's people, who is signed in on this device already. */
export async function openAs(page: Page, { address }: Served, person: string, path: string): Promise<void> {
  const [name, value] = (await cookieOf(address, person)).split('=') as [string, string];
  await page.setCookie({ name, value, url: address });
  await page.goto(`${address}${path}`);
  if (path === '/site/') await page.waitForSelector('.site');
}

/** Clicks the first element of a kind that holds a text. */
export async function clickText(page: Page, selector: string, text: string): Promise<void> {
  const handle = await page.waitForFunction(
    (s, t) =>
      [...document.querySelectorAll<HTMLElement>(s)].find(
        (e) => e.offsetParent !== null && e.textContent?.includes(t),
      ),
    {},
    selector,
    text,
  );
  await (handle as unknown as { click: () => Promise<void> }).click();
}

/** The field whose label holds some words. */
export async function labelled(page: Page, words: string): Promise<ElementHandle<HTMLInputElement>> {
  const handle = await page.waitForFunction(
    (w) =>
      [...document.querySelectorAll<HTMLInputElement>('input, select, textarea')].find((field) =>
        field.labels?.[0]?.textContent?.includes(w),
      ),
    {},
    words,
  );
  return handle as unknown as ElementHandle<HTMLInputElement>;
}

/** Types anew what stands in the field of a label. */
export async function retype(page: Page, words: string, text: string): Promise<void> {
  const field = await labelled(page, words);
  await field.click({ count: 3 });
  await field.type(text);
}

/** Waits until the page's text holds something. */
export const waitForText = (page: Page, selector: string, text: string) =>
  page.waitForFunction(
    (s, t) => [...document.querySelectorAll(s)].some((e) => e.textContent?.includes(t)),
    {},
    selector,
    text,
  );

/** Chooses a value in the field of a label. */
export const choose = async (page: Page, words: string, value: string): Promise<void> =>
  void (await (await labelled(page, words)).select(value));
