import { randomAt } from '../../quantity/random';
import type { Ground } from './ground';
import { neighbours } from './neighbours';
import { Ring } from './ring';

/** Less is no gain, m. Chosen: rounding in the last digits moves nobody. */
const LEAST_GAIN = 1e-7;
/** Most nodes that are moved together unless they are a group. Chosen: longer stretches are turned round instead. */
const MOST_MOVED = 3;
/** Longest stretch that is swapped with the next to leave a way that no small change makes shorter. Chosen: longer ones find no more, by trying. */
const MOST_SWAPPED = 50;

/**
 * Looks for a short ring: from each node to the nearest that is left, then by small changes, each of which makes it shorter
 * (stretches turned round, nodes and groups moved), then again and again after two stretches beside each other were
 * swapped, kept where that has led to something no longer. No change ever parts a group. It is repeatable.
 * Source: iterated local search by 2-opt and or-opt moves with neighbour lists (Lourenço, Martin, Stützle 2003).
 */
export class RingSearch {
  readonly #ring: Ring;
  readonly #best: Int32Array;
  readonly #near: Int32Array[];
  /** Nodes whose legs have changed since they were looked at. */
  readonly #queue: number[] = [];
  readonly #waits: Uint8Array;
  #gained = 0;
  #draws = 0;

