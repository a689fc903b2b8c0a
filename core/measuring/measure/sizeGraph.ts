import type { Fault } from '@core/foundations/fault';
import { addFormula, listsOf, Sheet, type Lists } from '@core/foundations/formula';
import type { Reading, Size, Workshop } from '@core/record/model';

import type { ReadyConstruction } from './derive';
import { EdgeSlopes } from './edgeSlopes';
import { propagate, takeApart, type Root } from './propagate';
import { MOST_ROOTS, rootSetsOf, type RootSets } from './rootSets';
import { linkAndSort, type Linked } from './sizeOrder';
import { SharedErrors } from './sharedErrors';
import { evaluateSize, isKnown, uncertaintyOf, type SizeResult } from './sizeResult';
import type { Uncertainty } from './uncertainty';

/** What settling works out: values alone, or how they depend on what was measured as well. */
export type SettleDepth = 'values' | 'uncertainty';

const NO_FORMULA = -1;
/** What is out of date of a size. A value that is out of date takes its slopes with it. */
const FRESH = 0;
const SLOPES_STALE = 1;
const ALL_STALE = 2;

/**
 * All sizes of a repair and how they depend on each other. After a change only what depends on it is worked out
 * again: sizes are numbered in an order in which each stands after those that it needs, and one pass along that
 * order visits those that are out of date. What is visited often lies side by side in flat arrays.
 */
export class SizeGraph {
  readonly #workshop: Workshop;
  readonly #entries: readonly Linked[];
  readonly #rankOf: ReadonlyMap<string, number>;
  readonly #readings: (readonly Reading[])[];
  /** Formulas, all on one sheet; its first places are the values of sizes by rank, NaN where there is none. */
  readonly #sheet: Sheet;
  /** By rank: number on the sheet, or NO_FORMULA. */
  readonly #formulas: Int32Array;
  readonly #constructions: readonly (ReadyConstruction | null)[];
  readonly #needs: Lists;
  readonly #users: Lists;
  readonly #sets: RootSets;

  /** By rank: FRESH, SLOPES_STALE or ALL_STALE. */
  readonly #stale: Uint8Array;
  #lowestStale = 0;
  /** Results from readings or a given number; null for derived sizes. */
  readonly #own: (SizeResult | null)[];
  /** Why the last evaluation gave no number. */
  readonly #failures: (Fault | null)[];

  #lowestSlopesStale = 0;
  /** By need: slope of a size by one that it uses. */
  readonly #slopes: Float64Array;
  /** By root of each size: slope by what was measured. */
  readonly #perRoot: Float64Array;
  /** Squared standard uncertainties, by rank. */
  readonly #variances: Float64Array;
  /** The same of what stands by itself, without what an instrument shares among all that it measures. */
  readonly #ownVariances: Float64Array;
  readonly #shared: SharedErrors;
  readonly #edges: EdgeSlopes;
  /** Results that were asked for, and by rank whether they still hold. */
  readonly #results: (SizeResult | null)[];
  readonly #told: Uint8Array;
  /** By rank: 1 where the slopes by needs are known and stay the same for all values. */
  readonly #steady: Uint8Array;

  /** @param sizes those that are not removed; tags and ids are unique. */
  constructor(sizes: readonly Size[], readings: ReadonlyMap<string, readonly Reading[]>, workshop: Workshop) {
    this.#workshop = workshop;
    const entries = linkAndSort(sizes);
    const count = entries.length;
    this.#sheet = new Sheet(count);
    this.#formulas = addFormulas(entries, this.#sheet);
    const needs = entries.map((entry) => (entry.derived ? entry.needs : []));
    this.#entries = entries;
    this.#rankOf = new Map(entries.map(({ size }, rank) => [size.id, rank]));
    this.#readings = entries.map(({ size }) => readings.get(size.id) ?? []);
    this.#sets = rootSetsOf(needs, (rank) => isUnsure(entries[rank]!.size));
    for (const rank of this.#sets.tooMany) {
      this.#formulas[rank] = NO_FORMULA;
      entries[rank]!.derived = null;
      entries[rank]!.brokenBy = { code: 'size.tooManyRoots', limit: MOST_ROOTS };
    }
    this.#constructions = entries.map(({ derived }) => (derived?.by === 'construction' ? derived : null));
    this.#needs = listsOf(needs);
    this.#users = listsOf(usersOf(needs));
    this.#sheet.seal().values.fill(Number.NaN, 0, count);
    this.#stale = new Uint8Array(count).fill(ALL_STALE);
    this.#own = new Array<null>(count).fill(null);
    this.#failures = new Array<null>(count).fill(null);
    this.#slopes = new Float64Array(this.#needs.items.length);
    this.#perRoot = new Float64Array(this.#sets.roots.items.length);
    this.#variances = new Float64Array(count);
    this.#ownVariances = new Float64Array(count);
    this.#shared = new SharedErrors(count);
    this.#edges = new EdgeSlopes(this.#sheet, this.#needs.items, this.#slopes, this.#variances);
    this.#results = new Array<null>(count).fill(null);
    this.#told = new Uint8Array(count);
    this.#steady = new Uint8Array(count);
  }

