import type { FoundFault, Result } from '@core/foundations/fault';
import type { FoundFigures, FoundUnit, Painted, PlacePair } from '@core/checking/found';
import type { ScanPlace } from '@core/record/model';
import type { SolidMesh, WeldedMesh } from '@core/shaping/part';

/** What the screen and the worker for scanned pieces say to each other. Meshes are handed over, not copied. */
export interface FoundWorker {
  /** Takes the spare that files are laid over, and lets go of the file before. */
  setSpare(mesh: SolidMesh): Promise<void>;
  read(bytes: Uint8Array, name: string): Promise<Result<FoundRead, FoundFault>>;
  /** Lays what was read over the spare. @param unitMm what one of its numbers is. */
  lay(unitMm: number, onShare: (share: number) => void): Promise<Result<Alignments, FoundFault>>;
  /** Lays it where it lay before; its numbers are mm. */
  layAt(place: ScanPlace): Promise<Alignments>;
  /** The piece by itself, mm, as it was read: to be pointed at. */
  piece(): Promise<WeldedMesh>;
  /** Lays it by places that were pointed at on both. */
  layBy(
    pairs: readonly PlacePair[],
    onShare: (share: number) => void,
  ): Promise<Result<Alignments, FoundFault>>;
  /** What is kept of it with the repair: a PLY in mm, and where it lies. */
  keepable(way: number, byAll: boolean): Promise<{ bytes: Uint8Array<ArrayBuffer>; place: ScanPlace }>;
  /** Shows one of the ways. @param withinMm what does not count as off. */
  show(way: number, byAll: boolean, withinMm: number, onShare: (share: number) => void): Promise<FoundShown>;
}

export interface FoundRead {
  triangles: number;
  /** Longest, middle and shortest way through it, in its own numbers. */
  box: [number, number, number];
  /** What the file says its unit is, mm. */
  unitMm: number | null;
  likely: { unit: FoundUnit; isAlike: boolean };
}

export interface Alignments {
  /** How many ways there are that are as good. */
  ways: number;
  /** Enough of it and of the spare is explained; else it may lie elsewhere. */
  isSure: boolean;
}

export interface FoundShown {
  figures: FoundFigures;
  painted: Painted;
}
