import type { Vec3 } from '@core/foundations/vectors';
import { coordinatesOf } from '@core/shaping/part';

import type { Kernel, Shape } from './kernel';
import type { Scope } from './scope';

/** The shortest way between two shapes and its ends; null if the kernel finds none. */
export function closestPoints(
  kernel: Kernel,
  scope: Scope,
  one: Shape,
  other: Shape,
): { mm: number; from: Vec3; to: Vec3 } | null {
  const finder = scope.keep(new kernel.BRepExtrema_DistShapeShape());
  finder.LoadS1(one);
  finder.LoadS2(other);
  finder.Perform(scope.keep(new kernel.Message_ProgressRange()));
  if (!finder.IsDone() || finder.NbSolution() === 0) return null;
  const [from, to] = [scope.keep(finder.PointOnShape1(1)), scope.keep(finder.PointOnShape2(1))];
  return {
    mm: finder.Value(),
    from: coordinatesOf(from),
    to: coordinatesOf(to),
  };
}
