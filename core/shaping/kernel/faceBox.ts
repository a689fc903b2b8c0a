import { along, minus, unit, type Vec3 } from '@core/foundations/vectors';
import { coordinatesOf, type Box } from '@core/shaping/part';

import { boundingBox, boxRound } from './check';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';

/** A point of a face goes past its edges where it does so by more than this, mm. */
const PAST_MM = 1e-7;

/** An angle that misses a range by less than this is at its end, radians. */
const AT_END = 1e-9;

/**
 * The box round one face, mm. The kernel searches the faces of a ring (rounds of round rims, bends of rods) point by point, up to
 * 50 ms each; they go as far as their edges, or to where the ring itself goes furthest along an axis.
 */
export function faceBox(kernel: Kernel, face: Shape): Box {
  return boxOfRing(kernel, face) ?? boundingBox(kernel, face);
}

/** Of a face of a ring; null of others, and of one from which something was cut where it may go furthest. */
function boxOfRing(kernel: Kernel, face: Shape): Box | null {
  return scoped((scope) => {
    const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
    if (surface.GetType() !== 'GeomAbs_Torus') return null;
    const edges = partsOf(kernel, scope, face, 'TopAbs_EDGE');
    if (edges.length === 0) return null;
    const box = boxRound(edges.map((edge) => boundingBox(kernel, edge)));
    const at = (u: number, v: number): Vec3 => coordinatesOf(scope.keep(surface.Value(u, v)));
    const ranges = {
      u: [surface.FirstUParameter(), surface.LastUParameter()],
      v: [surface.FirstVParameter(), surface.LastVParameter()],
    } as const;
    const past = furthest(at)
      .filter(({ u, v }) => isWithin(u, ranges.u) && isWithin(v, ranges.v))
      .map(({ u, v }) => at(u, v))
      .filter((point) =>
        point.some((mm, axis) => mm < box[axis]! - PAST_MM || mm > box[axis + 3]! + PAST_MM),
      );
    if (past.length > 0 && !hasFourCircles(kernel, scope, edges)) return null;
    return boxRound([box, ...past.map(([x, y, z]): Box => [x, y, z, x, y, z])]);
  });
}

/** A whole piece of the ring, from one angle to another both ways round. */
const hasFourCircles = (kernel: Kernel, scope: Scope, edges: readonly Shape[]): boolean =>
  edges.length === 4 &&
  edges.every((edge) => {
    const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
    return curve.GetType() === 'GeomAbs_Circle';
  });

/**
 * Where a ring goes furthest along x, y and z: it looks that way there. Its point at (u, v) is
 * c + (R + r cos v)(cos u · X + sin u · Y) + r sin v · Z.
 */
function furthest(at: (u: number, v: number) => Vec3): { u: number; v: number }[] {
  const [outer, inner, across] = [at(0, 0), at(0, Math.PI), at(Math.PI, 0)];
  const middle = along(outer, minus(inner, outer), 0.5);
  const centre = along(outer, minus(across, outer), 0.5);
  const quarter = at(Math.PI / 2, 0);
  const x = unit(minus(outer, centre));
  const y = unit(minus(quarter, centre));
  const z = unit(minus(at(0, Math.PI / 2), middle));
  return [0, 1, 2].flatMap((axis) => {
    const round = Math.atan2(y[axis]!, x[axis]!);
    const level = Math.hypot(x[axis]!, y[axis]!);
    return [round, round + Math.PI].flatMap((u, side) => {
      const v = Math.atan2(z[axis]!, side === 0 ? level : -level);
      return [
        { u, v },
        { u, v: v + Math.PI },
      ];
    });
  });
}

/** Whether an angle, or one by whole turns from it, lies in a range. */
function isWithin(angle: number, [from, to]: readonly [number, number]): boolean {
  const turns = Math.ceil((from - AT_END - angle) / (2 * Math.PI));
  return angle + 2 * Math.PI * turns <= to + AT_END;
}
