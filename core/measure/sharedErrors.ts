import type { Apart } from './propagate';

interface Share {
  instrument: number;
  standard: number;
}

const NOBODY = -1;

/**
 * What each measured size has of the errors of instruments, in flat arrays by rank. Nearly all sizes are measured with one
 * instrument; what further ones have to do with a size stands beside that.
 */
export class SharedErrors {
  readonly #numbers = new Map<string, number>();
  readonly #first: Int32Array;
  readonly #standards: Float64Array;
  readonly #further = new Map<number, readonly Share[]>();
  /** By instrument, of the sum that is being taken. */
  #sums = new Float64Array(4);

  /** @param count sizes in all. */
  constructor(count: number) {
    this.#first = new Int32Array(count).fill(NOBODY);
    this.#standards = new Float64Array(count);
  }

  /** Says anew what a size has of them; true if that is otherwise than before. */
  set(rank: number, shared: Apart['shared']): boolean {
    const [first = { instrument: NOBODY, standard: 0 }, ...further] = shared.map(
      ({ instrumentId, standard }): Share => ({ instrument: this.#numberOf(instrumentId), standard }),
    );
    const same =
      this.#first[rank] === first.instrument &&
      this.#standards[rank] === first.standard &&
      further.length === 0 &&
      !this.#further.has(rank);
    this.#first[rank] = first.instrument;
    this.#standards[rank] = first.standard;
    if (further.length > 0) this.#further.set(rank, further);
    else this.#further.delete(rank);
    return !same;
  }

  /** Adds a size to the sum, times its slope. */
  add(rank: number, slope: number): void {
    const first = this.#first[rank]!;
    if (first === NOBODY) return;
    this.#sums[first]! += slope * this.#standards[rank]!;
    if (this.#further.size === 0) return;
    for (const { instrument, standard } of this.#further.get(rank) ?? []) {
      this.#sums[instrument]! += slope * standard;
    }
  }

  /** Variance of what was added since the last time: each instrument's errors add up before they are squared. */
  takeVariance(): number {
    const sums = this.#sums;
    let variance = 0;
    for (let instrument = 0; instrument < this.#numbers.size; instrument += 1) {
      variance += sums[instrument]! ** 2;
      sums[instrument] = 0;
    }
    return variance;
  }

  #numberOf(instrumentId: string): number {
    const known = this.#numbers.get(instrumentId);
    if (known !== undefined) return known;
    const number = this.#numbers.size;
    this.#numbers.set(instrumentId, number);
    if (number >= this.#sums.length) this.#sums = new Float64Array(2 * this.#sums.length);
    return number;
  }
}
