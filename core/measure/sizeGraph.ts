import type { Fault } from '@core/fault';
import type { Reading, Size, Workshop } from '@core/model';

import { prepareDerivation, type Derived, type SizeFinder } from './derive';
import { chainSensitivities, NO_SENSITIVITIES, propagate, type Sensitivities } from './propagate';
import { evaluateSize, isKnown, type SizeResult } from './sizeResult';

/** What settling works out: values alone, or how they depend on what was measured as well. */
export type SettleDepth = 'values' | 'uncertainty';

/** A size in the graph. Its number is its place in the list it came from. */
interface Node {
  size: Size;
  readings: readonly Reading[];
  /** Result from readings or a given number; null for a derived size. */
  own: SizeResult | null;
  derived: Derived | null;
  /** What is wrong with it whatever the values are. */
  brokenBy: Fault | null;
  needs: readonly number[];
  usedBy: number[];
  rank: number;
  sensitivities: Sensitivities;
  /** Slopes by the sizes it uses directly, of the last settling. */
  slopes: readonly number[];
  /** Why the last evaluation gave no number. */
  failure: Fault | null;
  result: SizeResult | null;
}

/**
 * All sizes of a repair and how they depend on each other. After a change only what depends on it is worked out
 * again: sizes are kept in an order in which each stands after those it needs, and one pass along that order
 * visits those that are out of date.
 */
export class SizeGraph {
  readonly #nodes: Node[];
  readonly #numberOf = new Map<string, number>();
  readonly #workshop: Workshop;
  /** Values by number; NaN where there is none. */
  readonly #values: Float64Array;
  readonly #stale: Uint8Array;
  readonly #slopesStale: Uint8Array;
  #order: number[] = [];
  #lowestStale = 0;
  #lowestSlopesStale = 0;
  #scratch = new Float64Array(16);

