export { boxOfLoop, placedLoop, type Curve, type Loop, type Point } from './curves';
export { cornerRadiusOf, loopOf, type KnownOutline } from './shapes';
