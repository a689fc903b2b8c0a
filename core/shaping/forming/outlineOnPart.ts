import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import {
  guarded,
  type Kernel,
  type Shape,
  levelPlane,
  outlineFace,
  frameOnFace,
  scoped,
  type Scope,
  partsOf,
  spansOf,
} from '@core/shaping/kernel';
import {
  areaOf,
  boxOfLoop,
  loopsOfCurves,
  offsetSmooth,
  polygonOf,
  recognised,
  regionOfLoops,
  rejoined,
  type Curve,
  type Loop,
  type Point,
  type Region,
} from '@core/shaping/outline';
import type { Vec3 } from '@core/foundations/vectors';
import { coordinatesOf, type Frame, toLocal, WORLD, KernelRefusal } from '@core/shaping/part';
import { isNothing, isSamePoint } from '@core/foundations/tolerance';

/** Points that a curve is read by where it is neither straight nor round: at least, and for each span of a spline. */
const [CURVE_POINTS, POINTS_A_SPAN] = [32, 5];

/** The outline of a flat face about the face's own middle, with its holes; or why there is none. */
export function regionOfFace(kernel: Kernel, face: Shape): Result<Region, StepFault> {
  const on = frameOnFace(kernel, face);
  if (!on) return no({ code: 'pick.notFlat' });
  return scoped((scope) => {
    const loops = loopsOfCurves(curvesOf(kernel, scope, face, on.frame));
    return loops.ok ? regionOfLoops(loops.value.map(rejoined)) : loops;
  });
}

/** A region moved out all round by a length (in, if negative), its corners sharp if that can be; holes shrink as it grows. */
export function offsetRegion(kernel: Kernel, region: Region, by: NamedLength): Result<Region, StepFault> {
  if (isNothing(by.mm)) return ok(region);
  const outer = offsetLoop(kernel, region.outer, by.mm);
  if (!outer) return no({ code: 'outline.offsetTooFar', by });
  const holes: Loop[] = [];
  for (const hole of region.holes) {
    const moved = offsetLoop(kernel, hole, -by.mm);
    if (moved) holes.push(moved);
    // A hole may close as the rest grows, but not while there is room in it.
    else if (by.mm < halfBreadth(hole)) return no({ code: 'outline.offsetTooFar', by });
  }
  return regionOfLoops([outer, ...holes]);
}

/** Half of a loop's smaller measure across, mm: moved in by that nothing is left of it. */
function halfBreadth(loop: Loop): number {
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  return Math.min(x1 - x0, y1 - y0) / 2;
}

/** Null where nothing is left of it, or where it falls into several. */
function offsetLoop(kernel: Kernel, loop: Loop, mm: number): Loop | null {
  const whole = areaOf(polygonOf(loop));
  const [only] = loop as readonly [Curve];
  if (loop.length === 1 && only?.kind === 'circle') {
    const radius = only.radius + mm;
    return radius > 0 ? [{ ...only, radius }] : null;
  }
  if (loop.length === 1 && only?.kind === 'spline' && only.closed) {
    const points = offsetSmooth(only.points, mm);
    if (points) return [{ kind: 'spline', points, closed: true, role: only.role }];
  }
  for (const join of ['GeomAbs_Intersection', 'GeomAbs_Arc'] as const) {
    const moved = attempt(kernel, loop, mm, join);
    const area = moved && areaOf(polygonOf(moved));
    // Moved out it must have grown, moved in it must have shrunk and be no mirror image of itself.
    if (moved && area !== null && area > 0 && area > whole === mm > 0) return moved;
  }
  return null;
}

function attempt(
  kernel: Kernel,
  loop: Loop,
  mm: number,
  join: 'GeomAbs_Intersection' | 'GeomAbs_Arc',
): Loop | null {
  try {
    return guarded(kernel, () =>
      scoped((scope) => {
        const { face } = outlineFace(kernel, scope, loop, levelPlane(0));
        const maker = scope.keep(
          new kernel.BRepOffsetAPI_MakeOffset(scope.keep(kernel.TopoDS.Face(face)), join, false),
        );
        maker.Perform(mm, 0);
        if (!maker.IsDone()) return null;
        const made = scope.keep(maker.Shape());
        if (made.IsNull()) return null;
        const loops = loopsOfCurves(curvesOf(kernel, scope, made, WORLD));
        return loops.ok && loops.value.length === 1 ? rejoined(loops.value[0]!) : null;
      }),
    );
  } catch (error) {
    if (error instanceof KernelRefusal) return null;
    throw error;
  }
}

/** The edges of a flat shape as curves in a frame's plane. Roles: side and their number. */
function curvesOf(kernel: Kernel, scope: Scope, shape: Shape, frame: Frame): Curve[] {
  const flat = (at: Vec3): Point => {
    const [x, y] = toLocal(frame, at);
    return [x, y];
  };
  return partsOf(kernel, scope, shape, 'TopAbs_EDGE').map((edge, index): Curve => {
    const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
    const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
    const at = (share: number): Point => {
      const point = scope.keep(curve.Value(first + (last - first) * share));
      return flat(coordinatesOf(point));
    };
    const role = `side${index}`;
    const [from, to] = [at(0), at(1)];
    const isClosed = isSamePoint(from, to);
    switch (curve.GetType()) {
      case 'GeomAbs_Line':
        return { kind: 'line', from, to, role };
      case 'GeomAbs_Circle': {
        if (!isClosed) return { kind: 'arc', from, via: at(0.5), to, role };
        const circle = scope.keep(curve.Circle());
        const middle = scope.keep(circle.Location());
        return {
          kind: 'circle',
          middle: flat(coordinatesOf(middle)),
          radius: circle.Radius(),
          role,
        };
      }
      default: {
        // A long smooth line is of many spans: each is read by several points.
        const spans = spansOf(kernel, scope, curve).length - 1;
        const pieces = Math.max(CURVE_POINTS, POINTS_A_SPAN * spans);
        const count = isClosed ? pieces : pieces + 1;
        const points = Array.from({ length: count }, (_, place) => at(place / pieces));
        return isClosed ? { kind: 'spline', points, closed: true, role } : recognised(points, role);
      }
    }
  });
}
