import { describe, expect, it } from 'vitest';
import type { PackedOpening } from '../record/types';
import { dossierWith, SOUND_TRANSIT, soundBlock, type Change } from './sound-entry.test.data';
import { blocksOf, compressionOf, widthMissing } from './transit-found';
import { oneMore } from './transit-one-more';
import {
  blockAt,
  changeBlock,
  freshBlock,
  moveCable,
  packCable,
  packedFrom,
  peelCards,
  pickList,
} from './transit-planned';
import { between, coringFor, leastDistances, toWall, type Placed } from './transit-sealed';

const opening = (change: Change = {}) =>
  dossierWith({ kind: 'transit-block-bonded', ...change }).transit!.openings[0]!;
const measured = (mm: number) => ({ minMm: mm, maxMm: mm, meanMm: mm, expandedUncertaintyMm: 0 });
const at = (row: number, column: number) => ({ opening: '1', row, column, index: 0 });

describe('blocks as they were found', () => {
  it('judge both sides of a bonded block on their own, jacket and armour', () => {
    const [held] = opening().blocks;
    expect(held!.sides.map(({ side, faults }) => [side, faults])).toEqual([['jacket', []], ['armour', []]]); // prettier-ignore
    expect(held!.sides[0]!.found!.gapMm).toBeCloseTo(20.7 - 20.1, 9);
    expect(held!.sides[1]!.cable!.meanMm).toBeCloseTo(17.7, 9);
    expect(held!.sides[1]!.right!.layers).toEqual([4, 3]);
  });
  it('take a measured cable before its record, with the uncertainty of the instrument', () => {
    const packed = (o: PackedOpening) => ({
      ...o,
      rows: o.rows.map((row) => ({ ...row, columns: row.columns.map((column) => ({ ...column, blocks: column.blocks.map((block) => ({ ...block, jacket: { ...block.jacket, readingsMm: [20.9, 20.92, 20.94], instrument: 'c' } })) })) })),
    }); // prettier-ignore
    const [held] = opening({ packed }).blocks;
    const [jacket] = held!.sides;
    expect(jacket).toMatchObject({ measured: true, cable: { minMm: 20.9, maxMm: 20.94 } });
    expect(jacket!.cable!.expandedUncertaintyMm).toBeGreaterThan(0.01);
  });
  it('a spare block has no sides, a size that is not on the sheet no line', () => {
    const { blocks, packed } = opening();
    expect(blocks[1]!.sides).toEqual([]);
    const odd = { ...packed, rows: [{ heightMm: 25, plate: true, columns: [{ widthMm: 25, blocks: [soundBlock('k', false)] }] }] }; // prettier-ignore
    expect(blocksOf(odd, SOUND_TRANSIT, new Map(), new Map())[0]).toMatchObject({ sheet: null, sides: [] });
  });
});

describe('the stack', () => {
  it('leaves the opening less rows and plates, and less room while the halves stand proud', () => {
    const { frame, packed, blocks } = opening();
    const { leftMm, firstRoomMm, state } = compressionOf(frame, packed, SOUND_TRANSIT, blocks);
    expect([leftMm, state]).toEqual([25, 'fits']);
    expect(firstRoomMm).toBeCloseTo(25 - 0.6, 9);
  });
  it.each([
    [40, 'too-little'],
    [62, 'too-much'],
  ] as const)('of an opening of %i mm is %s', (heightMm, wanted) => {
    const { packed, blocks } = opening();
    expect(compressionOf({ heightMm }, packed, SOUND_TRANSIT, blocks).state).toBe(wanted);
  });
  it('a plate that is missing gives its thickness to the wedge; a row that is not full says by how much', () => {
    const { frame, packed, blocks } = opening();
    const bare = { ...packed, rows: packed.rows.map((row) => ({ ...row, plate: false })) };
    expect(compressionOf(frame, bare, SOUND_TRANSIT, blocks).leftMm).toBe(26);
    expect(widthMissing(60, packed.rows[0]!)).toBe(0);
    expect(widthMissing(75, packed.rows[0]!)).toBe(15);
  });
});

describe('one more cable', () => {
  it('goes into a spare whose range holds it, reached by as few rows as can be', () => {
    const { blocks } = opening();
    const far = blocks.map((block) => ({ ...block, row: block.row + 1 }));
    const found = oneMore([...blocks, ...far], 3, SOUND_TRANSIT, measured(20.7));
    expect(found.map(({ row, rowsOut }) => [row, rowsOut])).toEqual([[1, 1], [0, 2]]); // prettier-ignore
    expect(found[0]).toMatchObject({ sizeMm: 30, sparesLeft: 1, peeling: { layers: [5, 5] } });
    expect(oneMore(blocks, 1, SOUND_TRANSIT, measured(40))).toEqual([]);
  });
});

