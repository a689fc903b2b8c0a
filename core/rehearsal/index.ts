export { readMachinesFile, type RealMachine } from './machinesFile';
export { rehearse, KNOWINGS, type FirstMake, type Knowing } from './rehearse';
export { largestGapPoints, reliabilityOf, sharesOf, type Share, type Tenth } from './outcome';
export { PRACTICE_MACHINES, drawMachines } from './machines';
export { lotsOf, type Lots } from './chances';
