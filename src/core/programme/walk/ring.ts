/** The nodes of a walk in their order, as a ring: what follows the last is the first. */
export class Ring {
  readonly nodes: Int32Array;
  readonly #places: Int32Array;
  readonly #held: Int32Array;

  constructor(nodes: Int32Array) {
    this.nodes = nodes;
    this.#places = new Int32Array(nodes.length);
    this.#held = new Int32Array(nodes.length);
    this.#number();
  }

  get size(): number {
    return this.nodes.length;
  }

  /** Where a node stands. */
  place(node: number): number {
    return this.#places[node]!;
  }

  /** The node at a place, counted round the ring in either direction. */
  at(place: number): number {
    return this.nodes[this.#round(place)]!;
  }

  next(node: number): number {
    const place = this.#places[node]! + 1;
    return this.nodes[place === this.size ? 0 : place]!;
  }

  previous(node: number): number {
    const place = this.#places[node]!;
    return this.nodes[place === 0 ? this.size - 1 : place - 1]!;
  }

  /** Takes the order of another ring of the same nodes. */
  take(nodes: Int32Array): void {
    this.nodes.set(nodes);
    this.#number();
  }

  /** Turns round what stands from one place to another, or all the rest, which gives the same ring. */
  reverse(from: number, to: number): void {
    const many = this.#round(to - from) + 1;
    if (2 * many > this.size) return this.#reverse(to + 1, this.size - many);
    this.#reverse(from, many);
  }

  #reverse(from: number, many: number): void {
    let [low, high] = [this.#round(from), this.#round(from + many - 1)];
    for (let left = many >> 1; left > 0; left--) {
      const [a, b] = [this.nodes[low]!, this.nodes[high]!];
      this.#put(low, b);
      this.#put(high, a);
      low = low + 1 === this.size ? 0 : low + 1;
      high = high === 0 ? this.size - 1 : high - 1;
    }
  }

  /**
   * Moves some nodes that stand one after the other to behind another node.
   *
   * @param from place of the first of them
   * @param many how many
   * @param behind place of the node that they come to stand behind; none of them
   * @param turned whether they are turned round
   */
  move(from: number, many: number, behind: number, turned: boolean): void {
    for (let i = 0; i < many; i++) this.#held[turned ? many - 1 - i : i] = this.at(from + i);
    const ahead = this.#round(behind - (from + many - 1));
    const back = this.size - many - ahead;
    // Those between step aside: whichever are fewer, as it is a ring.
    if (ahead <= back)
      for (let i = 0; i < ahead; i++) this.#put(this.#round(from + i), this.at(from + many + i));
    else for (let i = 0; i < back; i++) this.#put(this.#round(from + many - 1 - i), this.at(from - 1 - i));
    const first = ahead <= back ? from + ahead : from - back;
    for (let i = 0; i < many; i++) this.#put(this.#round(first + i), this.#held[i]!);
  }

  #put(place: number, node: number): void {
    this.nodes[place] = node;
    this.#places[node] = place;
  }

  #number(): void {
    for (let place = 0; place < this.size; place++) this.#places[this.nodes[place]!] = place;
  }

  #round(place: number): number {
    const rest = place % this.size;
    return rest < 0 ? rest + this.size : rest;
  }
}
