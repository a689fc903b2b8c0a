export { distanceTo, firstHit, nearestTo, type Nearest } from './boxTree';
