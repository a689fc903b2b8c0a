/**
 * A number with its slopes by some unknowns, for formulas whose derivatives are long by hand: every operation carries them along (forward-mode
 * differentiation; Griewank and Walther, Evaluating Derivatives, 2008, 3.1).
 */
export class Jet {
  constructor(
    readonly value: number,
    readonly slopes: readonly number[],
  ) {}

  /** An unknown by itself. @param place which one it is, of so many. */
  static unknown(value: number, place: number, count: number): Jet {
    return new Jet(
      value,
      Array.from({ length: count }, (_, index) => (index === place ? 1 : 0)),
    );
  }

  plus(other: Jet, factor = 1): Jet {
    return new Jet(
      this.value + factor * other.value,
      this.slopes.map((slope, index) => slope + factor * other.slopes[index]!),
    );
  }

  minus(other: Jet): Jet {
    return this.plus(other, -1);
  }

  times(other: Jet): Jet {
    return new Jet(
      this.value * other.value,
      this.slopes.map((slope, index) => slope * other.value + this.value * other.slopes[index]!),
    );
  }

  over(other: Jet): Jet {
    const value = this.value / other.value;
    return new Jet(
      value,
      this.slopes.map((slope, index) => (slope - value * other.slopes[index]!) / other.value),
    );
  }

  /** √(this² + other²); where both are nothing it has no slope. */
  hypot(other: Jet): Jet {
    const value = Math.hypot(this.value, other.value);
    return new Jet(
      value,
      this.slopes.map((slope, index) =>
        value === 0 ? 0 : (this.value * slope + other.value * other.slopes[index]!) / value,
      ),
    );
  }

  /** The angle of the way (x, y), radians, this being y. */
  headingOver(x: Jet): Jet {
    const square = x.value ** 2 + this.value ** 2 || 1;
    return new Jet(
      Math.atan2(this.value, x.value),
      this.slopes.map((slope, index) => (x.value * slope - this.value * x.slopes[index]!) / square),
    );
  }
}
