export { howStrong, type HowStrong, type Load, type MadeOf } from './howStrong';
export { sectionOfMesh, sectionProperties, type FlatSection, type SectionProperties } from './section';
export { bentBy, bentWorst, borne, pulledBy, type Stress } from './stress';
