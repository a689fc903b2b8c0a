export { believedAfter, expectedOf, leverage, type Belief, type Expected, type Observed } from './conjugate';
export { startingOf, type MadeSize } from './habits';
export { type Target } from './covariance';
export { driftOf, type Drift } from './drift';
export { firstLayerLearned, printerThatLearned, type ElephantFoot, type LearnedSpread } from './firstLayer';
export { likeOthers } from './likeOthers';
export {
  expectedMake,
  habitsOf,
  machineThatLearned,
  MOST_MADE_SIZES,
  usesWhatItLearned,
  type HabitLine,
  type Habits,
} from './learn';
