export {
  SPARE_FORMATS,
  spareFile,
  spareStems,
  type Spare,
  type SpareFile,
  type SpareFormat,
} from './spareFiles';
