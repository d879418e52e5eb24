import { mostRows, roomOf, type Model } from './model';

/** Slack of a limit in the program: the solver's own tolerance must not decide about a value on a limit, mm. */
const LIMIT_MM = 1e-6;

/** What the program asks for; limits are those that earlier programs reached. */
export interface Goal {
  minimise: 'openings' | 'height' | 'sizes' | 'misses' | 'shortfall' | 'smallness';
  openings?: number;
  heightMm?: number;
  sizes?: number;
  /** Area that cables' blocks take may be at most this share of all blocks. */
  takenShare?: number;
  /** Share of the area of all blocks that one more mm² of blocks is worth, while the spare share is raised. */
  worth?: number;
}

type Term = [factor: number, name: string];

/**
 * The packing as an integer program. Variables: x rows of a pattern, y cables of a type in blocks of a size,
 * n and r rows of a height in an opening with and without cables, u openings used, z sizes used, v height by
 * which an opening misses its window.
 */
export function programOf(model: Model, goal: Goal): string {
  const { job, sizesMm, types, widths, widthOf, locked } = model;
  const several = job.openings.length > 1;
  const lines: string[] = [];
  const bounds: string[] = [];
  const whole = new Set<string>();
  const name = (text: string): string => {
    whole.add(text);
    return text;
  };
  const need = (terms: Term[], how: '<=' | '>=' | '=', limit: number) => {
    if (terms.length > 0) lines.push(` c${lines.length}: ${sum(terms)} ${how} ${limit}`);
  };
  types.forEach(({ sizes, cables }, k) => {
    need(
      sizes.map((j) => [1, name(`y${k}_${j}`)]),
      '=',
      cables.length,
    );
  });
  sizesMm.forEach((_, j) => {
    const taken = types.flatMap(({ sizes }, k): Term[] =>
      sizes.includes(j) ? [[1, name(`y${k}_${j}`)]] : [],
    );
    if (taken.length === 0) return;
    const given = widths.flatMap(({ patterns }, w) =>
      patterns.flatMap(({ blocks }, p): Term[] =>
        blocks[j]! > 0 ? [[-blocks[j]!, name(`x${w}_${p}`)]] : [],
      ),
    );
    need([...taken, ...given], '<=', locked.free[j]!);
  });
  const cableRows: Term[] = [];
  const spareRows: Term[] = [];
  const area: Term[] = [];
  const smallness: Term[] = [];
  const largest = sizesMm[sizesMm.length - 1] ?? 1;
  job.openings.forEach(({ widthMm, plateMm }, o) => {
    const { patterns } = widths[widthOf[o]!]!;
    const [least, most] = roomOf(model, o);
    const rows: Term[] = [];
    sizesMm.forEach((heightMm, h) => {
      if (!patterns.some((pattern) => pattern.heightMm === heightMm)) return;
      const row = heightMm + plateMm;
      for (const [list, letter] of [
        [cableRows, 'n'],
        [spareRows, 'r'],
      ] as const) {
        const term: Term = [row, name(`${letter}${h}_${o}`)];
        list.push(term);
        rows.push(term);
        area.push([widthMm * heightMm, term[1]]);
        bounds.push(` 0 <= ${term[1]} <= ${goal.minimise === 'misses' ? 1000 : mostRows(most, row)}`);
      }
      smallness.push([largest * largest - heightMm * heightMm, `r${h}_${o}`]);
      if (several) need([[1, `n${h}_${o}`], [-1000, name(`u${o}`)]], '<=', 0); // prettier-ignore
    });
    const misses: Term[] = goal.minimise === 'misses' ? [[1, `v${o}`]] : [];
    const slack = goal.minimise === 'misses' ? 0 : LIMIT_MM;
    if (rows.length === 0) return;
    need([...rows, ...misses.map(([f, v]): Term => [-f, v])], '<=', most + slack);
    need([...rows, ...misses], '>=', least - slack);
    if (several) {
      bounds.push(` 0 <= u${o} <= 1`);
      if (
        locked.rows[o]!.some(({ columns }) =>
          columns.some(({ blocks }) => blocks.some((cable) => cable !== null)),
        )
      )
        need([[1, `u${o}`]], '=', 1);
    }
  });
  widths.forEach(({ patterns }, w) => {
    sizesMm.forEach((heightMm, h) => {
      const of = patterns.flatMap((pattern, p): Term[] =>
        pattern.heightMm === heightMm ? [[1, name(`x${w}_${p}`)]] : [],
      );
      const rows = job.openings.flatMap((_, o): Term[] => (widthOf[o] === w ? [[-1, `n${h}_${o}`]] : []));
      if (of.length > 0) need([...of, ...rows], '=', 0);
    });
  });
  sameOpenings(model).forEach(([a, b]) => {
    const difference = (o: number, sign: number): Term[] =>
      cableRows.filter(([, id]) => id.endsWith(`_${o}`)).map(([f, id]) => [sign * f, id]);
    need([...difference(a, 1), ...difference(b, -1)], '>=', 0);
  });
  const used: Term[] = several ? job.openings.map((_, o) => [1, `u${o}`]) : [];
  const taken: Term[] = types.flatMap(({ sizes }, k) =>
    sizes.map((j): Term => [sizesMm[j]! ** 2, `y${k}_${j}`]),
  );
  const sizeTerms: Term[] = [];
  if (goal.minimise === 'sizes' || goal.sizes !== undefined) {
    sizesMm.forEach((size, j) => {
      const takers = types.flatMap(({ sizes, cables }, k): Term[] => (sizes.includes(j) ? [[1, `y${k}_${j}`], [cables.length, '']] : [])); // prettier-ignore
      const total = takers.reduce((n, [f, id]) => (id === '' ? n + f : n), 0);
      if (total === 0) return;
      const z = name(`z${j}`);
      bounds.push(` 0 <= ${z} <= 1`);
      need([...takers.filter(([, id]) => id !== ''), [-total, z]], '<=', 0);
      if (!locked.sizes.has(size)) sizeTerms.push([1, z]);
    });
  }
  if (goal.openings !== undefined) need(used, '<=', goal.openings + LIMIT_MM);
  if (goal.heightMm !== undefined) need(cableRows, '<=', goal.heightMm + 1e-4);
  if (goal.sizes !== undefined) need(sizeTerms, '<=', goal.sizes + LIMIT_MM);
  if (goal.takenShare !== undefined) {
    const share = goal.takenShare;
    const limit = share * locked.blockMm2 - locked.cableMm2;
    need([...taken, ...area.map(([f, id]): Term => [-share * f, id])], '<=', limit + 1e-3);
  }
  const aim: Record<Goal['minimise'], Term[]> = {
    openings: used,
    height: cableRows,
    sizes: sizeTerms,
    misses: job.openings.map((_, o) => [1, `v${o}`]),
    shortfall: [...taken, ...area.map(([f, id]): Term => [-(goal.worth ?? 0) * f, id])],
    smallness,
  };
  const objective = aim[goal.minimise];
  return [
    'Minimize',
    ` obj: ${objective.length > 0 ? sum(objective) : '0 x0_0'}`,
    'Subject To',
    ...lines,
    'Bounds',
    ...bounds,
    'General',
    ` ${[...whole].join('\n ')}`,
    'End',
    '',
  ].join('\n');
}

/** Openings that are alike, each with the next one: without an order the solver tries every exchange. */
function sameOpenings({ job, locked }: Model): [number, number][] {
  const alike = (a: number, b: number) => {
    const [one, other] = [job.openings[a]!, job.openings[b]!];
    return (
      one.widthMm === other.widthMm && one.heightMm === other.heightMm && one.plateMm === other.plateMm &&
      one.compressionMm[0] === other.compressionMm[0] && one.compressionMm[1] === other.compressionMm[1] &&
      locked.rows[a]!.length === 0 && locked.rows[b]!.length === 0
    ); // prettier-ignore
  };
  return job.openings.flatMap((_, o): [number, number][] => (o > 0 && alike(o - 1, o) ? [[o - 1, o]] : []));
}

/** A sum in the program's text; zero factors are left out, long sums go over several lines. */
function sum(terms: readonly Term[]): string {
  let text = '';
  terms.forEach(([factor, id], i) => {
    if (factor === 0) return;
    if (i > 0 && i % 12 === 0) text += '\n  ';
    text += `${factor < 0 ? ' - ' : text === '' ? '' : ' + '}${Math.abs(factor)} ${id}`;
  });
  return text === '' ? `0 ${terms[0]![1]}` : text;
}
