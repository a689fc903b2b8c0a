export { compareShapes } from './compareShapes';
