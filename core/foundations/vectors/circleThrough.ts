type Place = readonly [x: number, y: number];

/** The circle through three points that are not on a line. */
export function circleThrough(
  [ax, ay]: Place,
  [bx, by]: Place,
  [cx, cy]: Place,
): { middle: Place; radius: number } {
  const d = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by));
  const [a, b, c] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy];
  const x = (a * (by - cy) + b * (cy - ay) + c * (ay - by)) / d;
  const y = (a * (cx - bx) + b * (ax - cx) + c * (bx - ax)) / d;
  return { middle: [x, y], radius: Math.hypot(ax - x, ay - y) };
}
