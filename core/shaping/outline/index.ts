export { alongArc } from './alongArc';
export { loopsOfCurves, regionOfLoops, type Region } from './chain';
export {
  boxOfLoop,
  cornerLoop,
  pointLoop,
  squareLoop,
  mappedRegion,
  placedLoop,
  placedRegion,
  type PlaneMap,
  type Curve,
  type Loop,
  type Point,
} from './curves';
export { withArcs } from './biarcs';
export { recognised, rejoined } from './recognised';
export { curvesOfPolygon, type KnownCurve } from './polygonCurves';
export { evenedLoops } from './evened';
export { gearRadii, halfToothAngle, type GearTeeth } from './gearTeeth';
export { fewestRingTeeth, ringCollision } from './meshing';
export { roomForTip, undercutOf } from './undercut';
export { alongSmooth, polesOfClosed, smoothLine, type SmoothLine } from './smoothLine';
export { areaOf, isWithin, polygonOf } from './polygon';
export { regionArea } from './area';
export type { Run } from './chain';
export { drawnRegion, drawnRun, plainCurve } from './drawn';
export { cornerRadiusOf, loopOf, regionOf, type KnownOutline } from './shapes';
export { offsetSmooth } from './offsetSmooth';
export { hullLoop } from './hull';
