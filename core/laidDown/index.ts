export { turnDown } from './turnDown';
