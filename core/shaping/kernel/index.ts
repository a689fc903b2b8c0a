export { boundingBox, boxRound, checkShape, checkSolid } from './check';
export { closestPoints } from './closestPoints';
export { compoundOf } from './compound';
export { everyEdgeHasTwoFaces, touchesAtEdge } from './edgeUses';
export { KeptPieces } from './keptPieces';
export { faceArea, surfaceArea } from './faceArea';
export { faceBox } from './faceBox';
export { FewFaces } from './fewFaces';
export { type Kernel, type Shape, guarded, startKernel } from './kernel';
export { massProperties } from './massProperties';
export { edgesOf, meshOf, meshShape } from './mesh';
export { broughtInto, broughtTo, copiesAt, mirrored, placedAnew } from './moved';
export { boolean, booleanWithAll, cylinder, dressEdges, unwrapped } from './operations';
export {
  type Plane,
  framePlane,
  levelPlane,
  outlineFace,
  prismOf,
  raisedLoop,
  turnedLoop,
} from './outlineFace';
export { planeOf } from './planeOf';
export { distanceBetween, frameOnFace } from './planes';
export { Scope, scoped } from './scope';
export { smoothCurve } from './smoothCurve';
export { isSoundMesh, soundOrNot } from './soundness';
export { readStep, writeStep } from './stepFile';
export { TaggedSolid, carryTags, edgesAmong, edgesBetween, edgesWhere, meetings, tagFresh } from './tagged';
export { ShapeMap, facesByEdge, hashOf, listed, partsOf } from './topology';
export { spansOf } from './spans';
export { faceSlopeOf } from './faceSlope';
export { volumeWithin } from './volume';
