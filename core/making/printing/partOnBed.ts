import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';
import type { LayerSettings, LayerWarning } from '@core/making/slice';

/** A place on the bed, mm from its middle. */
export type BedPlace = readonly [x: number, y: number];

/** A part that is to be made in layers, with how many are made at once. */
export interface PartOnBed {
  name: string;
  /** Closed, in its own frame, as large as it is to be made. */
  mesh: WeldedMesh;
  down: Vec3;
  settings: LayerSettings;
  pieces: number;
  /** Where the middle of each piece is put; packed where nothing is said. */
  at?: readonly BedPlace[];
}

/** What is to be watched about a part on the bed, where its first piece stands. `part`: its index. */
export type BedWarning = LayerWarning & { part: number };
