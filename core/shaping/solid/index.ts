export { BodyBuilder, type Built } from './bodyBuilder';
export { countEdges, edgesToShow } from './edgePreview';
export { clearance, measure } from './measure';
export { drawPicture } from './picture';
export { RepairBuilder } from './repairBuilder';
export { sharpRoots } from './roots';
export { cutOpen } from './section';
export { slideUntil } from './slide';
export { starterFigure } from './starterFigure';
