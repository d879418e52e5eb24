import { describe, expect, it } from 'vitest';
import { assess } from '../rulebook/assess';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { statement } from '../words/en/findings';
import { apply } from './apply';
import type { AnyCommand } from './commands';
import { frozenIn, hashOfSeal } from '../record/seal';
import { hashByRule1 } from './seal-by-rule-1';
import type { MemorySlice } from '../record/slice';
import type { Inspection, Round, TableName, Tables } from '../record/types';

let made = 0;
function give(slice: MemorySlice, kind: string, payload: object): void {
  const command = { id: `c${++made}`, kind, site: 's', at: '2026-03-04T12:00:00.000Z', payload };
  slice.write(apply(slice, command as unknown as AnyCommand, 'A. Vell'));
}

/** A sound entry left sealed and inspected, and a later round of a lower grade that has begun. */
function sealed(): MemorySlice {
  const slice = recordsWith({});
  give(slice, 'asleft.seal', { id: 'al', entry: 'e', round: 'r', why: 'opening', outerSeal: 'kept', innerSeal: 'replaced', note: '' }); // prettier-ignore
  give(slice, 'inspection.seal', { id: 'i', entry: 'e', round: 'r' });
  const { site: _s, rev: _r, ...round } = slice.get('round', 'r')! as Round & { rev?: string };
  give(slice, 'round.add', { ...round, id: 'later', grade: 'close', started: '2026-09-01' });
  return slice;
}
const change = <T extends TableName>(slice: MemorySlice, table: T, id: string, by: Partial<Tables[T]>) =>
  slice.write([{ table, id, after: { ...slice.get(table, id)!, ...by } }]);
const judged = (slice: MemorySlice) => assess(slice, 'e', 's', '2026-09-02T10:00:00Z')!;
const found = (slice: MemorySlice, check: string) =>
  judged(slice).findings.find((one) => one.check === check);

describe('what a seal keeps', () => {
  it('is everything it was judged on, each value once, and outlives the live records', () => {
    const slice = sealed();
    const inspection = slice.get('inspection', 'i')!;
    const { frozen } = inspection as Required<Inspection>;
    for (const what of ['site', 'area', 'enclosure', 'entry', 'cable', 'certificate', 'round', 'readings', 'looks', 'references', 'record'])
      expect(slice.get('frozen', frozen[what] as string), what).not.toBeNull(); // prettier-ignore
    const cable = slice.get('frozen', frozen.cable as string)!.body as Tables['cable'];
    expect(cable).toMatchObject({ id: 'k', outerMm: slice.get('cable', 'k')!.outerMm });
    give(slice, 'cable.edit', { id: 'k', set: { outerMm: 30 } });
    expect(judged(slice).dossier.broken).toEqual([]);
    expect(slice.get('frozen', frozen.cable as string)!.body).toEqual(cable);
    expect(hashOfSeal(inspection)).toBe(inspection.hash);
    // What both seals rest on is kept once.
    const [first, second] = [slice.get('asleft', 'al')!, inspection].map(frozenIn);
    expect(first!.filter((hash) => second!.includes(hash)).length).toBeGreaterThan(8);
  });

  it('packing, insulation and continuity are among it', () => {
    const transit = recordsWith({ kind: 'transit-block' });
    give(transit, 'inspection.seal', { id: 'i', entry: 'e', round: 'r' });
    const packed = transit.get('inspection', 'i')!.frozen!;
    expect(transit.get('frozen', packed.packing as string)!.body).toMatchObject({ entry: 'e' });
    expect(packed.packed).not.toEqual([]);
    const mineral = recordsWith({ kind: 'mi-pot' });
    give(mineral, 'inspection.seal', { id: 'i', entry: 'e', round: 'r' });
    const { insulation, continuity, instruments } = mineral.get('inspection', 'i')!.frozen!;
    const testers = mineral.all('insulation').map(({ instrument }) => instrument);
    expect(insulation).toHaveLength(mineral.all('insulation').length);
    expect(continuity).toHaveLength(mineral.all('continuity').length);
    const kept = (instruments as string[]).map(
      (hash) => (mineral.get('frozen', hash)!.body as { id: string }).id,
    );
    expect(kept).toEqual(expect.arrayContaining(testers)); // prettier-ignore
  });
});

