export { SPARE_FORMATS, spareFile, spareStems, type SpareFile, type SpareFormat } from './spareFiles';
