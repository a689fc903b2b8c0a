export { figuresOf, type BodyFigures } from './figures';
export { findingsOf, type Finding } from './findings';
export { cautionsBetween, cautionsOf, type Caution, type CautionPlace } from './cautions';
export type { MendAct } from './mendAct';
export { mendsOf, stepsConcerned, type Mend } from './mends';
export { thinnestWall, type ThinWall } from './thinnest';
export { cantileverStrain, type TongueStrain } from './tongues';
export { directionAt } from './directionAt';
export { DRAIN_MM, drainAt, type Drain } from './drain';
