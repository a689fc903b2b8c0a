import type { Curve } from '@core/shaping/outline';

/** What a drawing file holds that an outline can be made of, in the file's own units, y upward. */
export interface DrawingFile {
  curves: readonly LayeredCurve[];
  /** Millimetres to a unit; null where the file does not say. */
  unitMm: number | null;
  /** What is in it and was not taken, by kind. */
  leftOut: ReadonlyMap<string, number>;
}

export interface LayeredCurve {
  curve: Curve;
  /** The layer that it is on; of a file without layers, empty. */
  layer: string;
}

export type DrawingFileFault =
  | { code: 'tooLarge'; mb: number; mostMb: number }
  /** It is not of the form that its name says, or ends in the middle. */
  | { code: 'unreadable'; form: 'DXF' | 'SVG' }
  /** A binary DXF. */
  | { code: 'binary' }
  /** It has entities of its own, which may unfold without end. */
  | { code: 'entities' }
  | { code: 'nothingToTake' }
  /** A table without two rows of two numbers. */
  | { code: 'noPoints' }
  /** More curves or points than a drawing holds. */
  | { code: 'tooMany'; curves: number; most: number }
  /** Entities whose plane looks the other way: they would lie mirrored. */
  | { code: 'fromBelow'; count: number };

/** Largest drawing that is read, bytes. */
export const MOST_BYTES = 8 * 1024 * 1024;

/** Entities that are gone through, those of blocks at each of their places: a few lines of a file may name millions. */
export const MOST_ENTITIES = 20_000;

/** Counts what was not taken. */
export class LeftOut {
  readonly kinds = new Map<string, number>();
  /** Entities that may still be gone through. */
  room = MOST_ENTITIES;
  add(kind: string, count = 1): void {
    this.kinds.set(kind, (this.kinds.get(kind) ?? 0) + count);
  }
}