  constructor(private readonly ground: Ground) {
    this.#near = neighbours(ground);
    this.#ring = new Ring(nearestRing(ground));
    this.#waits = new Uint8Array(ground.size);
    for (const node of this.#ring.nodes) this.#look(node);
    this.#settle();
    this.#best = this.#ring.nodes.slice();
  }

  /** The shortest ring so far. */
  get best(): Int32Array {
    return this.#best;
  }

  /** Looks on, so many swaps long. @returns whether the ring has become shorter */
  search(swaps: number): boolean {
    let shorter = false;
    for (let i = 0; i < swaps; i++) {
      this.#gained = 0;
      if (!this.#swap()) continue;
      this.#settle();
      if (this.#gained < -LEAST_GAIN) this.#ring.take(this.#best);
      else this.#best.set(this.#ring.nodes);
      shorter ||= this.#gained > LEAST_GAIN;
    }
    return shorter;
  }

  #look(...nodes: number[]): void {
    for (const node of nodes) {
      if (this.#waits[node]) continue;
      this.#waits[node] = 1;
      this.#queue.push(node);
    }
  }

  #settle(): void {
    for (let node = this.#queue.pop(); node !== undefined; node = this.#queue.pop()) {
      this.#waits[node] = 0;
      while (this.#turn(node) || this.#move(node));
    }
  }

  /** Makes the ring shorter by turning round a stretch that begins or ends at a node. */
  #turn(a: number): boolean {
    const { cost } = this.ground;
    for (const ahead of [true, false]) {
      const b = this.#beside(a, ahead);
      const leg = cost(a, b);
      for (const c of this.#near[a]!) {
        const saved = leg - cost(a, c);
        if (saved <= LEAST_GAIN) break;
        const d = this.#beside(c, ahead);
        const gain = saved + cost(c, d) - cost(b, d);
        if (gain <= LEAST_GAIN) continue;
        const [from, to] = ahead ? [b, c] : [c, b];
        this.#ring.reverse(this.#ring.place(from), this.#ring.place(to));
        return this.#took(gain, a, b, c, d);
      }
    }
    return false;
  }

  #beside(node: number, ahead: boolean): number {
    return ahead ? this.#ring.next(node) : this.#ring.previous(node);
  }

  /** Makes the ring shorter by moving a few nodes, of which a node is the first or last, beside another. */
  #move(a: number): boolean {
    for (const ahead of [true, false]) {
      for (let many = 1, far = a; many <= MOST_MOVED && many < this.#ring.size - 2; many++) {
        if (this.#moveStretch({ a, far, many, ahead })) return true;
        far = this.#beside(far, ahead);
      }
      const group = this.#groupFrom(a, ahead);
      if (group && this.#moveStretch(group)) return true;
    }
    return false;
  }

  /** A group that begins at a node, where it is larger than what is moved anyway. */
  #groupFrom(a: number, ahead: boolean): Stretch | null {
    const { group } = this.ground;
    if (group[a] === 0 || group[this.#beside(a, !ahead)] === group[a]) return null;
    let [far, many] = [a, 1];
    for (let next = this.#beside(a, ahead); group[next] === group[a] && next !== a; many++) {
      far = next;
      next = this.#beside(next, ahead);
    }
    return many > MOST_MOVED && many < this.#ring.size - 2 ? { a, far, many, ahead } : null;
  }

  #moveStretch(stretch: Stretch): boolean {
    const { cost } = this.ground;
    const { a, far, ahead } = stretch;
    const [before, after] = [this.#beside(a, !ahead), this.#beside(far, ahead)];
    const freed = cost(before, a) + cost(far, after) - cost(before, after);
    for (const c of this.#near[a]!) {
      const saved = freed - cost(a, c);
      if (saved <= LEAST_GAIN) break;
      if (this.#holds(stretch, c)) continue;
      for (const onward of [true, false]) {
        const d = this.#beside(c, onward);
        // Beside it on either side there is nothing to go in between.
        if (this.#holds(stretch, d)) continue;
        const gain = saved - cost(far, d) + cost(c, d);
        if (gain <= LEAST_GAIN) continue;
        this.#put(stretch, c, onward);
        return this.#took(gain, before, a, far, after, c, d);
      }
    }
    return false;
  }

  #holds({ a, far, many, ahead }: Stretch, node: number): boolean {
    const from = this.#ring.place(ahead ? a : far);
    const apart = this.#ring.place(node) - from;
    return (apart < 0 ? apart + this.#ring.size : apart) < many;
  }

  /** Puts a stretch so that its node `a` stands beside `c`, behind or before it. */
  #put({ a, far, many, ahead }: Stretch, c: number, onward: boolean): void {
    const behind = onward ? c : this.#ring.previous(c);
    this.#ring.move(this.#ring.place(ahead ? a : far), many, this.#ring.place(behind), ahead !== onward);
  }

  #took(gain: number, ...nodes: number[]): true {
    this.#gained += gain;
    this.#look(...nodes);
    return true;
  }

  /** Swaps two stretches beside each other, none of which parts a group. @returns whether there were such */
  #swap(): boolean {
    const { size } = this.ground;
    const most = Math.min(MOST_SWAPPED, Math.floor(size / 3));
    const first = this.#cut(this.#draw(size), null, size);
    if (first === null) return false;
    const kind = this.#groupAcross(first);
    const second = this.#cut(first + 1 + this.#draw(most), kind, size - 2 + first);
    if (second === null) return false;
    const third = this.#cut(second + 1 + this.#draw(most), kind, size - 1 + first);
    if (third === null) return false;
    return this.#swapped(first, second, third);
  }

  #swapped(first: number, second: number, third: number): boolean {
    const { cost } = this.ground;
    const ends = [first, second, third].flatMap((place) => [this.#ring.at(place), this.#ring.at(place + 1)]);
    const [a, b, c, d, e, f] = ends as [number, number, number, number, number, number];
    this.#gained += cost(a, b) + cost(c, d) + cost(e, f) - cost(a, d) - cost(e, b) - cost(c, f);
    this.#ring.move(first + 1, second - first, third, false);
    this.#look(...ends);
    return true;
  }

  /** The first place from one on behind which the ring may be cut; null where there is none up to another. */
  #cut(from: number, kind: number | null, to: number): number | null {
    for (let place = from; place <= to; place++) {
      if (kind === null || this.#groupAcross(place) === kind) return place;
      if (kind !== 0) return null;
    }
    return null;
  }

  /** The group that holds both the node at a place and the next; 0 where none does. */
  #groupAcross(place: number): number {
    const { group } = this.ground;
    const [one, next] = [group[this.#ring.at(place)]!, group[this.#ring.at(place + 1)]!];
    return one === next ? one : 0;
  }

  /** A whole number from 0 to below another, drawn repeatably. */
  #draw(below: number): number {
    return Math.floor(randomAt(1, this.#draws++) * below);
  }
}

/** Some nodes one after the other, from one end to the other. */
interface Stretch {
  a: number;
  far: number;
  many: number;
  /** Whether the far end comes later in the ring. */
  ahead: boolean;
}

/** From each node to the nearest that is left, groups without a break. */
function nearestRing({ size, cost, end }: Ground): Int32Array {
  const ring = new Int32Array(size);
  const left = Array.from({ length: size - 1 }, (_, i) => i + 1).filter((node) => node !== end);
  let place = 1;
  for (let here = 0; left.length > 0; here = ring[place++]!) {
    let nearest = 0;
    for (let i = 1; i < left.length; i++) if (cost(here, left[i]!) < cost(here, left[nearest]!)) nearest = i;
    ring[place] = left[nearest]!;
    left[nearest] = left[left.length - 1]!;
    left.pop();
  }
  if (end !== null) ring[size - 1] = end;
  return ring;
}
