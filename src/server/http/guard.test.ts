import type { IncomingMessage } from 'node:http';
import { describe, expect, it } from 'vitest';
import { hostNames, isOwnMachine, needsSession, refusalOf } from './guard';

const hosts = hostNames('127.0.0.1', 'plant.example, Tablet.Local');
const request = (method: string, headers: Record<string, string> = {}) =>
  ({ method, headers: { host: 'localhost:4321', ...headers } }) as unknown as IncomingMessage;
const status = (method: string, path: string, headers = {}) =>
  refusalOf(request(method, headers), path, hosts)?.status ?? null;

describe('what is refused unread', () => {
  it.each([
    ['a page', 'GET', '/bench/', {}, null],
    ['a change by a page of this server', 'POST', '/api/commands/', { origin: 'http://localhost:4321' }, null],
    ['a change by a program', 'POST', '/api/commands/', {}, null],
    ['a change by a page of elsewhere', 'POST', '/api/commands/', { origin: 'http://evil.example' }, 403],
    ['a change without an origin by a page of elsewhere', 'POST', '/api/commands/', { 'sec-fetch-site': 'cross-site' }, 403],
    ['a calculation by a page of elsewhere', 'POST', '/api/doors/fit/', { origin: 'http://evil.example' }, 403],
    ['a calculation by a program', 'POST', '/api/doors/fit/', {}, null],
    ['a name that was turned to this machine', 'GET', '/api/sites/', { host: 'evil.example:4321' }, 421],
    ['and its own origin with it', 'POST', '/api/session/', { host: 'evil.example', origin: 'http://evil.example' }, 421],
    ['no name', 'GET', '/api/sites/', { host: undefined }, 421],
    ['a name that was given to it', 'GET', '/api/sites/', { host: 'tablet.local' }, null],
    ['TRACE', 'TRACE', '/api/sites/', {}, 405],
    ['an unknown method', 'PROPFIND', '/bench/', {}, 405],
    ['a change of a page', 'DELETE', '/bench/', {}, 405],
    ['a body that says it is too large', 'POST', '/api/session/', { 'content-length': '64001' }, 413],
    ['a body within its limit', 'PUT', '/api/sites/s/photos/p/', { 'content-length': '11000000' }, null],
    ['a calculation over 1 MB', 'POST', '/api/doors/fit/', { 'content-length': '1000001' }, 413],
  ] as const)('%s', (_what, method, path, headers, expected) => expect(status(method, path, headers)).toBe(expected)); // prettier-ignore
});

describe('what needs a session', () => {
  it.each([
    ['/bench/', false],
    ['/api/session/', false],
    ['/api/health', false],
    ['/api/doors/fit/', false],
    ['/api/sessions/', true],
    ['/api/sites/', true],
    ['/api/sites/s/photos/p/', true],
    ['/api/events/', true],
    ['/api/commands/', true],
  ])('%s: %s', (path, needs) => expect(needsSession(path)).toBe(needs));
});

describe('addresses', () => {
  it('of this machine alone are known', () => {
    expect(['127.0.0.1', 'localhost', '::1', '127.8.8.8'].every(isOwnMachine)).toBe(true);
    expect(['0.0.0.0', '10.0.0.5', 'localhost.evil.example', '::'].some(isOwnMachine)).toBe(false);
  });
});
