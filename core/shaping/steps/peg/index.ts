export { first } from './first';
export { resolve } from './numbers';
export * from './sentence';
