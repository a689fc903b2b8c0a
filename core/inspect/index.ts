export { figuresOf, type BodyFigures } from './figures';
export { findingsOf, type Finding } from './findings';
