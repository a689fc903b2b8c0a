import { frameOnFace, partsOf, planeOf, scoped, faceSlopeOf, type TaggedSolid } from '@core/shaping/kernel';
import { placedRegion, type Region } from '@core/shaping/outline';

import { regionOfFace } from './outlineOnPart';

/** What stands straight up from an outline, its ends level: the outline where it stands, from which height to which, mm. */
export interface Prism {
  region: Region;
  low: number;
  high: number;
}

/**
 * A solid as a straight prism with smooth sides; null for any other, and for one whose sides are all flat or round. Of such a one the
 * kernel moves smooth faces slowly, where the outline is moved in a moment.
 */
export function smoothPrism({ kernel, shape }: TaggedSolid): Prism | null {
  return scoped((scope) => {
    const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE');
    const kinds = faces.map((face) => faceSlopeOf(kernel, scope, face));
    const ends = faces.filter((_, index) => kinds[index] === 'level');
    const isPrism = ends.length === 2 && kinds.every((kind) => kind !== 'other') && kinds.includes('smooth');
    if (!isPrism) return null;
    const [one, other] = ends.map((face) => planeOf(kernel, face)!) as [Plane, Plane];
    const top = one.at[2] > other.at[2] ? ends[0]! : ends[1]!;
    const frame = frameOnFace(kernel, top)!.frame;
    const region = regionOfFace(kernel, top);
    if (!region.ok || frame.z[2] < 0) return null;
    return {
      region: placedRegion(region.value, 0, [frame.origin[0], frame.origin[1]]),
      low: Math.min(one.at[2], other.at[2]),
      high: Math.max(one.at[2], other.at[2]),
    };
  });
}

type Plane = NonNullable<ReturnType<typeof planeOf>>;
