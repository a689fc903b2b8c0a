export { first } from './first';
export * from './sentence';
