export { endsGoTogether, type KnownLength, type LengthFinder, type Unused } from './observations';
export { coordinateOf, zeroOf } from './zero';
export {
  solveLayout,
  SUSPECT_BEYOND,
  suspectsOf,
  type SolvedDistance,
  type SolvedLayout,
  type SolvedPoint,
  type Suspect,
} from './solveLayout';
