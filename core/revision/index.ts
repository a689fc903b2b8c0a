export { freeze, newestRevision } from './freeze';
export { compare, type Compared, type Difference } from './compare';
