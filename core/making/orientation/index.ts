export { rotationDown } from './rotationDown';
export { rotatedDown, type RotatedDown } from './rotatedDown';
