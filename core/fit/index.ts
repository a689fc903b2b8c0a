export { FIT_CLASSES, classClearanceMm, fitClassOf, type FitClassRow } from './classes';
export { trailOfFit, trailOfSize, type Trail, type TrailEntry, type Worked } from './trail';
export { evaluateRepair, type EvaluatedRepair } from './evaluateRepair';
export { bandsOf, MACHINE_SCATTER_MM, type FitBands } from './bands';
export { usesOf, type Use } from './usedBy';
