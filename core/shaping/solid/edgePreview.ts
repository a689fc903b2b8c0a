import { type Kernel, type Shape, scoped, type Scope, type TaggedSolid } from '@core/shaping/kernel';
import type { EdgeRule } from '@core/record/model';
import { coordinatesOf } from '@core/shaping/part';
import { edgesOfRule, type StepNumbers } from '@core/shaping/forming';

/** Points on a curved edge. */
const CURVE_POINTS = 24;

/** How many edges a rule catches; 0 where it finds none. */
export function countEdges(
  solid: TaggedSolid,
  rule: EdgeRule,
  earlier: ReadonlyMap<string, StepNumbers>,
): number {
  return scoped((scope) => {
    const found = edgesOfRule(scope, solid, rule, earlier);
    return found.ok ? found.value.length : 0;
  });
}

/** The edges that a rule catches, as segments: six numbers each, mm. */
export function edgesToShow(
  solid: TaggedSolid,
  rule: EdgeRule,
  earlier: ReadonlyMap<string, StepNumbers>,
): Float32Array {
  const { kernel } = solid;
  return scoped((scope) => {
    const found = edgesOfRule(scope, solid, rule, earlier);
    if (!found.ok) return new Float32Array();
    return segmentsOfEdges(kernel, scope, found.value);
  });
}

/** Edges as segments: six numbers each, mm. */
export function segmentsOfEdges(kernel: Kernel, scope: Scope, edges: readonly Shape[]): Float32Array {
  const segments = edges.flatMap((edge) => {
    const curve = scope.keep(new kernel.BRepAdaptor_Curve(scope.keep(kernel.TopoDS.Edge(edge))));
    const pieces = curve.GetType() === 'GeomAbs_Line' ? 1 : CURVE_POINTS;
    const [first, last] = [curve.FirstParameter(), curve.LastParameter()];
    const points = Array.from({ length: pieces + 1 }, (_, index) => {
      const point = scope.keep(curve.Value(first + ((last - first) * index) / pieces));
      return coordinatesOf(point);
    });
    return points.slice(1).flatMap((point, index) => [...points[index]!, ...point]);
  });
  return new Float32Array(segments);
}
