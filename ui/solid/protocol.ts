import type { BodyFigures, Caution, Finding } from '@core/checking/inspect';
import type { SpareFile, SpareFormat } from '@core/making/formats';
import type { EdgeRule, Picture, RepairState, Workshop } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import type {
  Annotation,
  BehindOutline,
  SeenPiece,
  CentreLine,
  CutPlane,
  Measured,
  Motion,
  OpenedSolid,
  Picked,
  Slid,
  ShapeDifference,
  SolidMesh,
  StepOutcome,
  WeldedMesh,
} from '@core/shaping/part';
import type { Fault, Result } from '@core/foundations/fault';
import type { MorphTarget } from '@core/shaping/solid';
import type { BedPlace } from '@core/making/printing';

/** What the screen and the worker say to each other. Plain data only; meshes are transferred, not copied. */

export interface BuiltBody {
  bodyId: string;
  /** Counts up each time the solid is built anew; equal numbers mean equal solids. */
  build: number;
  /** Null when the screen said that it has this build, or when nothing could be built. */
  mesh: SolidMesh | null;
  steps: StepOutcome[];
  annotations: Annotation[];
  centreLines: CentreLine[];
  figures: BodyFigures | null;
  findings: Finding[];
  cautions: Caution[];
  /** Edges of what a failing step would have added or taken away, as segments. */
  failedTool: Float32Array | null;
}

/** A body to be looked at before it is looked over: as it has just been built, or as it was last. */
export interface UncheckedBody {
  bodyId: string;
  mesh: SolidMesh;
  annotations: Annotation[];
  centreLines: CentreLine[];
}

/** Something picked on a body of the bench. */
export interface PickedOn {
  bodyId: string;
  picked: Picked;
}

/** The room between two bodies. */
export interface Clearance {
  one: string;
  other: string;
  mm: number;
  from: Vec3;
  to: Vec3;
  overlapMm3: number;
  cautions: Caution[];
}

/** How a body is to be slid: straight, or turned about an axis through the origin or through its own middle. */
export type SlideWish =
  | { by: 'move'; direction: Vec3; limit: number }
  | { by: 'turn'; direction: Vec3; about: 'axle' | 'middle'; limit: number };

/** What came of a slide, with the motion that was made and the body that was met. */
export interface SlideReply {
  slid: Slid;
  motion: Motion;
  other: string | null;
}

/** Where a part goes when one number of it changes: its mesh now, and at both ends where its points have gone. */
export interface Morph {
  mesh: SolidMesh;
  low: MorphEnd | null;
  high: MorphEnd | null;
}

/** A part at the end of a number's range; no target where it has other faces there. An end that can't be built is none. */
export interface MorphEnd {
  mesh: SolidMesh;
  target: MorphTarget | null;
}

export interface BuildRequest {
  state: RepairState;
  workshop: Workshop;
  /** Builds whose mesh the screen still has, by body. */
  known: Record<string, number>;
}

/** What a body is built from. */
export type BuiltFrom = Pick<BuildRequest, 'state' | 'workshop'>;

export interface BuildReply {
  bodies: BuiltBody[];
  /** Memory of the kernel, bytes. */
  memoryBytes: number;
}

/** What the worker tells while it works. */
export interface WorkerWatcher {
  /** Share of the kernel's file that has arrived, 0 to 1. */
  loading(share: number): void;
  step(bodyId: string, stepId: string): void;
  /** A body stands; walls, rims and roots are looked at next. */
  stands(body: UncheckedBody): void;
}

/** What the worker is asked about what it has built. Each is a method of `BodyBench`, and of `workbench.ask`. */
export interface WorkerCalls {
  /** Of the solid last built. Null if the plane leaves nothing of it. */
  cutOpen(bodyId: string, plane: CutPlane, hatchStepMm: number): Promise<OpenedSolid | null>;
  file(bodyId: string, format: SpareFormat, label: string, when: string): Promise<Result<SpareFile, Fault>>;
  /** Spares on one bed, each with where the middles of its pieces stand, mm from the middle of the bed, as one 3MF file. */
  bedFile(lying: readonly LyingOnBed[], when: string): Promise<Result<SpareFile, Fault>>;
  picture(bodyId: string): Promise<Picture | null>;
  /** A spare as it is to be laid in layers: closed, as large as it is to be made. */
  layerMesh(bodyId: string): Promise<Result<WeldedMesh, Fault>>;
  /** A body drawn in each orientation: the direction in its own frame that is on the bed. */
  lyingPictures(bodyId: string, downs: readonly Vec3[]): Promise<Picture[]>;
  /** A body as it was after a number of its steps (those switched off not counted). */
  stage(bodyId: string, steps: number): Promise<SolidMesh | null>;
  /** The part behind a drawing of a step, or another body there; null where there is nothing, or where it has no place. */
  behind(
    bodyId: string,
    stepId: string,
    field: string,
    otherId: string | null,
  ): Promise<BehindOutline | null>;
  /** What of that a drawing can follow. */
  seen(bodyId: string, stepId: string, field: string, otherId: string | null): Promise<SeenPiece[]>;
  /** How many edges each rule catches after a number of steps. */
  countEdges(bodyId: string, steps: number, rules: readonly EdgeRule[]): Promise<number[]>;
  /** The edges that a rule catches, as segments. */
  showEdges(bodyId: string, steps: number, rule: EdgeRule): Promise<Float32Array>;
  /** A body of one state beside that of another, built for this alone; null if one of them can't be built. */
  compareShapes(bodyId: string, before: BuiltFrom, after: BuiltFrom): Promise<ShapeDifference | null>;
  /** A body of any state, built for this alone, to be compared with what was scanned; null if it can't be built. */
  meshFrom(bodyId: string, from: BuiltFrom): Promise<SolidMesh | null>;
  /** A body of one state and at both ends of a number's range, built for this alone; null if it can't be built as it is. */
  morph(bodyId: string, now: BuiltFrom, low: BuiltFrom, high: BuiltFrom): Promise<Morph | null>;
  measure(first: PickedOn, second: PickedOn | null): Promise<Measured | null>;
  /** The room between a body and each of the others. */
  clearances(bodyId: string): Promise<Clearance[]>;
  /** Slides a body until it first touches one of the others; null if it is not built. */
  slide(bodyId: string, wish: SlideWish): Promise<SlideReply | null>;
}

/** `quiet`: nobody waits for it, so it gives no sign. `alone`: nothing has to be built for it. */
export const WORKER_CALLS: Record<keyof WorkerCalls, { quiet?: true; alone?: true }> = {
  cutOpen: {},
  file: {},
  bedFile: {},
  stage: {},
  slide: {},
  behind: { quiet: true },
  seen: {},
  picture: { quiet: true },
  layerMesh: {},
  lyingPictures: { quiet: true },
  countEdges: { quiet: true },
  showEdges: { quiet: true },
  compareShapes: { alone: true },
  meshFrom: { alone: true },
  morph: { quiet: true, alone: true },
  measure: { quiet: true },
  clearances: { quiet: true },
};

export interface LyingOnBed {
  bodyId: string;
  at: readonly BedPlace[];
}

/** Calls as they are answered on the spot, in the worker itself. */
export type Answered<Calls> = {
  [K in keyof Calls]: Calls[K] extends (...given: infer Given) => Promise<infer Answer>
    ? (...given: Given) => Answer
    : never;
};

/** The worker as the screen sees it through Comlink. */
export interface SolidWorker extends WorkerCalls {
  start(watcher: WorkerWatcher): Promise<void>;
  build(request: BuildRequest): Promise<BuildReply>;
}
