/** A whole or real variable of a program; made by the program that it belongs to. */
export interface Variable {
  readonly name: string;
}

/** A variable so many times. */
export type Term = readonly [factor: number, of: Variable];

/** An integer program: what is minimised, under which limits, written in the text format that the solver reads. */
export class IntegerProgram {
  readonly #limits: string[] = [];
  readonly #bounds: string[] = [];
  readonly #whole = new Set<string>();

  /** A variable that takes whole numbers only. */
  whole(name: string): Variable {
    this.#whole.add(name);
    return { name };
  }

  /** A variable that takes any number that its limits allow. */
  real(name: string): Variable {
    return { name };
  }

  /** Asks that a sum keeps a limit; one of no terms asks for nothing. */
  need(terms: readonly Term[], how: '<=' | '>=' | '=', limit: number): void {
    if (terms.length > 0) this.#limits.push(` c${this.#limits.length}: ${sum(terms)} ${how} ${limit}`);
  }

  /** Keeps a variable between 0 and a limit. */
  atMost({ name }: Variable, limit: number): void {
    this.#bounds.push(` 0 <= ${name} <= ${limit}`);
  }

  /**
   * The program's text.
   *
   * @param aim what is minimised; empty: any solution is as good as another
   * @param any a variable that stands in the text where the aim is empty
   */
  minimise(aim: readonly Term[], any: Variable): string {
    return [
      'Minimize',
      ` obj: ${aim.length > 0 ? sum(aim) : `0 ${any.name}`}`,
      'Subject To',
      ...this.#limits,
      'Bounds',
      ...this.#bounds,
      'General',
      ` ${[...this.#whole].join('\n ')}`,
      'End',
      '',
    ].join('\n');
  }
}

/** Terms in a line of the text: the solver's reader takes no endless lines. Chosen: far under the 255 letters of a line. */
const IN_A_LINE = 12;

/** A sum in the program's text; zero factors are left out, long sums go over several lines. */
function sum(terms: readonly Term[]): string {
  let text = '';
  terms.forEach(([factor, { name }], i) => {
    if (factor === 0) return;
    if (i > 0 && i % IN_A_LINE === 0) text += '\n  ';
    text += `${factor < 0 ? ' - ' : text === '' ? '' : ' + '}${Math.abs(factor)} ${name}`;
  });
  return text === '' ? `0 ${terms[0]![1].name}` : text;
}

/** Terms so many times. */
export const times = (factor: number, terms: readonly Term[]): Term[] =>
  terms.map(([own, of]) => [factor * own, of]);
