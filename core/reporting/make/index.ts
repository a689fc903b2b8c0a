export { asMade, type AsMade } from './asMade';
export { bedFile, type SpareOnBed } from './bedFile';
export { layerMeshOf, spareFile, spareStems, type Spare } from './spareFiles';
