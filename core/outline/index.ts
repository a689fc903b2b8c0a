export { boxOfLoop, placedLoop, type Curve, type Loop, type Point } from './curves';
export { evenedLoops } from './evened';
export { gearRadii, halfToothAngle, type GearTeeth } from './gear';
export { cornerRadiusOf, loopOf, type KnownOutline } from './shapes';
