export { asMade, type AsMade } from './asMade';
export { layerMeshOf, spareFile, spareStems, type Spare } from './spareFiles';
