export { layerMeshOf, spareFile, spareStems, type Spare } from './spareFiles';
