export { applied } from './applied';
export { blended } from './blended';
export { halvesOf, isFlat, isRoundAbout, turnOnComingBack } from './closedRun';
export { cornerFills } from './cornerFill';
export { drafted } from './drafted';
export { piecesOfRun } from './drawnPath';
export { dressedAgain, dressedStep, otherOf } from './dress';
export { edgesOfRule } from './edgeRules';
export { isHollow } from './edgeTurn';
export { emptiedFaces } from './emptied';
export { facePlate } from './facePlate';
export { depthOfFloor } from './floors';
export { type OffsetWay, grown, hasBentFace, keepsAny, offsetWays, vanishingRounds } from './grown';
export { grownBy } from './grownBy';
export { cutFrom } from './joinTo';
export { frameOfOutline, knownLoop, loopHere, mapBetween, regionHere } from './outlineHere';
export { isOwnImage } from './ownImage';
export { offsetRegion } from './outlineOnPart';
export { withFollowed } from './followed';
export { drawingOf, onPath, type PlacedDrawing } from './outlinePlane';
export { faceOfPick, namedFace } from './picks';
export { seenOf } from './seen';
export { reach } from './reach';
export { type Corner, ridge, roomCorners } from './ridge';
export { drawnRound, roundTool, visibleReach } from './roundTool';
export { smoothPrism } from './smoothPrism';
export { placementOf } from './placementOf';
export type {
  BuiltStep,
  Drawn,
  OtherBody,
  StepInput,
  StepNumbers,
  StepSolid,
  Surroundings,
  VolumeBound,
} from './stepKind';
export { type PathPiece, bentPath, hasCorner, sharpestBend, swept } from './swept';
export { type Mouth, threadedRod } from './threaded';
export { POINT_BELOW_MM, acrossAnnotation, line, middleCross, turnedSolid } from './turnedRound';
export { stretched } from './uneven/stretched';
export { pointIn, uprightSection } from './upright';
export { withWayOut } from './wayIn';
