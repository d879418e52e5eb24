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

const send = (...commands: object[]) => client.call('POST', '/api/commands/', { commands });
const AREA = {
  zone: null, group: null, temperatureClass: null, substances: '', ambientC: null, ingressNeed: null, levelM: 0,
  outlineM: { x: 0, y: 0, width: 10, height: 10 }, division: null, weather: null,
}; // prettier-ignore

describe('sheets over HTTP', () => {
  it.each([
    ['nothing in it', '', '(file)'],
    ['a heading alone', 'area,zone\n', '(file)'],
    ['no text', '\u0000\u0001', '(file)'],
  ])('a table with %s is refused whole, in words', async (_what, csv, field) => {
    const { status, json } = await client.call('POST', '/api/sites/marrowick/import/sheets/', csv);
    expect([status, json.error?.field]).toEqual([422, field]);
    expect(json.error?.message).toMatch(/^\S.{8,}/);
  });

  it('a table whose headings say nothing is shown, and is read as somebody says it is', async () => {
    const path = '/api/sites/marrowick/import/sheets/?name=list.csv';
    const csv = 'alpha;beta\nEast wing;2\n';
    type Preview = { sheets: { table: string | null }[]; items: { record: object }[] };
    const unread = (await client.call('POST', path, csv)).json as unknown as Preview;
    expect(unread).toMatchObject({ sheets: [{ table: null }], items: [] });
    const mapping = [
      { heading: 'alpha', column: 'area', unit: null },
      { heading: 'beta', column: 'zone', unit: null },
    ];
    const said = JSON.stringify([{ name: 'list', table: 'area', mapping }]);
    const read = (await client.call('POST', `${path}&said=${encodeURIComponent(said)}`, csv)).json as unknown as Preview; // prettier-ignore
    expect(read.items).toMatchObject([{ table: 'area', record: { name: 'East wing', zone: '2' } }]);
    for (const wrong of ['{', '[1]', '[{"name":"list","table":"moon","mapping":null}]']) {
      const { status, json } = await client.call('POST', `${path}&said=${encodeURIComponent(wrong)}`, csv);
      expect([status, json.error?.field], wrong).toEqual([422, 'said']);
    }
  });

  it('entries for cable ends need their kind', async () => {
    const path = '/api/sites/marrowick/import/ends/';
    const { status, json } = await client.call('POST', `${path}?kind=moon`, '');
    expect([status, json.error?.field]).toEqual([422, 'kind']);
    expect((await client.call('POST', `${path}?kind=gland-plain`, '')).status).toBe(200);
  });

  it('a batch is taken as one, and refused as one with the reason', async () => {
    const batch = ulid();
    const area = (name: string) => ({ table: 'area', record: { ...AREA, id: ulid(), name } });
    const take = (...names: string[]) =>
      command('dossier.import', { source: 'x.csv', items: names.map(area) }, { batch });
    const refused = await send(
      take('Loft of one'),
      take('Loft of two', 'Loft of two'),
      command('undo', { command: 'x' }),
    );
    const [first, second, other] = answers(refused.json);
    expect(first).toMatchObject({ status: 'refused', code: 'exists' });
    expect(second).toMatchObject({ status: 'refused', code: 'exists', message: first!.message });
    expect(other).toMatchObject({ status: 'refused', code: 'unknown-id' });
    const taken = [take('Loft of one'), take('Loft of two')];
    expect(answers((await send(...taken)).json).map(({ status }) => status)).toEqual(['applied', 'applied']);
    const undo = ulid();
    const back = taken.reverse().map(({ id }) => command('undo', { command: id }, { batch: undo }));
    expect(answers((await send(...back)).json).map(({ status }) => status)).toEqual(['applied', 'applied']);
  });
});
