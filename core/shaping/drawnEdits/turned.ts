import { numberValue, type DrawnOutline, type Value } from '@core/foundations/fields';

import { followsPart } from './follows';

/** An outline turned over from left to right: what was drawn on the wrong side. Coordinates that sizes or the part give stay, so it is done only without them. */
export function turnedOver(outline: DrawnOutline): DrawnOutline | null {
  const isTyped = (value: Value): value is Extract<Value, { from: 'number' }> => value.from === 'number';
  if (!outline.points.every(({ x }) => isTyped(x)) || followsPart(outline)) return null;
  return {
    ...outline,
    points: outline.points.map((point) =>
      isTyped(point.x) ? { ...point, x: numberValue(point.x.mm === 0 ? 0 : -point.x.mm) } : point,
    ),
    // What was repeated anticlockwise is repeated clockwise now.
    relations: outline.relations.map((one) => (one.kind === 'turned' ? { ...one, angle: -one.angle } : one)),
  };
}
