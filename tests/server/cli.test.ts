import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { fetchAs, serveDemo, type Served } from './served';

const folder = mkdtempSync(join(tmpdir(), 'yendral-cli-'));
let served: Served;
let site: string;
let exported: { rows: object[] };
beforeAll(async () => {
  served = await serveDemo({ seeded: inject('seeded') });
  // Everything is fetched before a tool runs: a tool holds this process up, and a connection that the server closes
  // meanwhile would be used again before anybody notices.
  site = await (await fetchAs(served.address, '/api/sites/marrowick/export/site.json/')).text();
  exported = (await (
    await fetchAs(served.address, '/api/sites/marrowick/export/findings.json/')
  ).json()) as typeof exported;
}, 180_000);
afterAll(() => served.stop());

const run = (tool: string, args: string[], input = '', env: Record<string, string> = {}) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`dist/cli/${tool}.mjs`, ...args], {
    input,
    env: { ...process.env, ...env },
    encoding: 'utf8',
    maxBuffer: 64e6,
  });
  return { status, stdout, stderr };
};

describe('doors from the shell', () => {
  it('answer one input with the bare output, and end with 0', () => {
    const { status, stdout } = run(
      'door',
      ['severity'],
      '{"consequence":3,"hazard":"explosion","area_level":"Ga"}',
    );
    expect([status, stdout.trim()]).toEqual([0, '{"severity":4}']);
  });
  it.each([
    ['severity', '{"consequence":9,"hazard":"explosion","area_level":"Ga"}', 'invalid-input'],
    ['severity', '{', 'invalid-json'],
    ['nothing', '{}', 'unknown-door'],
  ])('%s with %s ends with 2', (name, input, code) => {
    const { status, stdout } = run('door', [name], input);
    expect(status).toBe(2);
    expect(JSON.parse(stdout)).toMatchObject({ error: { code } });
  });
  it('answer many lines in order, blank ones skipped', () => {
    const lines = [
      '{"door":"severity","input":{"consequence":1,"hazard":"shock","area_level":"Gb"}}',
      '',
      'oops',
      '{"door":"x","input":{}}',
    ];
    const { status, stdout } = run('door', ['--lines'], lines.join('\n'));
    expect(status).toBe(0);
    expect(
      stdout
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as object),
    ).toEqual([
      { output: { severity: 3 } },
      { error: expect.objectContaining({ code: 'invalid-json' }) },
      { error: expect.objectContaining({ code: 'unknown-door' }) },
    ]);
  });
});

describe('judging a site file', () => {
  const judge = (text: string) => {
    const file = join(folder, 'site.json');
    writeFileSync(file, text);
    const { status, stdout, stderr } = run('judge', [file]);
    return {
      status,
      stderr,
      lines: stdout
        .trim()
        .split('\n')
        .filter(Boolean)
        .map((line) => JSON.parse(line) as Record<string, unknown>),
    };
  };
  it('prints a finding per line, then a status per entry, as the server judges', async () => {
    const { status, lines } = judge(site);
    expect(status).toBe(0);
    const entries = lines.filter((line) => 'status' in line);
    expect(lines.length - entries.length).toBe(exported.rows.length);
    expect(lines.slice(0, exported.rows.length)).toEqual(exported.rows);
    expect(entries.find(({ entry }) => entry === 'mb-jb-204-c')).toMatchObject({
      status: 'failed',
      grade: 'detailed',
    });
  });
  it('changes its findings when a number in the file changes', () => {
    const file = JSON.parse(site) as {
      certificate: { id: string; sheet: { sizes: { size: string; outer: { rangeMm: number[] } }[] } }[];
    };
    const of = (text: string) =>
      judge(text).lines.find((line) => line.entry === 'mb-jb-204-c' && line.check === 'E-11');
    expect(of(JSON.stringify(file))).toMatchObject({ verdict: 'fails' });
    file.certificate
      .find(({ id }) => id === 'mb-cert-double')!
      .sheet.sizes.find(({ size }) => size === 'S3')!.outer.rangeMm = [16.9, 25.5];
    expect(of(JSON.stringify(file))).toMatchObject({ verdict: 'conforms' });
  });
  it('names what is wrong with a file', () => {
    expect(judge('nonsense')).toMatchObject({ status: 2, lines: [] });
    expect(judge('{"format":"yendral-site-1"}').stderr).toContain('is missing');
    const stray = JSON.parse(site) as { entry: { cable: string }[] };
    stray.entry[0]!.cable = 'nowhere';
    expect(judge(JSON.stringify(stray)).stderr).toContain('entry.0.cable');
  });
});

describe('import and export from the shell', () => {
  const data = mkdtempSync(join(tmpdir(), 'yendral-cli-data-'));
  const env = { YENDRAL_DATA: data };
  it('takes a certificate of the published format in, whole, and shows it first', async () => {
    const own = await serveDemo({ data });
    await own.stop();
    const { certificate } = JSON.parse(site) as { certificate: Record<string, unknown>[] };
    const { id: _id, site: _site, ...rest } = certificate[0]!;
    const file = join(folder, 'certificate.json');
    writeFileSync(
      file,
      JSON.stringify({ format: 'yendral-certificate-1', certificate: { ...rest, number: '=FRN 26.0001' } }),
    );
    const dry = run('import', ['oxgate', 'certificate', file, '--dry-run'], '', env);
    expect(dry).toMatchObject({ status: 0, stdout: 'add =FRN 26.0001\n' });
    expect(run('import', ['Oxgate Malt', 'certificate', file], '', env).status).toBe(0);
    expect(run('import', ['oxgate', 'certificate', file], '', env).stdout).toContain('same');
    writeFileSync(file, readFileSync(file, 'utf8').replace('"db"', '"xx"'));
    const bad = run('import', ['oxgate', 'certificate', file], '', env);
    expect(bad.status).toBe(1);
    expect(bad.stderr).toContain('certificate.concepts.0');
  });
  it('takes a table in, whole or not at all, and changes nothing the second time', () => {
    const areas = join(folder, 'areas.csv');
    writeFileSync(areas, 'area;zone\nKiln house;22\nDrying loft;99\n');
    const bad = run('import', ['oxgate', 'sheets', areas], '', env);
    expect([bad.status, bad.stderr.includes('row 3, Drying loft: zone: "99"')]).toEqual([1, true]);
    writeFileSync(areas, 'area;zone\nKiln house;22\nDrying loft;21\n');
    expect(run('import', ['oxgate', 'sheets', areas], '', env)).toMatchObject({ status: 0, stdout: 'add Kiln house\nadd Drying loft\n' }); // prettier-ignore
    expect(run('import', ['oxgate', 'sheets', areas], '', env)).toMatchObject({ status: 0, stdout: '' });
  });
  it('writes CSV whose cells no spreadsheet runs as a formula', () => {
    const { status, stdout } = run('export', ['oxgate', 'defects.csv'], '', env);
    expect(status).toBe(0);
    expect(stdout.split('\r\n')[0]).toContain('site,area,enclosure');
  });
});
