import { listsOf } from './lists';

// Plain constants, so that the switches below are jump tables.
const ADD = 0;
const SUBTRACT = 1;
const MULTIPLY = 2;
const DIVIDE = 3;
const POWER = 4;
const HYPOT = 5;
const MIN = 6;
const MAX = 7;
const SQRT = 8;
const ABS = 9;
const SIN = 10;
const COS = 11;
const TAN = 12;
const ASIN = 13;
const ACOS = 14;
const ATAN = 15;
const CODE = {
  add: ADD,
  subtract: SUBTRACT,
  multiply: MULTIPLY,
  divide: DIVIDE,
  power: POWER,
  hypot: HYPOT,
  min: MIN,
  max: MAX,
  sqrt: SQRT,
  abs: ABS,
  sin: SIN,
  cos: COS,
  tan: TAN,
  asin: ASIN,
  acos: ACOS,
  atan: ATAN,
} as const;
export type OpName = keyof typeof CODE;
/** Numbers that one operation takes in the list: its code, where its result goes, and its one or two operands. */
const STRIDE = 4;

const CONSTANT = 0;
const LINEAR = 1;
const CURVED = 2;

/** How a result depends on the inputs, from how its operands do. */
function shapeOf(code: number, left: number, right: number): number {
  const most = Math.max(left, right);
  if (most === CONSTANT || code === ADD || code === SUBTRACT) return most;
  if (code === MULTIPLY) return left === CONSTANT || right === CONSTANT ? most : CURVED;
  return code === DIVIDE && right === CONSTANT ? most : CURVED;
}

/** Why an evaluation gave no number. */
export type SheetFailure = 'divisionByZero' | 'notReal';

/**
 * Formulas over one row of numbers, each laid out as a list of operations on the results of earlier ones: evaluated
 * from first to last, and differentiated from last to first (reverse accumulation; Griewank and Walther, Evaluating
 * Derivatives, 2nd ed., chapter 3). All of them lie one after the other in the same arrays, so that thousands are
 * gone through quickly.
 *
 * The row holds the inputs first, then the constants and the results of operations. Lay formulas, `seal`, evaluate.
 */
export class Sheet {
  #laid: number[] = [];
  #constants: { at: number; value: number }[] = [];
  #places: number;
  #laidFormulas: { end: number; result: number; inputs: readonly number[] }[] = [];
  /** By place: CONSTANT, LINEAR or CURVED in the inputs. */
  #shapes: number[];

  #ops = new Int32Array(0);
  /** By formula: where its operations begin; one more entry ends the last. */
  #starts = new Int32Array(1);
  #results = new Int32Array(0);
  /** Places of inputs, and by formula where its own begin. */
  #inputs = new Int32Array(0);
  #inputStarts = new Int32Array(1);
  #values = new Float64Array(0);
  #adjoints = new Float64Array(0);

  constructor(inputCount: number) {
    this.#places = inputCount;
    this.#shapes = new Array<number>(inputCount).fill(LINEAR);
  }

  /** The row; write inputs to its first places. A new one after `seal`. */
  get values(): Float64Array {
    return this.#values;
  }

  constant(value: number): number {
    this.#constants.push({ at: this.#places, value });
    this.#shapes.push(CONSTANT);
    return this.#places++;
  }

  /** `at` times a constant. */
  scale(at: number, factor: number): number {
    return this.binary('multiply', at, this.constant(factor));
  }

  unary(op: OpName, at: number): number {
    return this.binary(op, at, at);
  }

  binary(op: OpName, left: number, right: number): number {
    this.#laid.push(CODE[op], this.#places, left, right);
    this.#shapes.push(shapeOf(CODE[op], this.#shapes[left]!, this.#shapes[right]!));
    return this.#places++;
  }

  /** Ends a formula: its result and the inputs that it is differentiated by. Returns its number. */
  finish(result: number, inputs: readonly number[]): number {
    return this.#laidFormulas.push({ end: this.#laid.length, result, inputs }) - 1;
  }

