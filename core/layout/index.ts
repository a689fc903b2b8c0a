export { endsGoTogether, type KnownLength, type LengthFinder, type Unused } from './observations';
export { coordinateOf, zeroOf } from './zero';
export {
  solveLayout,
  suspectsOf,
  type SolvedDistance,
  type SolvedLayout,
  type SolvedPoint,
  type Suspect,
} from './solveLayout';
