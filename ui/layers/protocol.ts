import type { Fault, Result } from '@core/foundations/fault';
import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';
import type { ResinFigures, ResinWarning } from '@core/making/resin';
import type {
  BedWarning,
  PartPlacement,
  OverhangFaces,
  Happening,
  JobFigures,
  KeptJob,
  LayerDrawing,
  SliceRequest,
  Orientation,
} from '@core/making/printing';

/** What it takes and what is to be watched, by how it is made. */
export type SliceSummary =
  | { by: 'filament'; figures: JobFigures; warnings: BedWarning[] }
  | { by: 'resin'; figures: ResinFigures; warnings: ResinWarning[] };

/** What came of it, as the screen shows it. */
export interface SliceReply {
  drawing: LayerDrawing;
  summary: SliceSummary;
  happenings: Happening[];
  placements: PartPlacement[];
  overhangs: OverhangFaces;
}

/** One of several ways to make it, for the table. */
export interface ComparedReply {
  figures: Pick<JobFigures, 'minutes' | 'grams' | 'cost'>;
}

/** The worker that lays parts in layers, as the screen sees it. A newer request ends the one before it: that one comes back as null. */
export interface LayerWorker {
  setMesh(bodyId: string, mesh: WeldedMesh): Promise<void>;
  /** A mesh that is only compared with: what is printed or being laid goes on. */
  lend(bodyId: string, mesh: WeldedMesh): Promise<void>;
  /** Lets go of all meshes: whoever lays next sends its own. */
  forget(): Promise<void>;
  orientations(bodyId: string, overhang: number, load: Vec3 | null): Promise<Orientation[]>;
  slice(
    request: SliceRequest,
    onProgress: (share: number) => void,
  ): Promise<Result<SliceReply, Fault> | null>;
  /** The figures of other machines or settings; nothing of it is kept. */
  compare(request: SliceRequest): Promise<Result<ComparedReply, Fault> | null>;
  /** The job last laid, as G-code. */
  gcode(title: string, when: string): Promise<Result<string, Fault>>;
  /** The job in resin last laid, as a ZIP archive of pictures; null if it was stopped. */
  pictures(
    title: string,
    when: string,
    onProgress: (share: number) => void,
  ): Promise<Result<Uint8Array, Fault> | null>;
  /** A job's file, to be looked at; null where nothing is printed in it. */
  read(text: string): Promise<KeptJob | null>;
  cancel(): Promise<void>;
}
