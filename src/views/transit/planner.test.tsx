// @vitest-environment jsdom
import { act, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { said, show, type } from '../../../tests/dom/page';
import { dossierOf } from '../../core/rulebook/dossier';
import { recordsWith } from '../../core/rulebook/sound-entry.test.data';
import { greedyPack } from '../../core/transit/pack/pack';
import type { PackJob } from '../../core/transit/pack/types';
import type { PackNews } from '../../workers/pack';
import Planner from './Planner';

/** A worker that answers when a test says so. */
class Hand {
  static all: Hand[] = [];
  onmessage: (event: { data: PackNews }) => void = () => {};
  onerror: (event: { message: string }) => void = () => {};
  job: PackJob | null = null;
  ended = false;
  constructor() {
    Hand.all.push(this);
  }
  postMessage(job: PackJob) {
    this.job = job;
  }
  terminate() {
    this.ended = true;
  }
  tell = (data: PackNews) => act(() => this.onmessage({ data }));
}

beforeEach(() => {
  Hand.all = [];
  vi.stubGlobal('Worker', Hand);
});

function planner() {
  const slice = recordsWith({ kind: 'transit-block' });
  const dossier = dossierOf(slice, 'e', slice.get('round', 'r'))!;
  const onTake = vi.fn();
  const sheet = dossier.certificate!.sheet.transit!;
  return { ...show(<Planner slice={slice} dossier={dossier} sheet={sheet} onTake={onTake} />), onTake };
}

const press = (name: string) => screen.getByRole('button', { name });
const worker = () => Hand.all[Hand.all.length - 1]!;

describe('the planner', () => {
  it('sends the chosen cables and frames to its worker', async () => {
    const { hands } = planner();
    await hands.click(press('Pack it'));
    const { job } = worker();
    expect(job!.cables.map(({ id }) => id)).toEqual(['k']);
    expect(job!.openings).toHaveLength(1);
    expect(said()).toEqual(['Looking for better…']);
  });

  it('shows each better packing as it is found, and takes the best', async () => {
    const { hands, onTake } = planner();
    await hands.click(press('Pack it'));
    const packing = greedyPack(worker().job!)!;
    worker().tell({ is: 'better', packing, step: 'first' });
    expect(screen.getByText(/A first complete packing: .* 1 opening/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take this packing' })).toBeNull();
    worker().tell({ is: 'done', result: { fits: true, packing } as never });
    expect(worker().ended).toBe(true);
    await hands.click(press('Take this packing'));
    const [openings] = onTake.mock.calls[0]!;
    const held = openings.flatMap((one: { rows: { columns: { blocks: { cable: string | null }[] }[] }[] }) =>
      one.rows.flatMap(({ columns }) => columns.flatMap(({ blocks }) => blocks.map(({ cable }) => cable))),
    );
    expect(held.filter(Boolean)).toEqual(['k']);
  });

  it('is cancelled at any time; the best so far stands', async () => {
    const { hands } = planner();
    await hands.click(press('Pack it'));
    worker().tell({ is: 'better', packing: greedyPack(worker().job!)!, step: 'first' });
    await hands.click(press('Cancel'));
    expect(worker().ended).toBe(true);
    expect(said()).toContain('Cancelled; the best so far stands.');
    expect(press('Take this packing')).toBeTruthy();
    expect(press('Pack it again')).toBeTruthy();
  });

  it.each([
    [{ code: 'no-block', cables: ['k'], missingMm: 0 }, 'No block takes P-1.'],
    [{ code: 'width', cables: ['k'], missingMm: 0 }, 'The blocks that take P-1 do not fill the width'],
    [{ code: 'width', cables: [], missingMm: 0 }, 'No blocks of the list fill the width'],
    [{ code: 'height', cables: [], missingMm: 12.34 }, '12.3 mm of height are missing'],
  ])('says why %j does not go, and what to do', async (reason, words) => {
    const { hands } = planner();
    await hands.click(press('Pack it'));
    worker().tell({ is: 'done', result: { fits: false, reason } as never });
    expect(said('alert')[0]).toContain(words);
    expect(screen.queryByRole('button', { name: 'Take this packing' })).toBeNull();
  });

  it('says when its worker broke off, whichever way', async () => {
    const { hands } = planner();
    await hands.click(press('Pack it'));
    worker().tell({ is: 'broken', message: 'out of memory' });
    expect(said('alert')[0]).toContain('out of memory');
    await hands.click(press('Pack it again'));
    act(() => worker().onerror({ message: '' }));
    expect(said('alert')[0]).toContain('the worker did not start');
  });

  it('asks for a spare share that can be, at its field', async () => {
    const { hands } = planner();
    await type(hands, /Wanted spare share/, '120');
    await hands.click(press('Pack it'));
    expect(screen.getByText('At most 100 %.')).toBeTruthy();
    expect(Hand.all).toHaveLength(0);
  });

  it('leaves out the sizes that are forbidden, and asks for one at least', async () => {
    const { hands } = planner();
    const sizes = screen.getAllByRole('checkbox', { name: /^\d+$/ });
    await hands.click(sizes[0]!);
    await hands.click(press('Pack it'));
    const left = worker().job!.blocks.length;
    expect(left).toBe(sizes.length - 1);
    await hands.click(press('Cancel'));
    for (const box of sizes.slice(1)) await hands.click(box);
    await hands.click(press('Pack it again'));
    expect(said('alert')[0]).toContain('Every block size is forbidden.');
  });

  it('finds another cable by its tag, and takes one out', async () => {
    const { hands } = planner();
    expect(screen.getByText('1 cable chosen.')).toBeTruthy();
    await hands.click(screen.getByRole('checkbox', { name: /P-1/ }));
    expect(screen.getByText('0 cables chosen.')).toBeTruthy();
    await type(hands, /Find another cable/, 'p-1');
    await hands.click(screen.getByRole('checkbox', { name: /P-1/ }));
    expect(screen.getByText('1 cable chosen.')).toBeTruthy();
  });

  it('ends its worker when it is left', async () => {
    const { hands, unmount } = planner();
    await hands.click(press('Pack it'));
    unmount();
    expect(worker().ended).toBe(true);
  });
});
