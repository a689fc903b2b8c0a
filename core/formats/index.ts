export { writeStl } from './stl';
export { writeThreeMf, type NamedMesh } from './threeMf';
export { fileStem } from './fileName';
