import type { EvaluatedRepair } from '@core/fitting/fit';
import {
  fitValue,
  numberValue,
  sizeValue,
  valuesIn,
  type Body,
  type RepairState,
  type Step,
  type StepKind,
  type Value,
} from '@core/record/model';

/** What a new step may take its numbers from. */
export interface StepContext {
  body: Body;
  state: RepairState;
  numbers: EvaluatedRepair;
  /** Letter of the revision that will be frozen next: what is mostly written on a part. */
  nextRevision?: string;
}

/** Words in the names of sizes that say what they are sizes of, in any order of likelihood. */
const CLUES = {
  across: /across|outside|rim|diameter|round|\bod\b/i,
  width: /width|wide|thick|high|height|tall/i,
  length: /length|long/i,
  depth: /deep|depth/i,
};

/** What the first values of a step are made from. */
export interface FirstValues {
  id: string;
  guess: Guess;
  /** Those before it. */
  steps: readonly Step[];
  body: Body;
  state: RepairState;
  /** Letter of the revision that will be frozen next: what is mostly written on a part. */
  nextRevision: string;
  /** The ground for the first one of a body, the top for a later one. */
  on: 'bottom' | 'top';
  /** On the axle line. */
  middle: { x: Value; y: Value };
  /** Where a wheel or a plate stands that is not the first: the first lies on the ground without saying so. */
  later: { on?: 'top'; x?: Value; y?: Value };
  /** The last step of some kinds. */
  lastOf(...kinds: StepKind[]): string | undefined;
}

export function firstValues(context: StepContext, id: string): FirstValues {
  const { body, state, nextRevision = 'A' } = context;
  const { steps } = body;
  const middle = { x: numberValue(0), y: numberValue(0) };
  return {
    id,
    guess: new Guess(context),
    steps,
    body,
    state,
    nextRevision,
    on: steps.length === 0 ? 'bottom' : 'top',
    middle,
    later: steps.length === 0 ? {} : { on: 'top', ...middle },
    lastOf: (...kinds) => steps.filter((step) => kinds.includes(step.kind)).at(-1)?.id,
  };
}

/** Finds unused sizes and fits; each is handed out once. */
export class Guess {
  #used: Set<string>;
  /** A spare is guessed from the piece's sizes, a counterpart from its own. */
  #of: 'piece' | 'counterpart';

  constructor(private readonly context: StepContext) {
    const { state, body } = context;
    const values = state.bodies
      .filter((other) => !other.removed && other.role === body.role)
      .flatMap((other) => other.steps.flatMap(valuesIn));
    // What a layout is measured by says where things are, not how large they are.
    const laidOut = state.layouts.flatMap(({ distances }) => distances.map(({ source }) => source));
    this.#used = new Set([...values, ...laidOut].flatMap((one) => ('id' in one ? [one.id] : [])));
    this.#of = body.role === 'spare' ? 'piece' : 'counterpart';
  }

  size(clue: keyof typeof CLUES, otherwiseMm: number): Value {
    const free = this.#free();
    // A groove's width is not the width of the wheel.
    const plain = free.filter((size) => !/groove/i.test(size.name));
    const found =
      plain.find((size) => CLUES[clue].test(size.name)) ?? plain.find((size) => !anyClue(size.name));
    return this.#take(found?.id, otherwiseMm);
  }

  named(pattern: RegExp, otherwiseMm: number): Value {
    return this.#take(this.#free().find((size) => pattern.test(size.name))?.id, otherwiseMm);
  }

  fit(otherwiseMm: number): Value {
    const fits = [...this.context.numbers.fits.values()].map(({ fit }) => fit);
    const found = fits.find((fit) => fit.feature === 'bore' && !this.#used.has(fit.id));
    if (found) return fitValue(found.id);
    const inside = this.#free().find(({ jaw, name }) => jaw === 'inside' && /hole|bore/i.test(name));
    return this.#take(inside?.id, otherwiseMm);
  }

  #free() {
    return [...this.context.numbers.sizes.values()]
      .map(({ size }) => size)
      .filter((size) => size.of === this.#of && !this.#used.has(size.id));
  }

  #take(id: string | undefined, otherwiseMm: number): Value {
    if (id === undefined) return numberValue(otherwiseMm);
    this.#used.add(id);
    return sizeValue(id);
  }
}

const anyClue = (name: string) => Object.values(CLUES).some((clue) => clue.test(name));
