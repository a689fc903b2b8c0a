import type { Fault, Result } from '@core/fault';
import type { Quantity } from '@core/quantity';

/** One number that a construction needs. */
export interface ConstructionInput {
  key: string;
  /** In a sentence: "the outer edge to outer edge". */
  what: string;
  quantity: Quantity;
  /** A value it starts with, when most people mean that; in mm, radians or counts. */
  usual?: number;
}

/** One number that a construction gives. */
export interface ConstructionResult {
  key: string;
  what: string;
  quantity: Quantity;
}

/** A small drawing that turns sizes that can be taken into one that can't. */
export interface Construction {
  id: string;
  name: string;
  /** When it helps, in a sentence. */
  when: string;
  inputs: readonly ConstructionInput[];
  results: readonly ConstructionResult[];
  /** Values by the keys of `inputs`, all finite and positive. */
  compute(inputs: Readonly<Record<string, number>>): Result<Readonly<Record<string, number>>, Fault>;
}
