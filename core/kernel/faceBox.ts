import { coordinatesOf, type Box, type Vec3 } from '@core/part';

import { boundingBox, boxRound } from './check';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';

/** A point of a face goes past its edges where it does so by more than this, mm. */
const PAST_MM = 1e-7;

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
  const middle = outer.map((mm, axis) => (mm + inner[axis]!) / 2);
  const centre = outer.map((mm, axis) => (mm + across[axis]!) / 2);
  const quarter = at(Math.PI / 2, 0);
  const x = unit(outer.map((mm, axis) => mm - centre[axis]!));
  const y = unit(quarter.map((mm, axis) => mm - centre[axis]!));
  const z = unit(at(0, Math.PI / 2).map((mm, axis) => mm - middle[axis]!));
  return [0, 1, 2].flatMap((axis) => {
    const round = Math.atan2(y[axis]!, x[axis]!);
    const along = Math.hypot(x[axis]!, y[axis]!);
    return [round, round + Math.PI].flatMap((u, side) => {
      const v = Math.atan2(z[axis]!, side === 0 ? along : -along);
      return [
        { u, v },
        { u, v: v + Math.PI },
      ];
    });
  });
}

function unit(vector: readonly number[]): number[] {
  const length = Math.hypot(...vector);
  return vector.map((part) => part / length);
}

/** Whether an angle, or one by whole turns from it, lies in a range. */
function isWithin(angle: number, [from, to]: readonly [number, number]): boolean {
  const turns = Math.ceil((from - angle) / (2 * Math.PI) - 1e-9);
  return angle + 2 * Math.PI * turns <= to + 1e-9;
}
