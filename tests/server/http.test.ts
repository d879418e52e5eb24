import exifr from 'exifr';
import { readdirSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { answers, command } from './given';
import { clientOf, serveDemo, type Client, type Served } from './served';

let served: Served;
let client: Client;
beforeAll(async () => {
  served = await serveDemo({ seeded: inject('seeded') });
  client = await clientOf(served);
}, 180_000);
afterAll(() => served.stop());

const reading = (more: object = {}) => ({
  id: ulid(),
  entry: 'mb-jb-204-d',
  round: 'mb-round-14',
  place: 'outer-sheath',
  value: 20.7,
  typed: '20.7',
  method: 'caliper',
  instrument: 'mb-caliper-07',
  source: 'typed',
  ...more,
});
const send = (...commands: object[]) => client.call('POST', '/api/commands/', { commands });

describe('commands over HTTP', () => {
  it('the same command twice is one reading; another payload under its id is refused', async () => {
    const take = command('reading.take', reading());
    const first = answers((await send(take)).json)[0]!;
    const again = answers((await send(take)).json)[0]!;
    expect(first).toMatchObject({ status: 'applied' });
    expect(again).toEqual(first);
    const other = await send({ ...take, payload: { ...take.payload, value: 21 } });
    expect(other.status).toBe(409);
    expect(answers(other.json)[0]).toMatchObject({ status: 'refused', code: 'exists' });
  });

  it.each([
    ['a negative value', reading({ value: -1 }), 'payload.value'],
    ['a huge value', reading({ value: 1e9 }), 'payload.value'],
    ['a text for a number', reading({ value: 'abc' }), 'payload.value'],
    ['an unknown entry', reading({ entry: 'nowhere' }), 'entry'],
    ['an unknown instrument', reading({ instrument: 'nothing' }), 'instrument'],
    ['an unknown place', reading({ place: 'moon' }), 'place'],
    ['an unknown field', reading({ extra: 1 }), 'payload.extra'],
    ['a field named constructor', reading({ constructor: 1 }), 'payload.constructor'],
    ['nothing', {}, 'payload.id'],
  ])('%s is refused by its field', async (_what, payload, field) => {
    const { status, json } = await send(command('reading.take', payload));
    expect([409, 422]).toContain(status);
    expect(answers(json)[0]).toMatchObject({ status: 'refused', field });
  });

  it.each([
    ['an unknown kind', command('site.explode', {}), 'kind'],
    ['an unknown site', { ...command('reading.strike', { id: 'x', reason: 'y' }), site: 'nowhere' }, 'site'],
    ['no command at all', null, ''],
    ['a list', [], ''],
    ['a blank time', command('reading.take', reading(), { at: 'soon' }), 'at'],
    ['null in place of an object', command('entry.add', null as never), 'payload'],
  ])('%s is refused by its field', async (_what, value, field) => {
    const { json } = await client.call('POST', '/api/commands/', { commands: [value] });
    expect(answers(json)[0]).toMatchObject({ status: 'refused', field });
  });

  it('one refused command does not stop the others', async () => {
    const { status, json } = await send(
      command('reading.take', reading({ value: -1 })),
      command('reading.take', reading()),
    );
    expect(status).toBe(200);
    expect(answers(json).map(({ status: s }) => s)).toEqual(['refused', 'applied']);
  });

  it('a time ahead of the server is taken back to it and marked', async () => {
    const ahead = command('reading.take', reading(), { at: new Date(Date.now() + 3_600_000).toISOString() });
    expect(answers((await send(ahead)).json)[0]).toMatchObject({ status: 'applied', clamped: true });
  });

  it('a reading of an instrument past its calibration is kept and marked when typed, refused when sent', async () => {
    const typed = command('reading.take', reading({ instrument: 'mb-caliper-03' }));
    expect(answers((await send(typed)).json)[0]).toMatchObject({ status: 'applied' });
    const { text } = await client.call('GET', '/api/sites/marrowick/');
    const kept = (JSON.parse(text) as { records: { reading: { id: string; fault: string }[] } }).records
      .reading;
    expect(kept.find(({ id }) => id === (typed.payload as { id: string }).id)?.fault).toBe(
      'past-calibration',
    );
    const live = command('reading.take', reading({ instrument: 'mb-caliper-03', source: 'instrument' }));
    expect(answers((await send(live)).json)[0]).toMatchObject({ status: 'refused', field: 'instrument' });
  });

  it('undo takes back, and is refused when something later depends on it', async () => {
    const take = command('reading.take', reading());
    const { id } = take.payload as { id: string };
    const strike = command('reading.strike', { id, reason: 'misreading' });
    await send(take, strike);
    expect(answers((await send(command('undo', { command: take.id }))).json)[0]).toMatchObject({
      code: 'depends',
    });
    const undo = command('undo', { command: strike.id });
    expect(
      answers((await send(undo, command('undo', { command: take.id }))).json).map((a) => a.status),
    ).toEqual(['applied', 'applied']);
  });
});

describe('bad requests', () => {
  it.each([
    ['10 MB of JSON', 'POST', '/api/commands/', 'x'.repeat(10_000_000), 413],
    ['no JSON', 'POST', '/api/commands/', '{', 400],
    ['no commands', 'POST', '/api/commands/', '{}', 422],
    ['null', 'POST', '/api/commands/', 'null', 422],
    ['a site that is not there', 'GET', '/api/sites/nowhere/', undefined, 404],
    ['an export that is not there', 'GET', '/api/sites/marrowick/export/secrets.csv/', undefined, 404],
    ['a journal from nowhere', 'GET', '/api/sites/marrowick/commands/?after=x', undefined, 422],
    ['a photo that is not there', 'GET', '/api/sites/marrowick/photos/none/', undefined, 404],
    ['a photo that is none', 'PUT', `/api/sites/marrowick/photos/${ulid()}/`, 'not a picture', 415],
    ['an empty photo', 'PUT', `/api/sites/marrowick/photos/${ulid()}/`, '', 415],
    ['a path for a photo', 'PUT', '/api/sites/marrowick/photos/..%2Fx/', 'x', 422],
    ['a name that is none', 'POST', '/api/session/', '{"name": 7}', 422],
    [
      'an instrument that is not there',
      'POST',
      '/api/sites/marrowick/instruments/none/',
      '{"jaws":"open"}',
      404,
    ],
    ['jaws that bite', 'POST', '/api/sites/marrowick/instruments/mb-caliper-07/', '{"jaws":"bite"}', 422],
    ['an address that is not there', 'GET', '/api/nowhere/', undefined, 404],
    ['an address that cannot be read', 'GET', '/%E0%A4%A', undefined, 400],
  ])('%s', async (_what, method, path, body, status) => {
    const answer = await client.call(method, path, body);
    expect(answer.status).toBe(status);
    expect(answer.json.error?.message, answer.text.slice(0, 200)).toMatch(/^\S.{8,}/);
  });

  it.each([
    ['who has not said who they are', 'GET', '/api/sites/marrowick/export/site.json/', {}, 401],
    ['a stream without a name', 'GET', '/api/events/?sites=marrowick', {}, 401],
    ['a body without a name, unread', 'PUT', '/api/sites/marrowick/photos/x/', {}, 401],
    [
      'a calculation of a page of elsewhere',
      'POST',
      '/api/doors/fit/',
      { origin: 'http://evil.example' },
      403,
    ],
    ['a calculation without a name', 'POST', '/api/doors/severity/', {}, 422],
    ['whether it is well', 'GET', '/api/health/', {}, 200],
    ['an unknown method', 'PROPFIND', '/bench/', {}, 405],
  ] as const)('%s', async (_what, method, path, headers, status) => {
    const response = await fetch(served.address + path, {
      method, headers, ...(method === 'GET' || method === 'PROPFIND' ? {} : { body: '{}' }),
    }); // prettier-ignore
    expect(response.status).toBe(status);
    await response.body?.cancel();
  });

  it('a name that was turned to this machine reads nothing', async () => {
    const answer = await new Promise<number>((resolve, reject) => {
      const asked = request({ port: served.port, host: '127.0.0.1', path: '/api/sites/', headers: { host: 'evil.example', cookie: client.cookie() } }, ({ statusCode }) => resolve(statusCode!)); // prettier-ignore
      asked.on('error', reject);
      asked.end();
    });
    expect(answer).toBe(421);
  });

  it('an upload that breaks off leaves nothing behind, and the server goes on', async () => {
    const before = readdirSync(join(served.data, 'sites', 'marrowick', 'photos'));
    for (let i = 0; i < 10; i++) {
      const stop = new AbortController();
      const asked = request({ port: served.port, host: '127.0.0.1', method: 'PUT', path: `/api/sites/marrowick/photos/${ulid()}/`, signal: stop.signal, headers: { cookie: client.cookie(), 'content-length': '100000' } }); // prettier-ignore
      asked.on('error', () => undefined);
      asked.write('x'.repeat(1000));
      await new Promise((resolve) => setTimeout(resolve, 20));
      stop.abort();
    }
    expect((await client.call('GET', '/api/health/')).status).toBe(200);
    expect(readdirSync(join(served.data, 'sites', 'marrowick', 'photos'))).toEqual(before);
  });

  it('an export that nobody waits for ends, and holds nobody up meanwhile', async () => {
    const stop = new AbortController();
    const asked = Array.from(
      { length: 4 },
      () =>
        fetch(`${served.address}/api/sites/marrowick/export/findings.csv/`, { headers: { cookie: client.cookie() }, signal: stop.signal }).then((one) => one.text()), // prettier-ignore
    );
    expect((await client.call('GET', '/api/health/')).status).toBe(200);
    stop.abort();
    await Promise.all(asked.map((one) => expect(one).rejects.toThrow()));
    const whole = await client.call('GET', '/api/sites/marrowick/export/findings.csv/');
    expect(whole.status).toBe(200);
    expect(whole.headers.get('content-type')).toContain('text/csv');
  });

  it('asking for the head of an export makes none, and holds nobody up', async () => {
    for (let i = 0; i < 5; i++) {
      const { status, headers, bytes } = await client.call('HEAD', '/api/sites/marrowick/export/site.json/');
      expect([status, bytes.length]).toEqual([200, 0]);
      expect(headers.get('content-disposition')).toContain('site.json');
    }
    const { status, json } = await client.call('POST', '/api/sites/marrowick/import/sheets/', 'x');
    expect([status, json.error!.field]).toEqual([422, '(file)']);
  });

  it('a change from another page is refused', async () => {
    const { status } = await client.call(
      'POST',
      '/api/session/',
      { name: 'Mallory' },
      { origin: 'http://elsewhere.example' },
    );
    expect(status).toBe(403);
  });

  it('nobody records without saying who they are', async () => {
    const response = await fetch(`${served.address}/api/commands/`, {
      method: 'POST',
      body: '{"commands":[]}',
    });
    expect(response.status).toBe(401);
  });
});

describe('headers', () => {
  it('every page has a policy that allows own scripts only', async () => {
    const { headers, text } = await client.call('GET', '/bench/');
    const policy = headers.get('content-security-policy')!;
    expect(policy).toContain("default-src 'self'");
    expect(policy.match(/script-src [^;]*/)![0]).not.toContain('unsafe-inline');
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(text).toContain('<astro-island');
  });
});

describe('photos', () => {
  it('are stored without their location, and the same bytes twice are one photo', async () => {
    const sent = await sharp({ create: { width: 80, height: 60, channels: 3, background: '#884422' } })
      .withExif({
        IFD3: {
          GPSLatitudeRef: 'N',
          GPSLatitude: '51/1 30/1 0/1',
          GPSLongitudeRef: 'W',
          GPSLongitude: '0/1 7/1 0/1',
        },
      })
      .jpeg()
      .toBuffer();
    expect(await exifr.gps(sent)).toMatchObject({ latitude: 51.5 });
    const id = ulid();
    const first = await client.call('PUT', `/api/sites/marrowick/photos/${id}/`, sent);
    expect(first.status).toBe(200);
    expect((await client.call('PUT', `/api/sites/marrowick/photos/${id}/`, sent)).json).toEqual(first.json);
    const stored = (await client.call('GET', `/api/sites/marrowick/photos/${id}/`)).bytes;
    expect(await exifr.gps(stored)).toBeUndefined();
    expect((await sharp(stored).metadata()).exif).toBeUndefined();
  });

  it('are given smaller where that is asked for, never larger', async () => {
    const path = `/api/sites/marrowick/photos/${ulid()}/`;
    const large = await sharp({ create: { width: 2000, height: 1500, channels: 3, background: '#884422' } }).jpeg().toBuffer(); // prettier-ignore
    await client.call('PUT', path, large);
    const sides = async (query: string) => {
      const { width, height, format } = await sharp(
        (await client.call('GET', path + query)).bytes,
      ).metadata();
      return [width, height, format];
    };
    expect(await sides('')).toEqual([2000, 1500, 'jpeg']);
    expect(await sides('?longest=1200')).toEqual([1200, 900, 'jpeg']);
    expect(await sides('?longest=2500')).toEqual([2000, 1500, 'jpeg']);
    for (const longest of ['0', 'x', '1e9', '-1200', ''])
      expect((await client.call('GET', `${path}?longest=${longest}`)).status).toBe(422);
  });

  it('an id is written once: two pictures sent at once are one stored and one refused, the same one twice is one', async () => {
    const picture = (background: string) =>
      sharp({ create: { width: 300, height: 200, channels: 3, background } })
        .png()
        .toBuffer();
    const [red, blue] = [await picture('#a00'), await picture('#00a')];
    for (let i = 0; i < 6; i++) {
      const path = `/api/sites/marrowick/photos/${ulid()}/`;
      const both = await Promise.all([client.call('PUT', path, red), client.call('PUT', path, blue)]);
      expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
      const stored = (await client.call('GET', path)).bytes;
      const winner = both[0]!.status === 200 ? red : blue;
      const [own, given] = [await sharp(stored).raw().toBuffer(), await sharp(winner).raw().toBuffer()];
      expect(own.equals(given)).toBe(true);
      const twice = `/api/sites/marrowick/photos/${ulid()}/`;
      const same = await Promise.all([client.call('PUT', twice, red), client.call('PUT', twice, red)]);
      expect(same.map(({ status }) => status)).toEqual([200, 200]);
    }
  });

  it('a command that shows a photo waits for its bytes', async () => {
    const raise = command('defect.raise', {
      id: ulid(), entry: 'mb-jb-201-c', round: 'mb-round-14', check: 'E-01', grade: 'detailed',
      photos: [ulid()], action: '', observation: null,
    }); // prettier-ignore
    expect(answers((await send(raise)).json)[0]).toMatchObject({
      code: 'unknown-id',
      field: 'payload.photos.0',
    });
  });
});
