export { alikeOrientations, type DrawnOrientation } from './alike';
export { rotationDown } from './rotationDown';
export { rotatedDown, type RotatedDown } from './rotatedDown';
