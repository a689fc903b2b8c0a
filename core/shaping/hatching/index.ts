export { hatch } from './hatch';
