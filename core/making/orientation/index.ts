export { turnDown } from './turnDown';
export { turnedDown, type TurnedDown } from './turnedDown';
