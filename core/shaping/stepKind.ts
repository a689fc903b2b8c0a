import type { NamedLength, Result, StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import type { Kernel, TaggedSolid } from '@core/kernel';
import type { SettledStep, SettledStepOf, StepKind } from '@core/model';
import type { Annotation, CentreLine, Box, Stand, Affine, StepNote } from '@core/part';
import type { Font } from '@core/text';

/** Another body of the repair, as it was just built. */
export interface OtherBody {
  /** Belongs to the other body: a step that uses it works on a copy. */
  solid: TaggedSolid;
  name: string;
  /** Numbers of its steps, by step id. */
  steps: ReadonlyMap<string, StepNumbers>;
  /** Changes whenever its solid does. */
  key: string;
}

/** What a body is built among. */
export interface Surroundings {
  /** For letters; null where none has been loaded. */
  font: Font | null;
  /** @param byFits as its fits make it: sizes that go through a fit are taken as the fit has them. */
  bodyOf(id: string, byFits?: boolean): Result<OtherBody, StepFault>;
}

/** What a step finds when its turn comes. */
export interface StepInput extends Surroundings {
  kernel: Kernel;
  /** The solid so far; null for the first step. The step must leave it whole: it is kept in the cache. */
  before: TaggedSolid | null;
  /** Box of the solid so far, mm. */
  box: Box | null;
  /** Where the step stands. A tool is made along its frame and is brought to its place by whoever asked for it. */
  stand: Stand;
  /** Numbers of the steps before this one, by step id. */
  earlier: ReadonlyMap<string, StepNumbers>;
  /** Faces that came to lie in one another are made one. Not where the kernel makes a solid of it that is none. */
  merge: boolean;
  /**
   * How much wider a tool is than it says, mm; zero, but a micrometre where it would touch the part along a line and nowhere else: the
   * kernel has no solid that touches itself.
   */
  hair: number;
  /** Takes note of something for the person. */
  note(note: StepNote): void;
  /** What an earlier step added or took away, made once more; null for one that worked on what was there. */
  toolOf(of: StepNumbers): Result<TaggedSolid, StepFault> | null;
}

/** A step's numbers, all resolved, with its kind. */
export interface StepNumbers {
  kind: StepKind;
  step: SettledStep;
  /** Its place in the recipe, from 1. */
  place: number;
  /** Where it stands. */
  stand: Stand;
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
  resolve(step: SettledStepOf<K>, numbers: EvaluatedRepair): Result<Record<string, NamedLength>, StepFault>;
  /** The solid that the step adds or takes away. Steps that work on what is there have `build` instead. */
  tool?(
    step: SettledStepOf<K>,
    lengths: Record<string, NamedLength>,
    input: StepInput,
  ): Result<TaggedSolid, StepFault>;
  build?(
    step: SettledStepOf<K>,
    lengths: Record<string, NamedLength>,
    input: StepInput,
  ): Result<TaggedSolid, StepFault>;
  /** Where it takes what was there before, for what stood on it or is drawn of it; null if it stays in place. */
  carries?(step: SettledStepOf<K>, lengths: Readonly<Record<string, NamedLength>>): Affine | null;
  annotate(
    step: SettledStepOf<K>,
    lengths: Record<string, NamedLength>,
    place: AnnotationPlace,
  ): { annotations: Annotation[]; centreLines: CentreLine[] };
}

/** What an annotation may know of the solid it stands on. */
export interface AnnotationPlace {
  /** Where the step stands; what it draws is in its frame. Its box is that of the solid before the step. */
  stand: Stand;
  earlier: ReadonlyMap<string, StepNumbers>;
}