describe('a plan', () => {
  const cable = dossierWith({ kind: 'transit-block-bonded' }).transit!.cables.get('k')!;
  it('asks for the diameters of both sides of a bonded block, uncertainty added', () => {
    const { minMm, maxMm } = packCable(cable, true);
    expect([minMm, maxMm]).toEqual([expect.closeTo(17.3, 9), expect.closeTo(21.1, 9)]);
    expect(packCable(cable, false).minMm).toBeCloseTo(20.3, 9);
  });
  it('becomes a record that nobody has looked at, with its parts and cards', () => {
    const packing = {
      openings: [{ id: '1', compressionMm: 25, rows: [{ heightMm: 30, columns: [{ widthMm: 30, blocks: ['k'] }, { widthMm: 30, blocks: [null] }] }] }],
      cableRowsHeightMm: 31, openingsUsed: 1, sizesUsed: 1, sparePct: 50, provenBest: true,
    }; // prettier-ignore
    const record = packedFrom(packing, true);
    expect(record[0]).toMatchObject({ wedgeMm: null, rows: [{ plate: null }] });
    expect(pickList(record)).toEqual({
      blocks: [{ sizeMm: 30, withCable: 1, spare: 1 }],
      plates: 1,
      wedges: 1,
    });
    const [card] = peelCards(record, SOUND_TRANSIT, new Map([['k', cable]]));
    expect(card).toMatchObject({
      row: 1,
      sizeMm: 30,
      jacket: { layers: [5, 5] },
      armour: { layers: [4, 3] },
    });
  });
  it('a cable that is moved leaves its layers behind, and changes places with the one it meets', () => {
    const { packed } = opening();
    const moved = moveCable([packed], at(0, 0), at(0, 1));
    expect(blockAt(moved, at(0, 0))).toEqual(freshBlock(null, true));
    expect(blockAt(moved, at(0, 1))).toEqual(freshBlock('k', true));
    expect(blockAt(moveCable(moved, at(0, 1), at(0, 0)), at(0, 0))!.cable).toBe('k');
    expect(moveCable([packed], at(0, 0), at(7, 0))).toEqual([packed]);
    expect(
      blockAt(
        changeBlock([packed], at(0, 1), (block) => ({ ...block, core: false })),
        at(0, 1),
      )!.core,
    ).toBe(false);
  });
});

describe('cables in sealant', () => {
  const rect = { label: '1', shape: 'rect', widthMm: 200, heightMm: 100 } as const;
  const round = { label: '1', shape: 'round', widthMm: 150, heightMm: 150 } as const;
  const dot = (id: string, xMm: number, yMm: number, diameterMm: number): Placed => ({
    id,
    xMm,
    yMm,
    diameterMm,
  });
  it('measure from skin to skin and to the wall', () => {
    expect(toWall(rect, dot('a', 30, 40, 20))).toBe(20);
    expect(toWall(round, dot('a', 30, 40, 20))).toBe(15);
    expect(between(dot('a', 0, 0, 20), dot('b', 30, 40, 10))).toBe(35);
    const least = leastDistances(rect, [dot('a', 30, 40, 20), dot('b', 80, 40, 20), dot('c', 180, 50, 10)]);
    expect(least).toEqual({ cables: { mm: 30, ids: ['a', 'b'] }, wall: { mm: 15, id: 'c' } });
    expect(leastDistances(rect, [])).toEqual({ cables: null, wall: null });
  });
  it('a hole is cored only where every distance is kept, best where it is furthest from everything', () => {
    const cables = [dot('a', 40, 50, 30)];
    const { cells, best, punchMm } = coringFor(rect, cables, 16, {
      cableGapMm: 15,
      wallGapMm: 10,
      coreClearanceMm: 4,
    });
    expect(punchMm).toBe(20);
    for (const { xMm, yMm } of cells) {
      const hole = dot('h', xMm, yMm, 20);
      expect(between(hole, cables[0]!)).toBeGreaterThanOrEqual(15 - 1e-6);
      expect(toWall(rect, hole)).toBeGreaterThanOrEqual(10 - 1e-6);
    }
    expect(best!.clearMm).toBeGreaterThan(25);
    const full = coringFor(rect, cables, 90, { cableGapMm: 15, wallGapMm: 10, coreClearanceMm: 4 });
    expect(full).toMatchObject({ cells: [], best: null });
  });
});
