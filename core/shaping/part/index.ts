export { type Affine, placedIn, undone } from './affine';
export type { Annotation, CentreLine } from './annotation';
export { shiftBehind, type BehindOutline, type FollowedPlaces } from './behindOutline';
export type { SeenCurve, SeenPiece } from './seenCurve';
export { CUT_TAG, type CutPlane, type OpenedSolid, squareCut } from './cut';
export {
  type Frame,
  WORLD,
  boxIn,
  coordinatesOf,
  frameFacing,
  isWorld,
  tilted,
  toLocal,
  toWorld,
  wayToWorld,
} from './frame';
export type { MassProperties } from './massProperties';
export { meshMoments } from './meshMoments';
export type { Measured, Picked, Thing } from './measured';
export { type Motion, type Slid, movedPoint } from './motion';
export type { StepNote, StepOutcome } from './outcome';
export { RIGHT, TOWARDS, flat, onPicture, round } from './picturePlane';
export { eachOutlineNumber, outlineNumbers, type OutlineNumbers } from './outlineNumbers';
export { placeNumbers, type PlaceNumbers } from './placeNumbers';
export {
  SMALLEST_MM,
  layoutPlaces,
  resolveAll,
  resolveEach,
  resolveLength,
  resolvePosition,
  resolveValue,
  type Known,
  type PlacedPoint,
} from './resolve';
export type { SharpRoot } from './sharpRoot';
export { middleOfBox, type Box, type SolidCheck } from './solidCheck';
export { FILE_QUALITY, LAYER_QUALITY, type MeshQuality, SCREEN_QUALITY, type SolidMesh } from './solidMesh';
export { OVERRUN_MM, type Placement, carriedPlacement, drawnInWorld, plainPlacement } from './placement';
export {
  type FaceTag,
  type Origins,
  anyCopy,
  copyOfTag,
  copyRole,
  faceTag,
  renamed,
  roleOf,
  stepOfTag,
} from '@core/foundations/faceTag';
export { type WeldedMesh, meshVolume, openEdgeCount, weld } from './weld';
export type { ShapeDifference } from './shapeDifference';
export { KernelRefusal, KernelTrap } from './kernelErrors';
export { MemoryWatch } from './memoryWatch';
export { sliversIn, withoutSlivers } from './withoutSlivers';
