import type { Vec3 } from '@core/foundations/vectors';
import { KernelRefusal } from '@core/shaping/part';
import { polesOfClosed, smoothLine } from '@core/shaping/outline';
import { KERNEL_MM } from '@core/foundations/tolerance';

import { type Kernel } from './kernel';
import type { Scope } from './scope';

/**
 * A smooth line through points in space as the kernel's curve. Closed ones are ours: the kernel's own begin with a guessed
 * tangent, which leaves them lopsided.
 *
 * @param even at parameters 0, 1, 2 and on.
 */
export function smoothCurve(
  kernel: Kernel,
  scope: Scope,
  points: readonly Vec3[],
  { closed, even = false }: { closed: boolean; even?: boolean },
) {
  return closed ? closedCurve(kernel, scope, points, even) : openCurve(kernel, scope, points, even);
}

function closedCurve(kernel: Kernel, scope: Scope, points: readonly Vec3[], even: boolean) {
  const line = smoothLine(points, true, even);
  const poles = scope.keep(new kernel.NCollection_Array1_gp_Pnt(1, points.length));
  for (const [index, [x, y, z]] of polesOfClosed(line).entries()) {
    poles.SetValue(index + 1, scope.keep(new kernel.gp_Pnt(x!, y!, z!)));
  }
  const knots = scope.keep(new kernel.NCollection_Array1_double(1, line.knots.length));
  const times = scope.keep(new kernel.NCollection_Array1_int(1, line.knots.length));
  for (const [index, knot] of line.knots.entries()) {
    knots.SetValue(index + 1, knot);
    times.SetValue(index + 1, 1);
  }
  return scope.keep(new kernel.Geom_BSplineCurve(poles, knots, times, 3, true));
}

function openCurve(kernel: Kernel, scope: Scope, points: readonly Vec3[], even: boolean) {
  const array = scope.keep(new kernel.NCollection_Array1_gp_Pnt(1, points.length));
  for (const [index, at] of points.entries()) {
    array.SetValue(index + 1, scope.keep(new kernel.gp_Pnt(...at)));
  }
  const held = scope.keep(new kernel.NCollection_HArray1_gp_Pnt(array));
  const maker = scope.keep(
    even
      ? new kernel.GeomAPI_Interpolate(held, evenly(kernel, scope, points.length), false, KERNEL_MM)
      : new kernel.GeomAPI_Interpolate(held, false, KERNEL_MM),
  );
  maker.Perform();
  if (!maker.IsDone()) throw new KernelRefusal('the smooth line failed');
  return scope.keep(maker.Curve());
}

/** Parameters 0, 1, 2 and on. */
function evenly(kernel: Kernel, scope: Scope, count: number) {
  const array = scope.keep(new kernel.NCollection_Array1_double(1, count));
  for (let index = 0; index < count; index += 1) array.SetValue(index + 1, index);
  return scope.keep(new kernel.NCollection_HArray1_double(array));
}
