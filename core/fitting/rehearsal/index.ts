export { readMachinesFile } from './machinesFile';
export { type RealMachine } from './realMachine';
export { drawPopulation, type Population } from './population';
export { machinesOfWorld, WORLD_NAMES, WORLDS, type World } from './worlds';
export { rehearse, KNOWINGS, type FirstMake, type Knowing } from './rehearse';
export { largestGapPoints, reliabilityOf, sharesOf, type Share, type Tenth } from './outcome';
export { PRACTICE_MACHINES } from './machines';
export { lotsOf, type Lots } from './chances';
