import type { InstrumentError } from './instrumentErrors';

interface Share {
  group: number;
  standard: number;
}

const NOBODY = -1;

/**
 * What each measured size has of the errors of instruments, in flat arrays by rank. Nearly all sizes are measured with one
 * instrument; what further ones have to do with a size stands beside that. A group is what one instrument measures with the same jaws.
 */
export class SharedErrors {
  readonly #groups = new Map<string, number>();
  readonly #instruments = new Map<string, number>();
  readonly #first: Int32Array;
  readonly #standards: Float64Array;
  readonly #further = new Map<number, readonly Share[]>();
  /** By group. */
  readonly #instrumentOf: number[] = [];
  readonly #leastShared: number[] = [];
  /** By group, of the sum that is being taken: of the errors, and of their squares. */
  #sums: Float64Array = new Float64Array(8);
  #squares: Float64Array = new Float64Array(8);
  /** By instrument: of all errors, and the variance where only what must be is shared. */
  #wholes: Float64Array = new Float64Array(8);
  #aparts: Float64Array = new Float64Array(8);

  #groupCount = 0;
  #instrumentCount = 0;
  #hasFurther = false;

  /** @param count sizes in all. */
  constructor(count: number) {
    this.#first = new Int32Array(count).fill(NOBODY);
    this.#standards = new Float64Array(count);
  }

  /** Says anew what a size has of them; true if that is otherwise than before. */
  set(rank: number, shared: readonly InstrumentError[]): boolean {
    const [first = { group: NOBODY, standard: 0 }, ...further] = shared.map((error): Share => ({
      group: this.#groupOf(error),
      standard: error.standard,
    }));
    const same =
      this.#first[rank] === first.group &&
      this.#standards[rank] === first.standard &&
      further.length === 0 &&
      !this.#further.has(rank);
    this.#first[rank] = first.group;
    this.#standards[rank] = first.standard;
    if (further.length > 0) this.#further.set(rank, further);
    else this.#further.delete(rank);
    this.#hasFurther = this.#further.size > 0;
    return !same;
  }

  /** Adds a size to the sum, times its slope. */
  add(rank: number, slope: number): void {
    const first = this.#first[rank]!;
    if (first === NOBODY) return;
    const error = slope * this.#standards[rank]!;
    this.#sums[first]! += error;
    this.#squares[first]! += error * error;
    if (this.#hasFurther) this.#addFurther(rank, slope);
  }

  #addFurther(rank: number, slope: number): void {
    for (const { group, standard } of this.#further.get(rank) ?? []) {
      this.#sums[group]! += slope * standard;
      this.#squares[group]! += (slope * standard) ** 2;
    }
  }

  /** Variance of what was added since the last time, as `addErrors` says. */
  takeVariance(): number {
    const [sums, squares] = [this.#sums, this.#squares];
    const count = this.#groupCount;
    if (count > 1) return this.#takeOfSeveral();
    // Nearly always there is one instrument, and one pair of its jaws.
    const [sum, square] = [sums[0]!, squares[0]!];
    sums[0] = 0;
    squares[0] = 0;
    const whole = sum * sum;
    const shared = count === 0 ? 0 : this.#leastShared[0]!;
    return Math.max(whole, shared * whole + (1 - shared) * square);
  }

  #takeOfSeveral(): number {
    const [sums, squares, wholes, aparts] = [this.#sums, this.#squares, this.#wholes, this.#aparts];
    const count = this.#groupCount;
    for (let group = 0; group < count; group += 1) {
      const square = squares[group]!;
      if (square === 0) continue;
      const [sum, shared, instrument] = [sums[group]!, this.#leastShared[group]!, this.#instrumentOf[group]!];
      wholes[instrument]! += sum;
      aparts[instrument]! += shared * sum * sum + (1 - shared) * square;
      sums[group] = 0;
      squares[group] = 0;
    }
    let variance = 0;
    for (let instrument = 0; instrument < this.#instrumentCount; instrument += 1) {
      const whole = wholes[instrument]!;
      variance += Math.max(whole * whole, aparts[instrument]!);
      wholes[instrument] = 0;
      aparts[instrument] = 0;
    }
    return variance;
  }

  #groupOf({ instrumentId, jaw, leastShared }: InstrumentError): number {
    const key = `${jaw} ${leastShared} ${instrumentId}`;
    const known = this.#groups.get(key);
    if (known !== undefined) return known;
    const group = this.#groups.size;
    this.#groups.set(key, group);
    const instrument = this.#instruments.get(instrumentId) ?? this.#instruments.size;
    this.#instruments.set(instrumentId, instrument);
    this.#instrumentOf.push(instrument);
    this.#groupCount = group + 1;
    this.#instrumentCount = this.#instruments.size;
    this.#leastShared.push(leastShared);
    if (group >= this.#sums.length) {
      [this.#sums, this.#squares, this.#wholes, this.#aparts] = Array.from(
        { length: 4 },
        () => new Float64Array(4 * group),
      ) as [Float64Array, Float64Array, Float64Array, Float64Array];
    }
    return group;
  }
}
