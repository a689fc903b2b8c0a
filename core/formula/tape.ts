const OPS = [
  'constant',
  'scale',
  'add',
  'subtract',
  'multiply',
  'divide',
  'power',
  'hypot',
  'min',
  'max',
  'sqrt',
  'abs',
  'sin',
  'cos',
  'tan',
  'asin',
  'acos',
  'atan',
] as const;
export type OpName = (typeof OPS)[number];
const CODE = Object.fromEntries(OPS.map((name, index) => [name, index])) as Record<OpName, number>;

/** Why an evaluation gave no number. */
export type TapeFailure = 'divisionByZero' | 'notReal';

/**
 * A formula laid out as a list of operations, each on the results of earlier ones: evaluated from first to last,
 * and differentiated from last to first (reverse accumulation; Griewank and Walther, Evaluating Derivatives,
 * 2nd ed., chapter 3). The first places hold the inputs.
 */
export class Tape {
  readonly inputCount: number;
  #codes: number[] = [];
  #left: number[] = [];
  #right: number[] = [];
  #constants: number[] = [];
  #result = 0;
  /** Results of one evaluation, kept so that the next needs no new memory. */
  #values = new Float64Array(0);
  #adjoints = new Float64Array(0);

  constructor(inputCount: number) {
    this.inputCount = inputCount;
  }

  constant(value: number): number {
    return this.#push('constant', -1, -1, value);
  }

  /** `at` times a constant. */
  scale(at: number, factor: number): number {
    return this.#push('scale', at, -1, factor);
  }

  unary(op: OpName, at: number): number {
    return this.#push(op, at, -1, 0);
  }

  binary(op: OpName, left: number, right: number): number {
    return this.#push(op, left, right, 0);
  }

  /** Names the place of the result; call it once, when everything is laid. */
  finish(result: number): void {
    this.#result = result;
    this.#values = new Float64Array(this.inputCount + this.#codes.length);
    this.#adjoints = new Float64Array(this.#values.length);
  }

  /** The result for some inputs. Not a finite number when something went wrong: see `failure`. */
  evaluate(inputs: ArrayLike<number>): number {
    const values = this.#values;
    for (let index = 0; index < this.inputCount; index += 1) values[index] = inputs[index]!;
    const [codes, lefts, rights, constants] = [this.#codes, this.#left, this.#right, this.#constants];
    for (let index = 0, at = this.inputCount; index < codes.length; index += 1, at += 1) {
      const a = values[lefts[index]!]!;
      const b = values[rights[index]!]!;
      values[at] = apply(codes[index]!, a, b, constants[index]!);
    }
    return values[this.#result]!;
  }

  /** Why the last evaluation gave no number: the first operation that did not. */
  failure(): TapeFailure {
    for (const [index, code] of this.#codes.entries()) {
      if (Number.isFinite(this.#values[this.inputCount + index]!)) continue;
      const divisor = this.#values[this.#right[index]!];
      return code === CODE.divide && divisor === 0 ? 'divisionByZero' : 'notReal';
    }
    return 'notReal';
  }

  /**
   * Partial derivatives of the result by each input, at the inputs of the last evaluation. At a kink (abs at
   * zero, min of equals) one side's slope is given. The array is used again by the next call.
   */
  gradient(): Float64Array {
    const [values, adjoints] = [this.#values, this.#adjoints];
    adjoints.fill(0);
    adjoints[this.#result] = 1;
    for (let index = this.#codes.length - 1; index >= 0; index -= 1) {
      const own = adjoints[this.inputCount + index]!;
      if (own === 0) continue;
      const [left, right] = [this.#left[index]!, this.#right[index]!];
      const [a, b] = [values[left]!, values[right]!];
      const result = values[this.inputCount + index]!;
      switch (this.#codes[index]) {
        case CODE.scale:
          adjoints[left]! += own * this.#constants[index]!;
          break;
        case CODE.add:
          adjoints[left]! += own;
          adjoints[right]! += own;
          break;
        case CODE.subtract:
          adjoints[left]! += own;
          adjoints[right]! -= own;
          break;
        case CODE.multiply:
          adjoints[left]! += own * b;
          adjoints[right]! += own * a;
          break;
        case CODE.divide:
          adjoints[left]! += own / b;
          adjoints[right]! -= (own * result) / b;
          break;
        case CODE.power:
          adjoints[left]! += own * b * a ** (b - 1);
          // The exponent is always a constant, so nothing flows to it.
          break;
        case CODE.hypot:
          if (result !== 0) {
            adjoints[left]! += (own * a) / result;
            adjoints[right]! += (own * b) / result;
          }
          break;
        case CODE.min:
          adjoints[a <= b ? left : right]! += own;
          break;
        case CODE.max:
          adjoints[a >= b ? left : right]! += own;
          break;
        case CODE.sqrt:
          adjoints[left]! += own / (2 * result);
          break;
        case CODE.abs:
          adjoints[left]! += own * Math.sign(a);
          break;
        case CODE.sin:
          adjoints[left]! += own * Math.cos(a);
          break;
        case CODE.cos:
          adjoints[left]! -= own * Math.sin(a);
          break;
        case CODE.tan:
          adjoints[left]! += own * (1 + result * result);
          break;
        case CODE.asin:
          adjoints[left]! += own / Math.sqrt(1 - a * a);
          break;
        case CODE.acos:
          adjoints[left]! -= own / Math.sqrt(1 - a * a);
          break;
        case CODE.atan:
          adjoints[left]! += own / (1 + a * a);
          break;
      }
    }
    return adjoints.subarray(0, this.inputCount);
  }

  #push(op: OpName, left: number, right: number, constant: number): number {
    this.#codes.push(CODE[op]);
    // Places that are not used point at the first value, which is then read for nothing.
    this.#left.push(Math.max(left, 0));
    this.#right.push(Math.max(right, 0));
    this.#constants.push(constant);
    return this.inputCount + this.#codes.length - 1;
  }
}

function apply(code: number, a: number, b: number, constant: number): number {
  switch (code) {
    case CODE.constant:
      return constant;
    case CODE.scale:
      return a * constant;
    case CODE.add:
      return a + b;
    case CODE.subtract:
      return a - b;
    case CODE.multiply:
      return a * b;
    case CODE.divide:
      return a / b;
    case CODE.power:
      return a ** b;
    case CODE.hypot:
      return Math.sqrt(a * a + b * b);
    case CODE.min:
      return Math.min(a, b);
    case CODE.max:
      return Math.max(a, b);
    case CODE.sqrt:
      return Math.sqrt(a);
    case CODE.abs:
      return Math.abs(a);
    case CODE.sin:
      return Math.sin(a);
    case CODE.cos:
      return Math.cos(a);
    case CODE.tan:
      return Math.tan(a);
    case CODE.asin:
      return Math.asin(a);
    case CODE.acos:
      return Math.acos(a);
    default:
      return Math.atan(a);
  }
}
