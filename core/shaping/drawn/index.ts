export {
  curveName,
  drawnInput,
  pointsOfCurve,
  type DrawnData,
  type DrawnInput,
  type KnownCurve,
  type KnownDimension,
  type Place,
} from './input';
export { conflictOf, holds, without } from './conflicts';
export { freedomOf, type Freedom } from './freedom';
export type { MeasuredResidual } from './disagreement';
export { settle, MISSED_MM, type Settled } from './settle';
export {
  drawingAt,
  isMet,
  solveDrawn,
  studyDrawn,
  type SolvedCurve,
  type SolvedDrawing,
  type StudiedDrawing,
} from './solveDrawn';
export { namesIn, systemOf, type Misused, type System } from './system';
export { Drag } from './drag';
