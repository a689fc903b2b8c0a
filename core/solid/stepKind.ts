import type { NamedLength, Result, StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import type { Step, StepKind, StepOf } from '@core/model';

import type { Annotation, CentreLine } from './annotation';
import type { Box } from './check';
import type { Kernel } from './kernel';
import type { TaggedSolid } from './tagged';

/** What a step finds when its turn comes. */
export interface StepInput {
  kernel: Kernel;
  /** The solid so far; null for the first step. The step must leave it whole: it is kept in the cache. */
  before: TaggedSolid | null;
  /** Box of the solid so far, mm. */
  box: Box | null;
  /** Numbers of the steps before this one, by step id. */
  earlier: ReadonlyMap<string, StepNumbers>;
  /** What an earlier step added or took away, made once more; null for one that worked on what was there. */
  toolOf(of: StepNumbers): Result<TaggedSolid, StepFault> | null;
}

/** A step's numbers, all resolved, with its kind. */
export interface StepNumbers {
  kind: StepKind;
  step: Step;
  /** Box of what was there before it. */
  boxBefore: Box | null;
  /** It took something away. */
  cuts: boolean;
  lengths: Readonly<Record<string, NamedLength>>;
}

/**
 * What has to be known about a kind of step. `resolve` gives it numbers, `build` the solid, `annotate` what
 * the picture shows of it. The three never look at each other's inside: all they share is the numbers.
 */
export interface StepType<K extends StepKind> {
  kind: K;
  /** Bound on how the volume may change, checked after building. */
  effect: 'adds' | 'cuts' | 'dresses' | 'any';
  resolve(step: StepOf<K>, numbers: EvaluatedRepair): Result<Record<string, NamedLength>, StepFault>;
  /** The solid that the step adds or takes away. Steps that work on what is there have `build` instead. */
  tool?(
    step: StepOf<K>,
    lengths: Record<string, NamedLength>,
    input: StepInput,
  ): Result<TaggedSolid, StepFault>;
  build?(
    step: StepOf<K>,
    lengths: Record<string, NamedLength>,
    input: StepInput,
  ): Result<TaggedSolid, StepFault>;
  annotate(
    step: StepOf<K>,
    lengths: Record<string, NamedLength>,
    place: AnnotationPlace,
  ): { annotations: Annotation[]; centreLines: CentreLine[] };
}

/** What an annotation may know of the solid it stands on. */
export interface AnnotationPlace {
  /** Box of the solid before the step; null for the first. */
  box: Box | null;
  earlier: ReadonlyMap<string, StepNumbers>;
}