  /** Gives a size other readings; `settle` brings everything up to date. */
  replaceReadings(sizeId: string, readings: readonly Reading[]): void {
    const rank = this.#rank(sizeId);
    this.#readings[rank] = readings;
    this.#stale[rank] = ALL_STALE;
    this.#lowestStale = Math.min(this.#lowestStale, rank);
  }

  /**
   * Works out everything that is out of date: values first, and then how they depend on what was measured.
   * Returns how many values were worked out.
   */
  settle(depth: SettleDepth = 'uncertainty'): number {
    const visited = this.#settleValues();
    if (depth === 'uncertainty') this.#settleSlopes();
    return visited;
  }

  /** The value of a size, or NaN where there is none; as of the last settling. */
  value(sizeId: string): number {
    return this.#sheet.values[this.#rank(sizeId)]!;
  }

  /** Standard uncertainty of a size; zero for what is known exactly. As of the last settling with uncertainty. */
  standard(sizeId: string): number {
    return Math.sqrt(this.#variances[this.#rank(sizeId)]!);
  }

  /** What is known of a size, with its budget of uncertainty. Settles what is out of date. */
  result(sizeId: string): SizeResult {
    this.settle();
    const rank = this.#rank(sizeId);
    if (this.#told[rank] === 0) {
      this.#results[rank] = this.#resultOf(rank);
      this.#told[rank] = 1;
    }
    return this.#results[rank]!;
  }

  #rank(sizeId: string): number {
    const rank = this.#rankOf.get(sizeId);
    if (rank === undefined) throw new RangeError(`there is no size ${sizeId} in this graph`);
    return rank;
  }

