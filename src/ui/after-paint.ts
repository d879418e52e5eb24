import { flushSync } from 'react-dom';

const waiting: (() => void)[] = [];
let listens = false;

/** A page in the background paints nothing: what waits is done after this, ms. */
const AT_LATEST_MS = 100;

/**
 * Does something once what a press changed has been painted: the rest of a page follows a press, it is not in its
 * way. The next key or press finds it done, so that nothing is ever answered on a page that lags behind.
 */
export function afterPaint(run: () => void): void {
  waiting.push(run);
  if (waiting.length > 1) return;
  listen();
  setTimeout(catchUp, AT_LATEST_MS);
  requestAnimationFrame(() => {
    // A message comes after the frame has been painted.
    const channel = new MessageChannel();
    channel.port1.onmessage = () => {
      channel.port1.close();
      catchUp();
    };
    channel.port2.postMessage(null);
  });
}

/** Does what waits for the paint at once. */
export function catchUp(): void {
  if (waiting.length === 0) return;
  const runs = waiting.splice(0);
  flushSync(() => runs.forEach((run) => run()));
}

function listen(): void {
  if (listens) return;
  listens = true;
  window.addEventListener('pointerdown', catchUp, true);
  window.addEventListener('keydown', catchUpWith, true);
}

/** A key that came before the page had followed the one before it belongs to what has the focus by now. */
function catchUpWith(event: KeyboardEvent): void {
  const had = document.activeElement;
  catchUp();
  const has = document.activeElement;
  if (!has || has === had) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  const { key, code, ctrlKey, shiftKey, altKey, metaKey, repeat } = event;
  const again = { key, code, ctrlKey, shiftKey, altKey, metaKey, repeat, bubbles: true, cancelable: true };
  has.dispatchEvent(new KeyboardEvent('keydown', again));
}
