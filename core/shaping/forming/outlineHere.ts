import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import { boundingBox, type Kernel, frameOnFace, scoped, type TaggedSolid } from '@core/shaping/kernel';
import { type OutlineShape, type SettledOutline } from '@core/record/model';
import {
  loopOf,
  placedRegion,
  regionOf,
  withArcs,
  type KnownOutline,
  type Loop,
  type PlaneMap,
  type Region,
} from '@core/shaping/outline';
import { dot } from '@core/foundations/vectors';
import { toWorld, WORLD, type Frame, type OutlineNumbers } from '@core/shaping/part';
import { isNothing, SAME_ANGLE } from '@core/foundations/tolerance';

import { offsetRegion, regionOfFace } from './outlineOnPart';
import { faceOfPick } from './picks';
import { silhouetteOf } from './silhouette';
import type { StepInput } from './stepKind';

/** The loop of an outline by its numbers, or what is wrong with it. */
export const knownLoop = (outline: SettledOutline, lengths: OutlineNumbers): Result<Loop, StepFault> =>
  loopOf({ ...outline, lengths } as KnownOutline);

/** What lies between a region and the same, moved in by the width of a band. Faces within are called by the curve that they follow. */
function bandWithin(kernel: Kernel, { outer, holes }: Region, width: NamedLength): Result<Region, StepFault> {
  const inner = offsetRegion(kernel, { outer, holes: [] }, { ...width, mm: -width.mm });
  if (!inner.ok) return inner;
  if (holes.length > 0) return no({ code: 'outline.bandHasHoles' });
  const within = inner.value.outer.map((curve) => ({ ...curve, role: `inner-${curve.role}` }));
  return ok({ outer, holes: [within] });
}

/** What an outline may be taken from. */
type OutlineInput = Pick<StepInput, 'kernel' | 'before' | 'earlier' | 'bodyOf'>;

/** The region of an outline, which may be taken from a step or a face that is there. */
export function regionHere(
  outline: SettledOutline,
  lengths: OutlineNumbers,
  input: OutlineInput,
): Result<Region, StepFault> {
  if (outline.shape !== 'offset') {
    const region = regionOf({ ...outline, lengths });
    const { band } = outline.shape === 'drawn' ? lengths : {};
    return region.ok && band ? bandWithin(input.kernel, region.value, band) : region;
  }
  const { of } = outline;
  const there = onBodyOf(outline, input);
  if (!there.ok) return there;
  const base =
    'step' in of
      ? regionOfStep(of.step, there.value)
      : 'face' in of
        ? pickedRegion(of.face, there.value)
        : wholeRegion(there.value);
  if (!base.ok) return base;
  const { by } = lengths;
  // What is seen bends as it will: moved out or in, it is of arcs.
  const moved = 'whole' in of && !isNothing(by!.mm) ? regionWithArcs(base.value) : base.value;
  return offsetRegion(input.kernel, moved, by!);
}

type Taken = Extract<SettledOutline, { shape: 'offset' }>;

/** What an outline is taken from: what is there, or another body. */
function onBodyOf({ of }: Taken, input: OutlineInput): Result<OutlineInput, StepFault> {
  if (of.body === undefined) return ok(input);
  const other = input.bodyOf(of.body);
  return other.ok ? ok({ ...input, before: other.value.solid, earlier: other.value.steps }) : other;
}

/**
 * Where an outline stands that was taken from a step or a face: the frame that its region is told in, in space. Null for one
 * that is of its own, or whose step is not there.
 */
export function frameOfOutline(outline: OutlineShape, input: OutlineInput): Result<Frame | null, StepFault> {
  if (outline.shape !== 'offset') return ok(null);
  const { of } = outline;
  const taken = onBodyOf(outline, input);
  if (!taken.ok) return taken;
  const { kernel, before, earlier } = taken.value;
  if ('step' in of) {
    const stand = earlier.get(of.step)?.stand;
    return ok(stand ? { ...stand.frame, origin: toWorld(stand.frame, [...stand.at, stand.level]) } : null);
  }
  if (!before) return ok(null);
  if ('whole' in of) return ok({ ...WORLD, origin: [...middleOf(kernel, before), 0] });
  return scoped((scope) => {
    const face = faceOfPick(scope, before, of.face, earlier);
    return face.ok ? ok(frameOnFace(kernel, face.value)?.frame ?? null) : face;
  });
}

/**
 * How a region told in one frame lies in another, turned and mirrored as it stands, about its own origin; null where their planes
 * are not parallel.
 */
export function mapBetween(from: Frame, to: Frame): PlaneMap | null {
  if (Math.abs(dot(from.z, to.x)) > SAME_ANGLE || Math.abs(dot(from.z, to.y)) > SAME_ANGLE) return null;
  return {
    x: [dot(from.x, to.x), dot(from.x, to.y)],
    y: [dot(from.y, to.x), dot(from.y, to.y)],
    at: [0, 0],
  };
}

/** As regionHere, for what takes no holes. */
export function loopHere(
  outline: SettledOutline,
  lengths: OutlineNumbers,
  input: OutlineInput,
): Result<Loop, StepFault> {
  const region = regionHere(outline, lengths, input);
  if (!region.ok) return region;
  return region.value.holes.length > 0 ? no({ code: 'outline.hasHoles' }) : ok(region.value.outer);
}

function pickedRegion(
  pick: Parameters<typeof faceOfPick>[2],
  { kernel, before, earlier }: OutlineInput,
): Result<Region, StepFault> {
  if (!before) return no({ code: 'outline.notHere' });
  return scoped((scope) => {
    const face = faceOfPick(scope, before, pick, earlier);
    return face.ok ? regionOfFace(kernel, face.value) : face;
  });
}

/** The middle of a solid's box, as it is seen from above. */
function middleOf(kernel: Kernel, { shape }: TaggedSolid): [number, number] {
  const [x0, y0, , x1, y1] = boundingBox(kernel, shape);
  return [(x0 + x1) / 2, (y0 + y1) / 2];
}

/** How near arcs come to what is seen, mm: its corners are a few micrometres off themselves. */
const ARCS_WITHIN_MM = 0.005;

const regionWithArcs = ({ outer, holes }: Region): Region => ({
  outer: withArcs(outer, ARCS_WITHIN_MM),
  holes: holes.map((hole) => withArcs(hole, ARCS_WITHIN_MM)),
});

function wholeRegion({ kernel, before }: OutlineInput): Result<Region, StepFault> {
  return before ? silhouetteOf(before, middleOf(kernel, before)) : no({ code: 'outline.notHere' });
}

/** What an earlier step raises, lays, turns or drills, about its own middle. */
function regionOfStep(id: string, input: OutlineInput): Result<Region, StepFault> {
  const of = input.earlier.get(id);
  if (!of) return no({ code: 'step.pickLost', lookingFor: { is: 'stepItsOutlineIsOf' } });
  const { kind, step, lengths, place } = of;
  switch (kind) {
    case 'extrude': {
      const region = regionHere(step.outline, lengths.outline, input);
      return region.ok ? ok(placedRegion(region.value, step.turn, [0, 0])) : region;
    }
    case 'revolve':
    case 'sweep':
      return regionHere(step.outline, lengths.outline, input);
    case 'plate': {
      const { length, breadth, cornerRadius } = lengths;
      return regionOf({ shape: 'rectangle', lengths: { length, breadth, cornerRadius } });
    }
    case 'disc':
    case 'peg':
    case 'hole':
      return regionOf({ shape: 'circle', lengths: { diameter: lengths.diameter } });
    default:
      return no({ code: 'outline.noneOfStep', place });
  }
}
