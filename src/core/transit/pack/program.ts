import { IntegerProgram, times, type Term, type Variable } from './integer-program';
import { mostRows, roomOf, type Model } from './model';

/** Slack of a limit in the program: the solver's own tolerance must not decide about a value on a limit, mm. Chosen: far under what anybody measures. */
const LIMIT_MM = 1e-6;
/** The same for a sum of heights over all openings, mm, and for a sum of areas, mm². Chosen: sums carry more rounding. */
const HEIGHT_LIMIT_MM = 1e-4;
const AREA_LIMIT_MM2 = 1e-3;
/** More rows than any opening holds: the height of the tallest frame by the thinnest row is far less. Chosen. Chosen: ten times what stands anywhere. */
const MANY_ROWS = 1000;

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

/** Rows of one height in one opening, as the program counts them. */
interface Rows {
  heightMm: number;
  /** Height of a row with its plate, mm. */
  rowMm: number;
  /** Area of a row, mm². */
  areaMm2: number;
  withCables: Variable;
  spare: Variable;
}

/**
 * The packing as an integer program.
 *
 * @returns its text, for the solver
 */
export function programOf(model: Model, goal: Goal): string {
  return new PackingProgram(model, goal).text();
}

/** The variables of a packing and what is asked of them. */
class PackingProgram {
  readonly #program = new IntegerProgram();
  /** Rows of each height in each opening; those that no pattern has are left out. */
  readonly #rows: Rows[][] = [];
  readonly #several: boolean;

  constructor(
    private readonly model: Model,
    private readonly goal: Goal,
  ) {
    this.#several = model.job.openings.length > 1;
  }

  text(): string {
    this.#everyCableOnce();
    this.#blocksEnough();
    this.model.job.openings.forEach((_, opening) => this.#fillsItsWindow(opening));
    this.#patternsMakeRows();
    this.#alikeInOrder();
    const sizes = this.#sizesUsed();
    this.#keeps(sizes);
    return this.#program.minimise(this.#aim(sizes), this.#program.real('x0_0'));
  }

  /** How many rows are laid out by a pattern of a width. */
  #pattern(width: number, pattern: number): Variable {
    return this.#program.whole(`x${width}_${pattern}`);
  }

