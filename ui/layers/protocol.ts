import type { Fault, Result } from '@core/fault';
import type { Support } from '@core/fields';
import type { Filament, LayerPrinter, Resin, ResinPrinter, ResinSet } from '@core/model';
import type { Vec3, WeldedMesh } from '@core/part';
import type { ResinFigures, ResinWarning } from '@core/resin';
import type {
  BedWarning,
  Footing,
  HangingFaces,
  Happening,
  JobFigures,
  KeptJob,
  LayerDrawing,
  PartOnBed,
  WayUp,
} from '@core/printing';

/** A spare on the bed; its mesh is known by its id. */
export interface WishedPart extends Omit<PartOnBed, 'mesh'> {
  bodyId: string;
  support: Support;
}

/** What is to be laid in layers, in one job. */
export interface LayWish {
  /** The first leads: its layers' heights hold for all. */
  parts: WishedPart[];
  /** `printer` and `filament` are null where the workshop does not know how layers are laid with it. */
  machine: { id: string; name: string; printer: LayerPrinter | null };
  material: { id: string; name: string; density: number; filament: Filament | null };
  /** Where the machine makes in resin instead; `resin` is null if the material is none. */
  resin: { printer: ResinPrinter; resin: Resin | null; set: ResinSet } | null;
}

/** What it takes and what is to be watched, by how it is made. */
export type LaidTold =
  | { by: 'filament'; figures: JobFigures; warnings: BedWarning[] }
  | { by: 'resin'; figures: ResinFigures; warnings: ResinWarning[] };

/** What came of it, as the screen shows it. */
export interface LaidReply {
  drawing: LayerDrawing;
  told: LaidTold;
  happenings: Happening[];
  footings: Footing[];
  hanging: HangingFaces;
}

/** One of several ways to make it, for the table. */
export interface ComparedReply {
  figures: Pick<JobFigures, 'minutes' | 'grams' | 'cost'>;
}

/** The worker that lays parts in layers, as the screen sees it. A newer wish ends the one before it: that one comes back as null. */
export interface LayerWorker {
  setMesh(bodyId: string, mesh: WeldedMesh): Promise<void>;
  /** A mesh that is only compared with: what is laid or being laid goes on. */
  lend(bodyId: string, mesh: WeldedMesh): Promise<void>;
  /** Lets go of all meshes: whoever lays next sends its own. */
  forget(): Promise<void>;
  waysUp(bodyId: string, overhang: number, load: Vec3 | null): Promise<WayUp[]>;
  lay(wish: LayWish, onProgress: (share: number) => void): Promise<Result<LaidReply, Fault> | null>;
  /** The figures of other machines or settings; nothing of it is kept. */
  compare(wish: LayWish): Promise<Result<ComparedReply, Fault> | null>;
  /** The job last laid, as G-code. */
  gcode(title: string, when: string): Promise<Result<string, Fault>>;
  /** The job in resin last laid, as a ZIP archive of pictures; null if it was stopped. */
  pictures(
    title: string,
    when: string,
    onProgress: (share: number) => void,
  ): Promise<Result<Uint8Array, Fault> | null>;
  /** A job's file, to be looked at; null where nothing is laid in it. */
  read(text: string): Promise<KeptJob | null>;
  cancel(): Promise<void>;
}
