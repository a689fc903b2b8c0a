export {
  exposureOf,
  ResinSlicer,
  type SlicedResin,
  type PartInResin,
  type ResinRequest,
} from './resinSlicer';
export { imageStack, type StackHeader } from './imageStack';
export { resinDrawing, resinHappenings } from './resinDrawing';
export type { ResinFigures } from './resinFigures';
export type { ResinWarning } from './resinWarning';
export type { ResinJob } from './resinJob';
