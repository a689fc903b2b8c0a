export { allowableOf, ROOM_C, SAFETY_FACTORS, warmthOf, type Allowable, type Service } from './allowable';
export { jointBears, LEAST_TEETH, type Joint } from './joints';
export { howStrong, type HowStrong, type Load, type MadeOf } from './howStrong';
export { sectionOfMesh, sectionProperties, type FlatSection, type SectionProperties } from './section';
export { bentBy, bentWorst, borne, pulledBy, twistedBy, type Stress } from './stress';
export { heldLoadOf, madeOf, serviceOf } from './ofBody';
export { twistProperties, type TwistProperties } from './twist';
export { edgeInPart, inPlane, type SectionPlane } from './cutSection';
export { bornByOther, weakestSection, type HeldLoad, type PrintedMaterial, type Weakest } from './weakest';
