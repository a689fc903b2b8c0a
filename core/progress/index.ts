export { progressOf, type Progress } from './progress';