  /** How many cables of a type sit in blocks of a size. */
  #takes(type: number, size: number): Variable {
    return this.#program.whole(`y${type}_${size}`);
  }

  /** Whether an opening is used. */
  #isUsed(opening: number): Variable {
    return this.#program.whole(`u${opening}`);
  }

  /** Height by which an opening misses its window, mm. */
  #misses(opening: number): Variable {
    return this.#program.real(`v${opening}`);
  }

  /** Every cable sits in a block of one of the sizes that take it. */
  #everyCableOnce(): void {
    this.model.types.forEach(
      ({ sizes, cables }, type) =>
      this.#program.need(sizes.map((size): Term => [1, this.#takes(type, size)]), '=', cables.length), // prettier-ignore
    );
  }

  /** Blocks of each size that cables take are there: laid out by patterns, or free in rows that stand already. */
  #blocksEnough(): void {
    const { sizesMm, types, widths, locked } = this.model;
    sizesMm.forEach((_, size) => {
      const taken = types.flatMap(({ sizes }, type): Term[] =>
        sizes.includes(size) ? [[1, this.#takes(type, size)]] : [],
      );
      if (taken.length === 0) return;
      const given = widths.flatMap(({ patterns }, width) =>
        patterns.flatMap(({ blocks }, pattern): Term[] =>
          blocks[size]! > 0 ? [[-blocks[size]!, this.#pattern(width, pattern)]] : [],
        ),
      );
      this.#program.need([...taken, ...given], '<=', locked.free[size]!);
    });
  }

  /** The rows of an opening fill it to within what its compression allows. */
  #fillsItsWindow(opening: number): void {
    const { model, goal } = this;
    const [least, most] = roomOf(model, opening);
    const rows = this.#rowsOf(opening, most);
    this.#rows.push(rows);
    if (rows.length === 0) return;
    const height = rows.flatMap(({ rowMm, withCables, spare }): Term[] => [
      [rowMm, withCables],
      [rowMm, spare],
    ]);
    const missing = goal.minimise === 'misses';
    const misses: Term[] = missing ? [[1, this.#misses(opening)]] : [];
    const slack = missing ? 0 : LIMIT_MM;
    this.#program.need([...height, ...times(-1, misses)], '<=', most + slack);
    this.#program.need([...height, ...misses], '>=', least - slack);
    if (!this.#several) return;
    this.#program.atMost(this.#isUsed(opening), 1);
    const hasCables = model.locked.rows[opening]!.some(({ columns }) =>
      columns.some(({ blocks }) => blocks.some((cable) => cable !== null)),
    );
    if (hasCables) this.#program.need([[1, this.#isUsed(opening)]], '=', 1);
  }

  /** Rows of an opening by their heights; rows with cables stand in a used opening only. */
  #rowsOf(opening: number, mostMm: number): Rows[] {
    const { job, sizesMm, widths, widthOf } = this.model;
    const { widthMm, plateMm } = job.openings[opening]!;
    const { patterns } = widths[widthOf[opening]!]!;
    return sizesMm.flatMap((heightMm, size) => {
      if (!patterns.some((pattern) => pattern.heightMm === heightMm)) return [];
      const rowMm = heightMm + plateMm;
      const most = this.goal.minimise === 'misses' ? MANY_ROWS : mostRows(mostMm, rowMm);
      const withCables = this.#program.whole(`n${size}_${opening}`);
      const spare = this.#program.whole(`r${size}_${opening}`);
      this.#program.atMost(withCables, most);
      this.#program.atMost(spare, most);
      if (this.#several) this.#program.need([[1, withCables], [-MANY_ROWS, this.#isUsed(opening)]], '<=', 0); // prettier-ignore
      return [{ heightMm, rowMm, areaMm2: widthMm * heightMm, withCables, spare }];
    });
  }

  /** Rows with cables of each height and width are laid out by the patterns of it. */
  #patternsMakeRows(): void {
    const { sizesMm, widths, widthOf } = this.model;
    widths.forEach(({ patterns }, width) =>
      sizesMm.forEach((heightMm) => {
        const laid = patterns.flatMap((pattern, i): Term[] =>
          pattern.heightMm === heightMm ? [[1, this.#pattern(width, i)]] : [],
        );
        if (laid.length === 0) return;
        const rows = this.#rows
          .filter((_, opening) => widthOf[opening] === width)
          .flatMap((of) => of.filter((row) => row.heightMm === heightMm));
        this.#program.need([...laid, ...rows.map(({ withCables }): Term => [-1, withCables])], '=', 0);
      }),
    );
  }

  /** Of openings that are alike the first is filled most: else the solver tries every exchange. */
  #alikeInOrder(): void {
    for (const [one, next] of sameOpenings(this.model))
      this.#program.need([...heightOf(this.#rows[one]!), ...times(-1, heightOf(this.#rows[next]!))], '>=', 0);
  }

  /** Whether each size is used by a cable; counted where it is no size that stands already. */
  #sizesUsed(): Term[] {
    const { sizesMm, types, locked } = this.model;
    if (this.goal.minimise !== 'sizes' && this.goal.sizes === undefined) return [];
    return sizesMm.flatMap((sizeMm, size): Term[] => {
      const takers = types.flatMap(({ sizes, cables }, type) =>
        sizes.includes(size) ? [{ of: this.#takes(type, size), cables: cables.length }] : [],
      );
      const most = takers.reduce((total, { cables }) => total + cables, 0);
      if (most === 0) return [];
      const used = this.#program.whole(`z${size}`);
      this.#program.atMost(used, 1);
      this.#program.need([...takers.map(({ of }): Term => [1, of]), [-most, used]], '<=', 0);
      return locked.sizes.has(sizeMm) ? [] : [[1, used]];
    });
  }

  /** Keeps to what earlier programs reached. */
  #keeps(sizes: readonly Term[]): void {
    const { goal, model } = this;
    if (goal.openings !== undefined) this.#program.need(this.#openings(), '<=', goal.openings + LIMIT_MM);
    if (goal.heightMm !== undefined)
      this.#program.need(this.#height(), '<=', goal.heightMm + HEIGHT_LIMIT_MM);
    if (goal.sizes !== undefined) this.#program.need(sizes, '<=', goal.sizes + LIMIT_MM);
    if (goal.takenShare !== undefined) {
      const limit = goal.takenShare * model.locked.blockMm2 - model.locked.cableMm2;
      const terms = [...this.#taken(), ...times(-goal.takenShare, this.#area())];
      this.#program.need(terms, '<=', limit + AREA_LIMIT_MM2);
    }
  }

  #aim(sizes: readonly Term[]): readonly Term[] {
    switch (this.goal.minimise) {
      case 'openings':
        return this.#openings();
      case 'height':
        return this.#height();
      case 'sizes':
        return sizes;
      case 'misses':
        return this.model.job.openings.map((_, opening) => [1, this.#misses(opening)]);
      case 'shortfall':
        return [...this.#taken(), ...times(-(this.goal.worth ?? 0), this.#area())];
      case 'smallness':
        return this.#smallness();
    }
  }

  /** Openings that are used. */
  readonly #openings = (): Term[] =>
    this.#several ? this.model.job.openings.map((_, opening) => [1, this.#isUsed(opening)]) : [];

  /** Height of all rows with cables, mm. */
  readonly #height = (): Term[] => this.#rows.flatMap(heightOf);

  /** Area of all rows, mm². */
  readonly #area = (): Term[] =>
    this.#rows.flat().flatMap(({ areaMm2, withCables, spare }) => [
      [areaMm2, withCables],
      [areaMm2, spare],
    ]);

  /** Area of the blocks that cables sit in, mm². */
  readonly #taken = (): Term[] =>
    this.model.types.flatMap(({ sizes }, type) =>
      sizes.map((size): Term => [this.model.sizesMm[size]! ** 2, this.#takes(type, size)]),
    );

  /** How much smaller than the largest the spare rows are, as area, mm². */
  #smallness(): Term[] {
    const { sizesMm } = this.model;
    const largest = sizesMm[sizesMm.length - 1] ?? 1;
    return this.#rows.flat().map(({ heightMm, spare }) => [largest * largest - heightMm * heightMm, spare]);
  }
}

/** Height of the rows with cables of one opening, mm. */
const heightOf = (rows: readonly Rows[]): Term[] => rows.map(({ rowMm, withCables }) => [rowMm, withCables]);

/** Openings that are alike, each with the next one. */
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
