export { joinedFloats } from './joinedFloats';
