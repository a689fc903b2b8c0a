export type { Equation, Prediction } from './equation';
export { adjust, type Adjustment } from './adjust';
export { dependenciesOf, factorise, outsideOf, type Factored } from './factorise';
export { meet, MET_MM, type FactoredSlopes, type Met, type MeetOptions } from './meet';
export { partsOf, type Part } from './parts';