  #settleValues(): number {
    const stale = this.#stale;
    const sheet = this.#sheet;
    const values = sheet.values;
    const formulas = this.#formulas;
    const { starts, items } = this.#users;
    const steady = this.#steady;
    const told = this.#told;
    let visited = 0;
    if (this.#lowestStale < stale.length) {
      this.#lowestSlopesStale = Math.min(this.#lowestSlopesStale, this.#lowestStale);
    }
    for (let rank = this.#lowestStale; rank < stale.length; rank += 1) {
      if (stale[rank] !== ALL_STALE) continue;
      stale[rank] = steady[rank] === 1 ? FRESH : SLOPES_STALE;
      told[rank] = 0;
      visited += 1;
      const formula = formulas[rank]!;
      const before = values[rank]!;
      let value: number;
      if (formula === NO_FORMULA) value = this.#otherValue(rank);
      else {
        value = sheet.evaluate(formula);
        // Infinity less itself is no number either.
        if (value - value !== 0) value = this.#withoutValue(rank, formula);
        else if (before !== before) this.#failures[rank] = null;
      }
      if (value === before || (value !== value && before !== before)) continue;
      values[rank] = value;
      for (let at = starts[rank]!; at < starts[rank + 1]!; at += 1) stale[items[at]!] = ALL_STALE;
    }
    this.#lowestStale = stale.length;
    return visited;
  }

  /** A formula that gave no number: it waits for a size that it needs, or says what is wrong. */
  #withoutValue(rank: number, formula: number): number {
    const { derived } = this.#entries[rank]!;
    this.#failures[rank] =
      derived?.by === 'formula' && !this.#waits(rank)
        ? { code: `formula.${this.#sheet.failure(formula)}`, text: derived.text }
        : null;
    return Number.NaN;
  }

  #waits(rank: number): boolean {
    return this.#needsOf(rank).some((need) => Number.isNaN(this.#sheet.values[need]!));
  }

  /** The value of a size that no formula gives: from a construction, readings or a given number. */
  #otherValue(rank: number): number {
    const construction = this.#constructions[rank];
    if (!construction) return this.#ownValue(rank);
    this.#failures[rank] = null;
    if (this.#waits(rank)) return Number.NaN;
    const value = construction.evaluate(this.#needsOf(rank).map((need) => this.#sheet.values[need]!));
    if (Number.isFinite(value)) return value;
    this.#failures[rank] = construction.fault();
    return Number.NaN;
  }

  #ownValue(rank: number): number {
    const { size } = this.#entries[rank]!;
    if (size.kind === 'derived') return Number.NaN;
    const own = evaluateSize(size, this.#readings[rank]!, this.#workshop);
    this.#own[rank] = own;
    return isKnown(own) ? own.value : Number.NaN;
  }

  /**
   * How each size depends on what was measured, by the chain rule: its slope by a root is the sum of its slopes by
   * needs times theirs. Where slopes are steady and no doubt has changed, nothing is visited.
   */
  #settleSlopes(): void {
    const stale = this.#stale;
    const told = this.#told;
    const formulas = this.#formulas;
    const constructions = this.#constructions;
    const { starts, items } = this.#users;
    for (let rank = this.#lowestSlopesStale; rank < stale.length; rank += 1) {
      if (stale[rank] === FRESH) continue;
      stale[rank] = FRESH;
      told[rank] = 0;
      if (formulas[rank] !== NO_FORMULA || constructions[rank]) this.#chain(rank);
      else if (!this.#differentiateOwn(rank)) continue;
      for (let at = starts[rank]!; at < starts[rank + 1]!; at += 1) stale[items[at]!] = SLOPES_STALE;
    }
    this.#lowestSlopesStale = stale.length;
  }

  /** Slopes of a derived size by its roots, and its variance. */
  #chain(rank: number): void {
    const slopes = this.#slopes;
    const perRoot = this.#perRoot;
    const ownVariances = this.#ownVariances;
    const shared = this.#shared;
    const { starts: needStarts, items: needs } = this.#needs;
    const { starts: rootStarts, items: roots } = this.#sets.roots;
    const { starts: placeStarts, items: places } = this.#sets.places;
    const firstNeed = needStarts[rank]!;
    const lastNeed = needStarts[rank + 1]!;
    if (this.#steady[rank] === 0) this.#differentiate(rank, firstNeed);
    const from = rootStarts[rank]!;
    const to = rootStarts[rank + 1]!;
    for (let at = from; at < to; at += 1) perRoot[at] = 0;
    for (let need = firstNeed; need < lastNeed; need += 1) {
      const slope = slopes[need]!;
      const last = placeStarts[need + 1]!;
      let root = rootStarts[needs[need]!]!;
      for (let at = placeStarts[need]!; at < last; at += 1) {
        perRoot[from + places[at]!]! += slope * perRoot[root]!;
        root += 1;
      }
    }
    let variance = 0;
    for (let at = from; at < to; at += 1) {
      const slope = perRoot[at]!;
      const root = roots[at]!;
      variance += slope * slope * ownVariances[root]!;
      shared.add(root, slope);
    }
    this.#variances[rank] = variance + shared.takeVariance();
  }

  /** Slopes of a derived size by the sizes that it uses. */
  #differentiate(rank: number, firstNeed: number): void {
    const formula = this.#formulas[rank]!;
    if (formula === NO_FORMULA) {
      this.#constructions[rank]!.slopes(this.#slopes, firstNeed);
      return;
    }
    this.#sheet.gradient(formula, this.#slopes, firstNeed);
    if (this.#sheet.isLinear(formula)) this.#steady[rank] = 1;
    else if (this.#sheet.hasEdges(formula))
      this.#edges.correct(rank, formula, firstNeed, this.#needs.starts[rank + 1]!);
  }

  /** The same for a size that stands by itself; true if it is known otherwise than before. */
  #differentiateOwn(rank: number): boolean {
    const uncertainty = ownUncertainty(this.#own[rank]);
    const { variance, shared } = uncertainty ? takeApart(uncertainty) : { variance: 0, shared: [] };
    const sharesOtherwise = this.#shared.set(rank, shared);
    const changed = sharesOtherwise || variance !== this.#ownVariances[rank];
    this.#ownVariances[rank] = variance;
    this.#variances[rank] = uncertainty ? uncertainty.standard ** 2 : 0;
    const { starts } = this.#sets.roots;
    // Where nothing is known the variance is zero and was not before, or the other way round.
    if (starts[rank + 1]! > starts[rank]!) this.#perRoot[starts[rank]!] = uncertainty ? 1 : 0;
    return changed;
  }

  #needsOf(rank: number): number[] {
    return Array.from(this.#needs.items.subarray(this.#needs.starts[rank], this.#needs.starts[rank + 1]));
  }

  #resultOf(rank: number): SizeResult {
    const { size, brokenBy } = this.#entries[rank]!;
    if (size.kind !== 'derived') return this.#own[rank]!;
    const fault = brokenBy ?? this.#failures[rank];
    if (fault) return { status: 'impossible', count: 0, fault };
    const value = this.#sheet.values[rank]!;
    if (Number.isNaN(value)) return { status: 'wanted', count: 0, waitsFor: this.#firstUnknown(rank) };
    const firstNeed = this.#needs.starts[rank]!;
    return {
      status: 'derived',
      value,
      count: 0,
      uncertainty: propagate(this.#rootsOf(rank)),
      inputs: this.#needsOf(rank).map((need, index) => ({
        sizeId: this.#entries[need]!.size.id,
        perUnit: this.#slopes[firstNeed + index]!,
      })),
    };
  }

  #rootsOf(rank: number): Root[] {
    const { starts, items } = this.#sets.roots;
    const roots: Root[] = [];
    for (let at = starts[rank]!; at < starts[rank + 1]!; at += 1) {
      const uncertainty = ownUncertainty(this.#own[items[at]!]);
      const sizeId = this.#entries[items[at]!]!.size.id;
      const perUnit = this.#perRoot[at]!;
      if (uncertainty && perUnit !== 0) roots.push({ sizeId, perUnit, uncertainty });
    }
    return roots;
  }

  /** The size that has to be taken before this one is known: down to the one that was never taken. */
  #firstUnknown(rank: number): { tag: string; name: string } | null {
    let at = rank;
    for (;;) {
      const next = this.#needsOf(at).find((need) => Number.isNaN(this.#sheet.values[need]!));
      if (next === undefined) break;
      at = next;
    }
    const { tag, name } = this.#entries[at]!.size;
    return at === rank ? null : { tag, name };
  }
}

