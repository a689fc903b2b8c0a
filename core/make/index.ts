export { SPARE_FORMATS, spareFile, type SpareFile, type SpareFormat } from './spareFiles';
