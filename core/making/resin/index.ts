export { exposureOf, ResinBench, type LaidInResin, type PartInResin, type ResinLaying } from './layOut';
export { imageStack, type StackHeader } from './imageStack';
export { resinDrawing, resinHappenings } from './resinDrawing';
export type { ResinFigures } from './resinFigures';
export type { ResinWarning } from './resinWarning';
export type { ResinJob } from './resinJob';
