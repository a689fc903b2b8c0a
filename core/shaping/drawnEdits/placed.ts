import { numberValue, type DrawnOutline, type Value } from '@core/foundations/fields';

import { MEET_MM } from './crossings';
import { curveName, type Place, type SolvedDrawing } from '@core/shaping/drawn';

/** An outline with what can move written down where it came out, so that it begins there the next time. */
export function withPlaces(
  outline: DrawnOutline,
  solved: Pick<SolvedDrawing, 'points' | 'curves'>,
): DrawnOutline {
  const curves = new Map(solved.curves.map((curve) => [curve.id, curve]));
  return {
    ...outline,
    points: outline.points.map((point) => {
      const at = solved.points.get(point.id);
      return at ? { ...point, x: moved(point.x, at[0]), y: moved(point.y, at[1]) } : point;
    }),
    curves: outline.curves.map((curve, index) => {
      const at = curves.get(curveName(curve, index));
      if (curve.kind === 'circle' && at?.kind === 'circle')
        return { ...curve, diameter: moved(curve.diameter, 2 * at.radius) };
      if (curve.kind === 'ellipse' && at?.kind === 'ellipse')
        return {
          ...curve,
          length: moved(curve.length, 2 * at.along[0]),
          breadth: moved(curve.breadth, 2 * at.along[1]),
        };
      return curve;
    }),
  };
}

/** Digits that a drawn coordinate is kept with, mm. */
const KEPT_MM = 1e-7;

/** Numbers move; what is taken from a size stays. */
const moved = (value: Value, mm: number): Value =>
  value.from === 'number' ? numberValue(Math.round(mm / KEPT_MM) * KEPT_MM) : value;

/**
 * All of an outline made larger or smaller about the origin: what a first size does to a sketch of which nobody minded how large it was drawn.
 */
export function scaledBy(outline: DrawnOutline, factor: number): DrawnOutline {
  const scaled = (value: Value): Value => (value.from === 'number' ? numberValue(value.mm * factor) : value);
  return {
    ...outline,
    points: outline.points.map((point) => ({ ...point, x: scaled(point.x), y: scaled(point.y) })),
    curves: outline.curves.map((curve) => {
      if (curve.kind === 'circle') return { ...curve, diameter: scaled(curve.diameter) };
      if (curve.kind === 'ellipse')
        return { ...curve, length: scaled(curve.length), breadth: scaled(curve.breadth) };
      return curve;
    }),
  };
}

/** Whether a first size may say how large all of it is: nothing else does as yet, neither a size, nor a place that is given or kept. */
export function mayBeScaled({ points, curves, relations, dimensions = [] }: DrawnOutline): boolean {
  const isDrawn = (value: Value) => value.from === 'number';
  const isAtOrigin = (id: string) =>
    points.some((point) => point.id === id && [point.x, point.y].every((at) => isDrawn(at) && at.mm === 0));
  return (
    [...points, ...curves].every(({ follows }) => follows === undefined) &&
    points.every(({ x, y }) => isDrawn(x) && isDrawn(y)) &&
    curves.every(
      (curve) =>
        (curve.kind !== 'circle' || isDrawn(curve.diameter)) &&
        (curve.kind !== 'ellipse' || (isDrawn(curve.length) && isDrawn(curve.breadth))),
    ) &&
    relations.every((relation) => relation.kind !== 'fixed' || isAtOrigin(relation.point)) &&
    dimensions.every((one) => one.reference || one.kind === 'angle')
  );
}

/** An outline as other shapes give it: lines, arcs and circles of a loop, joined where they meet. */
export function drawnFromCurves(
  curves: readonly (
    | { kind: 'line'; from: Place; to: Place }
    | { kind: 'arc'; from: Place; via: Place; to: Place }
    | { kind: 'circle'; middle: Place; radius: number }
    | { kind: 'ellipse'; middle: Place; alongX: number; alongY: number }
    | { kind: 'spline'; points: readonly Place[]; closed?: boolean }
  )[],
): DrawnOutline {
  const points: { id: string; at: Place }[] = [];
  const nameOf = (at: Place): string => {
    const there = points.find((point) => Math.hypot(point.at[0] - at[0], point.at[1] - at[1]) < MEET_MM);
    if (there) return there.id;
    points.push({ id: `P${points.length + 1}`, at });
    return points.at(-1)!.id;
  };
  const drawn = curves.map((curve, index): DrawnOutline['curves'][number] => {
    const id = `c${index + 1}`;
    switch (curve.kind) {
      case 'line':
        return { kind: 'line', from: nameOf(curve.from), to: nameOf(curve.to), id };
      case 'arc':
        return { kind: 'arc', from: nameOf(curve.from), via: nameOf(curve.via), to: nameOf(curve.to), id };
      case 'circle':
        return { kind: 'circle', middle: nameOf(curve.middle), diameter: numberValue(2 * curve.radius), id };
      case 'ellipse':
        return {
          kind: 'ellipse',
          middle: nameOf(curve.middle),
          length: numberValue(2 * curve.alongX),
          breadth: numberValue(2 * curve.alongY),
          id,
        };
      case 'spline':
        return { kind: 'spline', points: curve.points.map(nameOf), closed: curve.closed === true, id };
    }
  });
  return {
    shape: 'drawn',
    points: points.map(({ id, at: [x, y] }) => ({ id, x: numberValue(x), y: numberValue(y) })),
    curves: drawn,
    relations: [],
  };
}
