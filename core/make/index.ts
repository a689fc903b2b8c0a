export { spareFile, spareStems, type Spare } from './spareFiles';