  /** Whether it has a root, an arc, an amount or a choice in it, at whose edges slopes say nothing. */
  hasEdges(formula: number): boolean {
    for (let op = this.#starts[formula]!; op < this.#starts[formula + 1]!; op += STRIDE) {
      if (EDGED.has(this.#ops[op]!)) return true;
    }
    return false;
  }

  /** Whether a formula's slopes are the same for all inputs. */
  isLinear(formula: number): boolean {
    return this.#shapes[this.#laidFormulas[formula]!.result] !== CURVED;
  }

  /** Throws away what was laid of a formula that can't be finished. */
  abandon(): void {
    this.#laid.length = this.#laidFormulas.at(-1)?.end ?? 0;
  }

  /** To be called once, when all formulas are laid. */
  seal(): this {
    this.#ops = Int32Array.from(this.#laid);
    this.#starts = Int32Array.from([0, ...this.#laidFormulas.map(({ end }) => end)]);
    this.#results = Int32Array.from(this.#laidFormulas, ({ result }) => result);
    const inputs = listsOf(this.#laidFormulas.map((laid) => laid.inputs));
    [this.#inputStarts, this.#inputs] = [inputs.starts, inputs.items];
    this.#values = new Float64Array(this.#places);
    this.#adjoints = new Float64Array(this.#places);
    for (const { at, value } of this.#constants) this.#values[at] = value;
    return this;
  }

  /** The result of a formula for the inputs in the row. Not finite when something went wrong: see `failure`. */
  evaluate(formula: number): number {
    const values = this.#values;
    const ops = this.#ops;
    const end = this.#starts[formula + 1]!;
    for (let op = this.#starts[formula]!; op < end; op += STRIDE) {
      const a = values[ops[op + 2]!]!;
      const b = values[ops[op + 3]!]!;
      values[ops[op + 1]!] = apply(ops[op]!, a, b);
    }
    return values[this.#results[formula]!]!;
  }

  /** Why the last evaluation gave no number: the first operation that did not. */
  failure(formula: number): SheetFailure {
    const [ops, values] = [this.#ops, this.#values];
    for (let op = this.#starts[formula]!; op < this.#starts[formula + 1]!; op += STRIDE) {
      if (Number.isFinite(values[ops[op + 1]!])) continue;
      return ops[op] === DIVIDE && values[ops[op + 3]!] === 0 ? 'divisionByZero' : 'notReal';
    }
    return 'notReal';
  }

  /**
   * Writes the partial derivatives of a formula by each of its inputs, at the inputs of its last evaluation. At a
   * kink (abs at zero, min of equals) one side's slope is given.
   * @param into where they are written, from place `from` on.
   */
  gradient(formula: number, into: Float64Array, from = 0): void {
    const values = this.#values;
    const adjoints = this.#adjoints;
    const ops = this.#ops;
    const inputs = this.#inputs;
    const start = this.#starts[formula]!;
    adjoints[this.#results[formula]!] = 1;
    for (let op = this.#starts[formula + 1]! - STRIDE; op >= start; op -= STRIDE) {
      const place = ops[op + 1]!;
      const own = adjoints[place]!;
      if (own === 0) continue;
      adjoints[place] = 0;
      const result = values[place]!;
      const left = ops[op + 2]!;
      const right = ops[op + 3]!;
      const a = values[left]!;
      const b = values[right]!;
      switch (ops[op]!) {
        case ADD:
          adjoints[left]! += own;
          adjoints[right]! += own;
          break;
        case SUBTRACT:
          adjoints[left]! += own;
          adjoints[right]! -= own;
          break;
        case MULTIPLY:
          adjoints[left]! += own * b;
          adjoints[right]! += own * a;
          break;
        case DIVIDE:
          adjoints[left]! += own / b;
          adjoints[right]! -= (own * result) / b;
          break;
        case POWER:
          adjoints[left]! += a === 0 ? own * b * a ** (b - 1) : (own * b * result) / a;
          // The exponent is always a constant, so nothing flows to it.
          break;
        case HYPOT:
          if (result !== 0) {
            adjoints[left]! += (own * a) / result;
            adjoints[right]! += (own * b) / result;
          }
          break;
        case MIN:
          adjoints[a <= b ? left : right]! += own;
          break;
        case MAX:
          adjoints[a >= b ? left : right]! += own;
          break;
        case SQRT:
          adjoints[left]! += own / (2 * result);
          break;
        case ABS:
          adjoints[left]! += own * Math.sign(a);
          break;
        case SIN:
          adjoints[left]! += own * Math.cos(a);
          break;
        case COS:
          adjoints[left]! -= own * Math.sin(a);
          break;
        case TAN:
          adjoints[left]! += own * (1 + result * result);
          break;
        case ASIN:
          adjoints[left]! += own / Math.sqrt(1 - a * a);
          break;
        case ACOS:
          adjoints[left]! -= own / Math.sqrt(1 - a * a);
          break;
        case ATAN:
          adjoints[left]! += own / (1 + a * a);
          break;
      }
    }
    const lastInput = this.#inputStarts[formula + 1]!;
    let to = from;
    for (let at = this.#inputStarts[formula]!; at < lastInput; at += 1) {
      const place = inputs[at]!;
      into[to] = adjoints[place]!;
      adjoints[place] = 0;
      to += 1;
    }
  }
}

const EDGED = new Set<number>([SQRT, ABS, ASIN, ACOS, HYPOT, MIN, MAX, POWER]);

function apply(code: number, a: number, b: number): number {
  switch (code) {
    case ADD:
      return a + b;
    case SUBTRACT:
      return a - b;
    case MULTIPLY:
      return a * b;
    case DIVIDE:
      return a / b;
    case POWER:
      return a ** b;
    case HYPOT:
      return Math.sqrt(a * a + b * b);
    case MIN:
      return Math.min(a, b);
    case MAX:
      return Math.max(a, b);
    case SQRT:
      return Math.sqrt(a);
    case ABS:
      return Math.abs(a);
    case SIN:
      return Math.sin(a);
    case COS:
      return Math.cos(a);
    case TAN:
      return Math.tan(a);
    case ASIN:
      return Math.asin(a);
    case ACOS:
      return Math.acos(a);
    default:
      return Math.atan(a);
  }
}
