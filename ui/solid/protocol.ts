import type { BodyFigures, Finding } from '@core/inspect';
import type { SpareFile, SpareFormat } from '@core/make';
import type { Picture, RepairState, Workshop } from '@core/model';
import type { Annotation, CentreLine, CutPlane, OpenedSolid, SolidMesh, StepOutcome } from '@core/solid';
import type { Fault, Result } from '@core/fault';

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
}

export interface BuildRequest {
  state: RepairState;
  workshop: Workshop;
  /** Builds whose mesh the screen still has, by body. */
  known: Record<string, number>;
}

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
}

/** The worker as the screen sees it through Comlink. */
export interface SolidWorker {
  start(watcher: WorkerWatcher): Promise<void>;
  build(request: BuildRequest): Promise<BuildReply>;
  /** Of the solid last built. Null if the plane leaves nothing of it. */
  cutOpen(bodyId: string, plane: CutPlane, hatchStepMm: number): Promise<OpenedSolid | null>;
  file(bodyId: string, format: SpareFormat, label: string, when: string): Promise<Result<SpareFile, Fault>>;
  picture(bodyId: string): Promise<Picture | null>;
}
