export { endsGoTogether, type KnownLength, type LengthFinder, type Unused } from './observations';
export { coordinateOf, zeroOf } from './zero';
export { solveLayout, suspectsOf, type SolvedLayout, type SolvedPoint } from './solveLayout';
export { type MaybeWrong, type SolvedDistance, type Suspect } from './suspect';
