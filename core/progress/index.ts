export { progressOf, STAGES, type Progress } from './progress';
