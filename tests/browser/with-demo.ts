import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, inject } from 'vitest';
import { openBrowser, serveDemo, type Served } from './harness';

/** The demo and a browser for the tests of one file; both are stopped after the last. */
export interface Demo {
  served: Served;
  browser: Browser;
}

/** Starts the demo and a browser before the first test of the file. */
export function withDemo(): Demo {
  const demo = {} as Demo;
  let close: (() => Promise<void>) | undefined;
  beforeAll(async () => {
    demo.served = await serveDemo({ seeded: inject('seeded') });
    ({ browser: demo.browser, close } = await openBrowser());
  });
  afterAll(async () => {
    await close?.();
    await demo.served?.stop();
  });
  return demo;
}
