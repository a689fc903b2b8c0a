import type { Result, StepFault } from '@core/foundations/fault';
import type { Kernel, TaggedSolid } from '@core/shaping/kernel';
import type { SettledStepOf, StepKind } from '@core/record/model';
import type { Annotation, CentreLine, Box, Placement, Affine, StepNote } from '@core/shaping/part';
import type { LengthsOf } from '@core/shaping/steps/kinds';
import type { Font } from '@core/shaping/text';

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
  stand: Placement;
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

/** A step of a kind that was built: its numbers, all resolved, and where it stands. */
export interface BuiltStep<K extends StepKind> {
  kind: K;
  step: SettledStepOf<K>;
  /** Its place in the recipe, from 1. */
  place: number;
  /** Where it stands. */
  stand: Placement;
  /** It took something away. */
  cuts: boolean;
  lengths: LengthsOf<K>;
}
export type StepNumbers = { [K in StepKind]: BuiltStep<K> }[StepKind];

/** How the volume may change by a step, checked after building. */
export type VolumeBound = 'adds' | 'cuts' | 'dresses';

/** How a kind of step is built and drawn. The two never look at each other's inside: all they share is the numbers. */
export interface StepSolid<K extends StepKind> {
  /** Bound on how the volume may change; left out, what its effect says. */
  bound?: VolumeBound | ((step: SettledStepOf<K>, earlier: StepInput['earlier']) => VolumeBound);
  /** Faces that it makes may come to lie in others, and be made one with them. */
  merges?: true;
  /** Other steps whose numbers it is built from. */
  restsOn?(step: SettledStepOf<K>): readonly string[];
  /** Its lengths once it is known where it stands. */
  settled?(step: SettledStepOf<K>, lengths: LengthsOf<K>, stand: Placement): Result<LengthsOf<K>, StepFault>;
  /** The solid that the step adds or takes away. Steps that work on what is there have `build` instead. */
  tool?(step: SettledStepOf<K>, lengths: LengthsOf<K>, input: StepInput): Result<TaggedSolid, StepFault>;
  build?(step: SettledStepOf<K>, lengths: LengthsOf<K>, input: StepInput): Result<TaggedSolid, StepFault>;
  /** What it is called when there is nothing yet for it to work on. */
  verb?: string;
  /** Where it takes what was there before, for what stood on it or is drawn of it; null if it stays in place. */
  carries?(step: SettledStepOf<K>, lengths: LengthsOf<K>): Affine | null;
  /** What the picture shows of it; nothing if left out. */
  annotate?(step: SettledStepOf<K>, lengths: LengthsOf<K>, place: AnnotationPlace): Drawn;
}

/** Sizes and centre lines of a step. */
export interface Drawn {
  annotations: Annotation[];
  centreLines: CentreLine[];
}

/** What an annotation may know of the solid it stands on. */
export interface AnnotationPlace {
  /** Where the step stands; what it draws is in its frame. Its box is that of the solid before the step. */
  stand: Placement;
  earlier: ReadonlyMap<string, StepNumbers>;
}
