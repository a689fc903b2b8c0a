export {
  curveName,
  drawnInput,
  endsOfCurve,
  pointsOfCurve,
  type DrawnData,
  type DrawnInput,
  type KnownCurve,
  type KnownDimension,
  type Place,
} from './input';
export { conflictOf } from './conflicts';
export type { Freedom } from './freedom';
export type { MeasuredResidual } from './disagreement';
export { settle, type Settled } from './settle';
export {
  isMet,
  solveDrawn,
  studyDrawn,
  type SolvedCurve,
  type SolvedDrawing,
  type StudiedDrawing,
} from './solveDrawn';
export { namesIn, systemOf, type Misused, type System } from './system';
export { Drag } from './drag';
export { reachOf, type Reach } from './reach';
