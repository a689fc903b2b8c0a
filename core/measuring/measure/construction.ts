import { no, type Fault, type NotPossible, type Result } from '@core/foundations/fault';
import type { Quantity } from '@core/foundations/quantity';

/** All that there are. Their words are in core/reporting/wording/constructions. */
export type ConstructionId =
  | 'centres-from-both-edges'
  | 'centres-from-near-edges'
  | 'centres-from-far-edges'
  | 'offset-from-edge'
  | 'radius-from-chord'
  | 'radius-from-three-points'
  | 'diameter-from-string'
  | 'bolt-circle'
  | 'wall'
  | 'flats-to-corners'
  | 'corners-to-flats'
  | 'pitch-over-many'
  | 'taper'
  | 'angle-from-two'
  | 'angle-from-three'
  | 'triangle-of-holes'
  | 'gear-from-spans'
  | 'gear-from-two-spans';

/** One number that a construction needs. */
export interface ConstructionInput {
  key: string;
  quantity: Quantity;
  /** The jaws that it is taken with; those outside where nothing is said. */
  jaw?: 'inside';
  /** A value it starts with, when most people mean that; in mm, radians or counts. */
  usual?: number;
}

/** One number that a construction gives. */
export interface ConstructionResult {
  key: string;
  quantity: Quantity;
}

/** A small drawing that turns sizes that can be taken into one that can't. */
export interface Construction {
  id: ConstructionId;
  inputs: readonly ConstructionInput[];
  results: readonly ConstructionResult[];
  /** Values by the keys of `inputs`, all finite and positive. */
  compute(inputs: Readonly<Record<string, number>>): Result<Readonly<Record<string, number>>, Fault>;
}

/** A construction whose inputs and results are known to the compiler by their keys. */
export const construction = <const Inputs extends string, const Results extends string>(of: {
  id: ConstructionId;
  inputs: readonly (ConstructionInput & { key: Inputs })[];
  results: readonly (ConstructionResult & { key: Results })[];
  compute(inputs: Readonly<Record<Inputs, number>>): Result<Readonly<Record<Results, number>>, Fault>;
}): Construction => of;

/** Why a construction gives nothing; `key` is the number that is not to be had, `itself` for all of them. */
export const impossible = (construction: ConstructionId, why: NotPossible, key = 'result') =>
  no<Fault>({ code: 'construction.notPossible', what: { construction, key }, why });
