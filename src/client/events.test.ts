// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { EventsClient } from './events';

/** A stream that a test opens, breaks and closes. */
class Stream extends EventTarget {
  static readonly CLOSED = 2;
  static all: Stream[] = [];
  readyState = 0;
  onopen: () => void = () => {};
  onerror: () => void = () => {};
  constructor(readonly url: string) {
    super();
    Stream.all.push(this);
  }
  close() {
    this.readyState = Stream.CLOSED;
  }
  bring(name: string, data: unknown) {
    this.dispatchEvent(Object.assign(new Event(name), { data: JSON.stringify(data) }));
  }
}

const heard: unknown[] = [];
const open = () => Stream.all.filter(({ readyState }) => readyState !== Stream.CLOSED);
const newest = () => Stream.all[Stream.all.length - 1]!;

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('EventSource', Stream);
  Stream.all = [];
  heard.length = 0;
});
afterEach(() => {
  for (const one of clients.splice(0)) one.listen(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const clients: EventsClient[] = [];
const client = () => {
  const one = new EventsClient({
    instrument: (line) => heard.push(['instrument', line]),
    journal: (news) => heard.push(['journal', news]),
    task: (progress) => heard.push(['task', progress]),
    judging: (progress) => heard.push(['judging', progress]),
    open: (is) => heard.push(['open', is]),
  });
  clients.push(one);
  return one;
};

describe('the stream of a page', () => {
  it('is one, of the site that is listened to', () => {
    const events = client();
    events.listen('s');
    events.listen('s');
    expect(open().map(({ url }) => url)).toEqual(['/api/events/?sites=s']);
    events.listen('t/u');
    expect(open().map(({ url }) => url)).toEqual(['/api/events/?sites=t%2Fu']);
    events.listen(null);
    expect(open()).toEqual([]);
  });

  it('tells what it brings to whom it is for', () => {
    client().listen('s');
    newest().bring('instrument', { value: 20.7 });
    newest().bring('journal', { seq: 3 });
    newest().bring('task', { done: 1 });
    newest().onopen();
    expect(heard).toEqual([
      ['instrument', { value: 20.7 }],
      ['journal', { seq: 3 }],
      ['task', { done: 1 }],
      ['open', true],
    ]);
  });

  it('that was refused is asked for again after a while', () => {
    client().listen('s');
    newest().close();
    newest().onerror();
    expect(heard).toEqual([['open', false]]);
    expect(open()).toHaveLength(0);
    vi.advanceTimersByTime(3000);
    expect(open()).toHaveLength(1);
    expect(Stream.all).toHaveLength(2);
  });

  it('that breaks and comes back by itself is left alone', () => {
    client().listen('s');
    newest().onerror();
    vi.advanceTimersByTime(30_000);
    expect(Stream.all).toHaveLength(1);
  });

  it('of which nothing is heard for long is opened anew; a sign of life keeps it', () => {
    client().listen('s');
    for (let i = 0; i < 4; i++) {
      vi.advanceTimersByTime(40_000);
      newest().bring('alive', {});
    }
    expect(Stream.all).toHaveLength(1);
    vi.advanceTimersByTime(54_000);
    expect(Stream.all).toHaveLength(2);
    expect(open()).toHaveLength(1);
  });

  it('is closed with its page, and opened again when the page is shown again from memory', () => {
    client().listen('s');
    window.dispatchEvent(new Event('pagehide'));
    expect(open()).toHaveLength(0);
    window.dispatchEvent(Object.assign(new Event('pageshow'), { persisted: false }));
    expect(open()).toHaveLength(0);
    window.dispatchEvent(Object.assign(new Event('pageshow'), { persisted: true }));
    expect(open()).toHaveLength(1);
  });
});
