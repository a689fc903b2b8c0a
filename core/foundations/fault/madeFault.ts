/** A piece of a part, told by the part's name and its number, from 1. */
export interface PieceName {
  name: string;
  piece: number;
  /** Of how many of that part. */
  of: number;
}

/** What can be wrong on the way from the part to its job. */
export type MadeFault =
  | { code: 'testPiece.notThere' }
  | { code: 'testPiece.wholePart' }
  | { code: 'make.notGrown'; message: string }
  | { code: 'slice.noLayerMachine'; machine: string }
  | { code: 'slice.noLayerMaterial'; material: string }
  | { code: 'slice.noResin'; material: string }
  | { code: 'slice.layerHeight'; layerMm: number; leastMm: number; mostMm: number }
  | { code: 'slice.machineTooCold'; neededC: number; mostC: number }
  /** Along x, y and z, in its orientation on the bed. */
  | {
      code: 'slice.doesNotFit';
      sizeMm: [number, number, number];
      roomMm: [number, number, number];
    }
  /** `most`: how many do. */
  | { code: 'slice.piecesDoNotFit'; pieces: number; most: number }
  /** `overMm`: how far beyond what the machine reaches. */
  | { code: 'slice.pieceOffBed'; which: PieceName; overMm: number }
  /** `gapMm`: what has to be between them. */
  | { code: 'slice.piecesTooNear'; one: PieceName; other: PieceName; gapMm: number }
  | { code: 'drain.notFlat' }
  | { code: 'drain.noRoom' }
  | { code: 'slice.tooLow'; heightMm: number; firstLayerMm: number }
  | { code: 'slice.tooManyLayers'; layers: number; most: number }
  | { code: 'slice.notClosed'; edges: number }
  | { code: 'slice.notLaid' }
  | { code: 'slice.nothingLaid'; lineMm: number }
  /** `line`: of the file, from 1. */
  | { code: 'gcode.outside'; line: number; axis: string; mm: number; mostMm: number }
  | {
      code: 'gcode.tooHot';
      line: number;
      what: 'nozzle' | 'bed';
      celsius: number;
      mostCelsius: number;
    };
