export { believedAfter, expectedOf, leverage, type Belief, type Expected, type Observed } from './conjugate';
export { believedBefore, designOf, startingOf, type MadeSize } from './habits';
export { driftOf, type Drift } from './drift';
export { firstLayerLearned, printerThatLearned, type FootSpread, type LearnedSpread } from './firstLayer';
export { likeOthers } from './likeOthers';
export { expectedMake, habitsOf, machineThatLearned, type Habits } from './learn';