  /** @param sizes those that are not removed; tags and ids are unique. */
  constructor(sizes: readonly Size[], readings: ReadonlyMap<string, readonly Reading[]>, workshop: Workshop) {
    this.#workshop = workshop;
    this.#nodes = sizes.map((size, index) => {
      this.#numberOf.set(size.id, index);
      return this.#emptyNode(size, readings.get(size.id) ?? []);
    });
    this.#values = new Float64Array(sizes.length).fill(Number.NaN);
    this.#stale = new Uint8Array(sizes.length).fill(1);
    this.#slopesStale = new Uint8Array(sizes.length);
    this.#link();
  }

  /** Gives a size other readings; `settle` brings everything up to date. */
  replaceReadings(sizeId: string, readings: readonly Reading[]): void {
    const number = this.#number(sizeId);
    this.#nodes[number]!.readings = readings;
    this.#markStale(number);
  }

  /**
   * Works out everything that is out of date: values first, and then how they depend on what was measured.
   * Returns how many sizes were visited.
   */
  settle(depth: SettleDepth = 'uncertainty'): number {
    const visited = this.#settleValues();
    return depth === 'values' ? visited : this.#settleSensitivities();
  }

  #settleValues(): number {
    let visited = 0;
    const order = this.#order;
    for (let rank = this.#lowestStale; rank < order.length; rank += 1) {
      const number = order[rank]!;
      if (this.#stale[number] === 0) continue;
      this.#stale[number] = 0;
      this.#slopesStale[number] = 1;
      this.#lowestSlopesStale = Math.min(this.#lowestSlopesStale, rank);
      visited += 1;
      if (!this.#evaluate(number)) continue;
      for (const user of this.#nodes[number]!.usedBy) this.#stale[user] = 1;
    }
    this.#lowestStale = order.length;
    return visited;
  }

  /** A size with the same value can still be known less well, so that all that use it are visited. */
  #settleSensitivities(): number {
    let visited = 0;
    const order = this.#order;
    for (let rank = this.#lowestSlopesStale; rank < order.length; rank += 1) {
      const number = order[rank]!;
      if (this.#slopesStale[number] === 0) continue;
      this.#slopesStale[number] = 0;
      visited += 1;
      const node = this.#nodes[number]!;
      this.#differentiate(node, number);
      for (const user of node.usedBy) this.#slopesStale[user] = 1;
    }
    this.#lowestSlopesStale = order.length;
    return visited;
  }

  /** The value of a size, or NaN where there is none; as of the last settling. */
  value(sizeId: string): number {
    return this.#values[this.#number(sizeId)]!;
  }

  /** What is known of a size, with its uncertainty. Settles what is out of date. */
  result(sizeId: string): SizeResult {
    this.settle();
    const node = this.#nodes[this.#number(sizeId)]!;
    node.result ??= this.#resultOf(node);
    return node.result;
  }

  #number(sizeId: string): number {
    const number = this.#numberOf.get(sizeId);
    if (number === undefined) throw new RangeError(`there is no size ${sizeId} in this graph`);
    return number;
  }

  #emptyNode(size: Size, readings: readonly Reading[]): Node {
    return {
      size,
      readings,
      own: null,
      derived: null,
      brokenBy: null,
      needs: [],
      usedBy: [],
      rank: 0,
      sensitivities: NO_SENSITIVITIES,
      slopes: [],
      failure: null,
      result: null,
    };
  }

  #markStale(number: number): void {
    this.#stale[number] = 1;
    this.#lowestStale = Math.min(this.#lowestStale, this.#nodes[number]!.rank);
  }

  /** Prepares derivations, finds circles, and puts the sizes in order. */
  #link(): void {
    const byTag = new Map(this.#nodes.map(({ size }) => [size.tag, size]));
    const find: SizeFinder = {
      byTag: (tag) => byTag.get(tag) ?? null,
      byId: (id) => {
        const number = this.#numberOf.get(id);
        return number === undefined ? null : this.#nodes[number]!.size;
      },
    };
    for (const [number, node] of this.#nodes.entries()) {
      if (node.size.kind !== 'derived' || !node.size.derivation) continue;
      const derived = prepareDerivation(node.size, node.size.derivation, find);
      if (!derived.ok) {
        node.brokenBy = derived.fault;
        continue;
      }
      node.derived = derived.value;
      node.needs = derived.value.needs.map(({ id }) => this.#number(id));
      for (const need of new Set(node.needs)) this.#nodes[need]!.usedBy.push(number);
      if (node.needs.length > this.#scratch.length) this.#scratch = new Float64Array(node.needs.length * 2);
    }
    this.#sort();
  }

  /** Kahn's algorithm; what is left over stands in a circle, or behind one. */
  #sort(): void {
    const open = this.#nodes.map((node) => new Set(node.needs).size);
    const order: number[] = [];
    for (const [number, count] of open.entries()) if (count === 0) order.push(number);
    for (let at = 0; at < order.length; at += 1) {
      for (const user of this.#nodes[order[at]!]!.usedBy) {
        open[user]! -= 1;
        if (open[user] === 0) order.push(user);
      }
    }
    const left = new Set(open.flatMap((count, number) => (count > 0 ? [number] : [])));
    for (const circle of this.#circlesIn(left)) {
      const tags = circle.map((number) => this.#nodes[number]!.size.tag);
      for (const [place, number] of circle.entries()) {
        const turned = [...tags.slice(place), ...tags.slice(0, place)];
        this.#nodes[number]!.brokenBy = { code: 'formula.cycle', tags: turned };
      }
    }
    this.#order = [...order, ...left];
    for (const [rank, number] of this.#order.entries()) this.#nodes[number]!.rank = rank;
  }

  /** Circles among sizes that could not be put in order, each size in at most one. */
  #circlesIn(left: ReadonlySet<number>): number[][] {
    const circles: number[][] = [];
    const done = new Set<number>();
    for (const start of left) {
      const path: number[] = [];
      let at: number | undefined = start;
      while (at !== undefined && !done.has(at)) {
        const again = path.indexOf(at);
        if (again >= 0) {
          circles.push(path.slice(again));
          break;
        }
        path.push(at);
        at = this.#nodes[at]!.needs.find((need) => left.has(need));
      }
      for (const number of path) done.add(number);
    }
    return circles;
  }

  /** Works out one value; true if it is another one than before. */
  #evaluate(number: number): boolean {
    const node = this.#nodes[number]!;
    const before = this.#values[number]!;
    let value = Number.NaN;
    node.failure = null;
    if (node.derived && !node.brokenBy) {
      const { derived, needs } = node;
      const scratch = this.#scratch;
      let known = true;
      for (let index = 0; index < needs.length; index += 1) {
        const input = this.#values[needs[index]!]!;
        scratch[index] = input;
        known &&= input === input;
      }
      if (known) {
        value = derived.evaluate(scratch);
        if (!Number.isFinite(value)) {
          value = Number.NaN;
          node.failure = derived.fault();
        }
      }
    } else if (node.size.kind !== 'derived') {
      node.own = evaluateSize(node.size, node.readings, this.#workshop);
      if (isKnown(node.own)) value = node.own.value;
    }
    this.#values[number] = value;
    return !Object.is(before, value);
  }

  /** Works out how one size depends on what was measured, at its present value. */
  #differentiate(node: Node, number: number): void {
    node.result = null;
    const value = this.#values[number]!;
    if (node.derived && value === value) {
      const slopes = node.derived.slopes();
      node.slopes = Array.from(slopes);
      node.sensitivities = this.#chained(node.needs, slopes);
      return;
    }
    node.slopes = [];
    node.sensitivities =
      node.own?.status === 'measured' ? { leaves: [number], perUnit: [1] } : NO_SENSITIVITIES;
  }

  #chained(needs: readonly number[], slopes: ArrayLike<number>): Sensitivities {
    const inputs: Sensitivities[] = [];
    for (const need of needs) inputs.push(this.#nodes[need]!.sensitivities);
    return chainSensitivities(inputs, slopes);
  }

  #resultOf(node: Node): SizeResult {
    if (node.size.kind !== 'derived') return node.own ?? { status: 'wanted', count: 0, waitsFor: null };
    const fault = node.brokenBy ?? node.failure;
    if (fault) return { status: 'impossible', count: 0, fault };
    const value = this.value(node.size.id);
    if (!node.derived || Number.isNaN(value)) {
      return { status: 'wanted', count: 0, waitsFor: this.#firstUnknown(node) };
    }
    return {
      status: 'derived',
      value,
      count: 0,
      uncertainty: propagate(node.sensitivities, (leaf) => this.#leaf(leaf)),
      inputs: node.needs.map((need, index) => ({
        sizeId: this.#nodes[need]!.size.id,
        perUnit: node.slopes[index] ?? 0,
      })),
    };
  }

  #leaf(number: number) {
    const { own, size } = this.#nodes[number]!;
    return own?.status === 'measured' ? { sizeId: size.id, uncertainty: own.uncertainty } : null;
  }

  /** The size that has to be taken before this one is known: down to the one that was never taken. */
  #firstUnknown(node: Node): { tag: string; name: string } | null {
    let at = node;
    for (let depth = 0; depth <= this.#nodes.length; depth += 1) {
      const next = at.needs.find((need) => Number.isNaN(this.#values[need]!));
      if (next === undefined) break;
      at = this.#nodes[next]!;
    }
    return at === node ? null : { tag: at.size.tag, name: at.size.name };
  }
}
