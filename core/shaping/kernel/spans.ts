import type { Kernel } from './kernel';
import type { Scope } from './scope';

/** Parameters between which a curve is of one piece: a polynomial of a spline, or all of any other. */
export function spansOf(
  kernel: Kernel,
  scope: Scope,
  curve: InstanceType<Kernel['BRepAdaptor_Curve']>,
): number[] {
  const count = curve.NbIntervals('GeomAbs_CN');
  const bounds = scope.keep(new kernel.NCollection_Array1_double(1, count + 1));
  curve.Intervals(bounds, 'GeomAbs_CN');
  return Array.from({ length: count + 1 }, (_, index) => bounds.Value(index + 1));
}
