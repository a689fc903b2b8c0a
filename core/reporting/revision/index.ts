export { freeze, newestRevision } from './freeze';
export { compare, type Compared, type Difference } from './compare';
export { backTo, isAsIn, type RowToPut } from './backTo';
export { branchesOf, lastThatFitted, parentOf, type Branch, type Outcome } from './tree';
