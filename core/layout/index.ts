export { endsGoTogether, type KnownLength, type LengthFinder, type Unused } from './observations';
export {
  solveLayout,
  SUSPECT_BEYOND,
  type SolvedDistance,
  type SolvedLayout,
  type SolvedPoint,
  type Suspect,
} from './solveLayout';
