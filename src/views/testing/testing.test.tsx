// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { said, show, type } from '../../../tests/dom/page';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import type { InsulationTest } from '../../core/record/types';
import { newestByPair } from '../../core/rulebook/cable-tests';

const { give, records } = vi.hoisted(() => ({
  give: vi.fn((..._: unknown[]) => 'command'),
  records: { slice: null as unknown },
}));
vi.mock('../hand/give', () => ({ give, tryGive: give }));
vi.mock('../hand/hand', () => ({
  device: { id: () => 'new', state: () => ({ slice: records.slice }) },
  instrument: { hold: vi.fn(), handle: vi.fn(), held: null, line: null },
  useInstrument: () => null,
  say: vi.fn(),
}));
const { ContinuityPanel } = await import('./ContinuityPanel');
const { Drying } = await import('./Drying');
const { InsulationGrid } = await import('./InsulationGrid');
const { StartTest } = await import('./StartTest');
const { TesterTray } = await import('./TesterTray');

const slice = recordsWith({ kind: 'mi-pot' });
const cable = slice.get('cable', 'k')!;
const test = slice.by('insulation', 'cable', 'k')[0]!;
const press = (name: string | RegExp) => screen.getByRole('button', { name });
const given = () => give.mock.calls[0] as [string, Record<string, unknown>];

beforeEach(() => {
  give.mockClear();
  records.slice = slice;
});

describe('starting a test', () => {
  const form = (drying = false) => {
    const onDone = vi.fn();
    return { ...show(<StartTest slice={slice} cable={cable} drying={drying} onDone={onDone} />), onDone };
  };

  it('asks for the temperature, which nobody assumes', async () => {
    const { hands, onDone } = form();
    await hands.click(press('Start'));
    expect(give).not.toHaveBeenCalled();
    expect(screen.getByLabelText(/^Temperature/).getAttribute('aria-invalid')).toBe('true');
    await type(hands, /^Temperature/, '18,5');
    await hands.click(press('Start'));
    expect(given()[1]).toMatchObject({ cable: 'k', temperatureC: 18.5, farEndSealed: false, drying: false });
    expect(onDone).toHaveBeenCalled();
  });

  it('says what to add where no tester is on file', async () => {
    const none = { ...slice, by: () => [], get: () => null } as unknown as typeof slice;
    const { hands } = show(<StartTest slice={none} cable={cable} drying={false} onDone={() => {}} />);
    await type(hands, /^Temperature/, '20');
    await hands.click(press('Start'));
    expect(said('alert')).toEqual(['No insulation tester is on file. Add one under Dossier, Instruments.']);
  });

  it('has no stage to choose while drying', () => {
    form(true);
    expect(screen.queryByLabelText('Stage')).toBeNull();
  });
});

describe('the tester on a pair', () => {
  const tray = () => {
    const onRead = vi.fn();
    return { ...show(<TesterTray test={test} pair="L-N" onRead={onRead} />), onRead };
  };

  it.each([
    ['650', 650, false],
    ['1.2 GΩ', 1200, false],
    ['80 kΩ', 0.08, false],
    ['>1000', 1000, true],
  ])('takes %s', async (text, megohm, saturated) => {
    const { hands, onRead } = tray();
    await type(hands, /^L-N/, text);
    await hands.click(press('Enter'));
    expect(given()).toEqual(['insulation.read', { id: test.id, pair: 'L-N', megohm, saturated }]);
    expect(onRead).toHaveBeenCalled();
  });

  it.each(['', '0', 'many'])(
    'keeps nothing of "%s", and says what to type until it is right',
    async (text) => {
      const { hands, onRead } = tray();
      const field = screen.getByLabelText(/^L-N/);
      if (text) await type(hands, /^L-N/, text);
      await hands.click(press('Enter'));
      expect(onRead).not.toHaveBeenCalled();
      expect(field.getAttribute('aria-invalid')).toBe('true');
      await type(hands, /^L-N/, '650');
      expect(field.getAttribute('aria-invalid')).not.toBe('true');
    },
  );
});

describe('the pairs of a test', () => {
  it('go on to the next that is not read', async () => {
    const [first, ...rest] = test.readings;
    const part: InsulationTest = { ...test, readings: [first!] };
    const { hands } = show(<InsulationGrid cable={cable} test={part} before={null} />);
    const missing = [...new Set(rest.map(({ pair }) => pair))].filter(
      (pair) => !newestByPair([first!]).has(pair),
    );
    expect(said()).toContain(`${missing.length} pairs left to read.`);
    await hands.type(screen.getByLabelText(new RegExp(`^${missing[0]}`), { selector: 'input' }), '700');
    await hands.click(press('Enter'));
    expect(given()[1]).toMatchObject({ pair: missing[0], megohm: 700 });
  });

  it('says which pair has fallen since the test before', () => {
    const pair = test.readings[0]!.pair;
    const after: InsulationTest = {
      ...test,
      readings: test.readings.map((one) => (one.pair === pair ? { ...one, megohm: one.megohm / 1000 } : one)),
    };
    show(<InsulationGrid cable={cable} test={after} before={test} />);
    expect(screen.getByText(new RegExp(`${pair} fell from`))).toBeTruthy();
  });
});

describe('continuity from end to end', () => {
  const blank = { ...slice, by: () => [] } as unknown as typeof slice;
  const names = cable.mineral!.conductors;

  it('asks at its field for every conductor, and keeps what is chosen', async () => {
    const { hands } = show(<ContinuityPanel slice={blank} cable={cable} />);
    await hands.selectOptions(screen.getByLabelText(new RegExp(`^${names[0]} comes out`)), names[0]!);
    await hands.click(press('Keep the tracing'));
    expect(give).not.toHaveBeenCalled();
    expect(screen.getAllByText('Trace it, and say under which sleeve it comes out.')).toHaveLength(
      names.length - 1,
    );
    for (const name of names.slice(1))
      await hands.selectOptions(screen.getByLabelText(new RegExp(`^${name} comes out`)), '–');
    await hands.click(press('Keep the tracing'));
    expect(given()[1]).toEqual({
      id: 'new',
      cable: 'k',
      found: names.map((near, i) => ({ near, far: i === 0 ? near : null })),
    });
  });

  it('says what is crossed and what is open', () => {
    const [a, b] = [names[0]!, names[1]!];
    const traced = {
      id: 't',
      at: '2026-03-04T10:00:00Z',
      by: 'A. Vell',
      found: [
        { near: a, far: b },
        { near: b, far: null },
      ],
    };
    const one = { ...slice, by: () => [traced] } as unknown as typeof slice;
    show(<ContinuityPanel slice={one} cable={cable} />);
    const lines = screen.getAllByRole('listitem').map((line) => line.textContent);
    expect(lines).toEqual([`${a}: comes out as ${b}: crossed`, `${b}: nothing comes through`]);
    expect(screen.queryByRole('button', { name: 'Keep the tracing' })).toBeNull();
  });
});

describe('drying an end', () => {
  it('has no trend before it has enough readings, and warns of the flame', () => {
    const none = {
      ...slice,
      by: (table: string) => (table === 'insulation' ? [] : slice.by('instrument', 'site', 's')),
    } as unknown as typeof slice;
    show(<Drying slice={none} cable={cable} />);
    expect(said()[0]).toMatch(/^0 of \d+ readings that a trend needs/);
    expect(screen.getByText(/hot work permit and a gas test/)).toBeTruthy();
  });
});