describe('a sealed record that does not match', () => {
  it.each<[string, 'asleft' | 'inspection', (slice: MemorySlice) => void]>([
    ['an as-left reading made better', 'asleft', (slice) => change(slice, 'asleft', 'al', { readings: slice.get('asleft', 'al')!.readings.map((one) => ({ ...one, value: one.value + 0.1 })) })],
    ['an as-left record of another day', 'asleft', (slice) => change(slice, 'asleft', 'al', { at: '2026-03-05T12:00:00.000Z' })],
    ['an as-left record without its rule', 'asleft', (slice) => change(slice, 'asleft', 'al', { rule: 1 })],
    ['an inspection’s state', 'inspection', (slice) => change(slice, 'inspection', 'i', { state: 'failed' })],
    ['an inspection’s findings', 'inspection', (slice) => change(slice, 'inspection', 'i', { findings: [] })],
    ['what it was judged on', 'inspection', (slice) => {
      const hash = slice.get('inspection', 'i')!.frozen!.round as string;
      change(slice, 'frozen', hash, { body: { grade: 'visual' } });
    }],
  ])('%s: it is named, and speaks for nothing', (_what, table, hurt) => {
    const slice = sealed();
    expect(judged(slice).dossier.broken).toEqual([]);
    expect(found(slice, 'E-14')!.outcome).toBe('conforms');
    hurt(slice);
    const { dossier, status, findings } = judged(slice);
    expect(dossier.broken.map((one) => one.table)).toContain(table);
    const named = findings.find(({ check }) => check === 'E-28')!;
    expect(named.outcome).toBe('unread');
    expect(statement(named)).toMatch(/sealed on \d+ Mar 2026 does not match its seal/);
    if (table === 'asleft') {
      expect(dossier.record).toBeNull();
      expect(found(slice, 'E-14')?.outcome ?? 'left out').toBe('left out');
    } else expect(status.sealed_state).toBeNull();
  }); // prettier-ignore

  it('hides no failure of its round: what was read there is judged anew', () => {
    const slice = recordsWith({ looks: { damage: 'cracked' } });
    give(slice, 'inspection.seal', { id: 'i', entry: 'e', round: 'r' });
    const { site: _s, rev: _r, ...round } = slice.get('round', 'r')! as Round & { rev?: string };
    give(slice, 'round.add', { ...round, id: 'later', grade: 'visual', started: '2026-09-01' });
    change(slice, 'inspection', 'i', { findings: [], state: 'sound' });
    expect(judged(slice).status.state).toBe('failed');
  });

  it('an older as-left record does not speak in its place', () => {
    const slice = sealed();
    const { hash: _h, ...own } = slice.get('asleft', 'al')!;
    const next = { ...own, id: 'al2', at: '2026-03-04T13:00:00.000Z' };
    slice.write([
      { table: 'asleft', id: 'al2', after: { ...next, hash: hashOfSeal(next) } as Tables['asleft'] },
    ]);
    expect(judged(slice).dossier.record!.id).toBe('al2');
    change(slice, 'asleft', 'al2', { note: 'x' });
    expect(judged(slice).dossier.record).toBeNull();
  });
});

describe('a seal by rule 1', () => {
  it('is checked against the records as they were: any of those it covered shows', () => {
    const slice = sealed();
    const { rule: _r, frozen: _f, ...first } = slice.get('inspection', 'i')!;
    const old = { ...first, hash: hashByRule1(slice, first)! };
    expect(hashByRule1(slice, old)).toBe(old.hash);
    change(slice, 'cable', 'k', { outerMm: 30 });
    expect(hashByRule1(slice, old)).not.toBe(old.hash);
  });
});
