/** What an equation is where the unknowns stand, and its slopes by them. */
export interface Prediction {
  value: number;
  /** Unknowns that it depends on, each once. */
  at: readonly number[];
  slopes: readonly number[];
}

/** Something that the unknowns should meet: an observation with its doubt, or a condition that is met exactly. Lengths in mm. */
export interface Equation {
  /** What it should come to. */
  target: number;
  /** Standard uncertainty of the target; zero for a condition. */
  standard: number;
  predict(values: ArrayLike<number>): Prediction;
}
