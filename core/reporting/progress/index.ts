export { frozenLetter, progressOf, type Progress } from './progress';
