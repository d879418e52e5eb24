// What scripts a built page loads before it shows anything: its islands, and what they import, and so on.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const ISLAND = /(?:component-url|renderer-url|before-hydration-url)="([^"]+)"/g;
const SCRIPT = /<script[^>]*\ssrc="([^"]+)"/g;
const IMPORT = /(?:import|export)[^"'()]*?from\s*["']([^"']+)["']|import\s*["']([^"']+)["']/g;

/**
 * Scripts of a page, by their addresses.
 *
 * @param {string} client folder of the built pages
 * @param {string} html text of the page
 * @returns {string[]}
 */
export function scriptsOf(client, html) {
  const todo = [...html.matchAll(ISLAND), ...html.matchAll(SCRIPT)].map(([, address]) => address);
  const seen = new Set();
  while (todo.length > 0) {
    const address = todo.pop();
    if (seen.has(address)) continue;
    seen.add(address);
    const text = readFileSync(join(client, address), 'utf8');
    for (const [, from, bare] of text.matchAll(IMPORT)) {
      const imported = from ?? bare;
      if (imported.endsWith('.js')) todo.push(new URL(imported, `http://page${address}`).pathname);
    }
  }
  return [...seen].sort();
}

/** The page with its scripts named in its head, so that they are fetched side by side. */
export function withPreloads(client, html) {
  const links = scriptsOf(client, html).map((address) => `<link rel="modulepreload" href="${address}">`);
  return html.replace('</head>', `${links.join('')}</head>`);
}