/** Sizes whose own number may be off: measured ones, and those that were stated with limits. */
const isUnsure = ({ kind, givenPlusMinus }: Size) =>
  kind === 'measured' || (kind !== 'derived' && givenPlusMinus !== undefined);

const ownUncertainty = (own: SizeResult | null | undefined): Uncertainty | null =>
  own ? uncertaintyOf(own) : null;

/** Lays all formulas on one sheet, in order; by rank, their numbers. One whose units don't agree is broken. */
function addFormulas(entries: readonly Linked[], sheet: Sheet): Int32Array {
  const ranks = new Map(entries.map(({ size }, rank) => [size.tag, rank]));
  const places = {
    quantityOf: (tag: string) => entries[ranks.get(tag) ?? -1]?.size.quantity ?? null,
    placeOf: (tag: string) => ranks.get(tag)!,
  };
  return Int32Array.from(entries, (entry) => {
    const { derived, size } = entry;
    if (derived?.by !== 'formula') return NO_FORMULA;
    const laid = addFormula(sheet, derived.expression, places, size.quantity, derived.unit);
    if (laid.ok) return laid.value;
    entry.derived = null;
    entry.brokenBy = laid.fault;
    return NO_FORMULA;
  });
}

/** By rank: the sizes that use it, each once. */
function usersOf(needs: readonly (readonly number[])[]): number[][] {
  const users: number[][] = needs.map(() => []);
  for (const [rank, own] of needs.entries()) {
    for (const need of new Set(own)) users[need]!.push(rank);
  }
  return users;
}
