/** A point of the plane, mm. */
export type Point = readonly [x: number, y: number];

/** One curve of an outline, with the part it plays; its face is named by it. */
export type Curve =
  | { kind: 'line'; from: Point; to: Point; role: string }
  /** Through `via`, anywhere between the ends. */
  | { kind: 'arc'; from: Point; via: Point; to: Point; role: string }
  /** Smooth through all of its points, in order; a closed one comes back to its first. */
  /** `even`: its points lie evenly along it, so that it is an affine image of any other of as many points. */
  | { kind: 'spline'; points: readonly Point[]; role: string; closed?: boolean; even?: true }
  | { kind: 'circle'; middle: Point; radius: number; role: string }
  /** Half axes along x and y. */
  | { kind: 'ellipse'; middle: Point; alongX: number; alongY: number; role: string };

/** Curves that follow each other and come back to where they began, anticlockwise. */
export type Loop = readonly Curve[];

/** Straight from corner to corner and back to the first; each side has the role of the corner it leaves. */
export const cornerLoop = (corners: readonly { at: Point; role: string }[]): Curve[] =>
  corners.map(({ at, role }, index) => ({
    kind: 'line',
    from: at,
    to: corners[(index + 1) % corners.length]!.at,
    role,
  }));

/** As cornerLoop, with one role for all sides. */
export const pointLoop = (points: readonly Point[], role: string): Curve[] =>
  cornerLoop(points.map((at) => ({ at, role })));

/** A square about the origin, twice `half` a side, mm. */
export const squareLoop = (half: number, role: string): Curve[] =>
  pointLoop(
    [
      [-half, -half],
      [half, -half],
      [half, half],
      [-half, half],
    ],
    role,
  );

/** Turns and then moves a loop. @param turn radians, anticlockwise. */
export function placedLoop(loop: Loop, turn: number, [dx, dy]: Point): Curve[] {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const at = ([x, y]: Point): Point => [dx + cos * x - sin * y, dy + sin * x + cos * y];
  return loop.map((curve): Curve => {
    switch (curve.kind) {
      case 'line':
        return { ...curve, from: at(curve.from), to: at(curve.to) };
      case 'arc':
        return { ...curve, from: at(curve.from), via: at(curve.via), to: at(curve.to) };
      case 'spline':
        return { ...curve, points: curve.points.map(at) };
      case 'circle':
      case 'ellipse':
        return { ...curve, middle: at(curve.middle) };
    }
  });
}

/** Smallest box round a loop, mm: [xmin, ymin, xmax, ymax]. Arcs count by their ends and middles. */
export function boxOfLoop(loop: Loop): [number, number, number, number] {
  const points = loop.flatMap((curve): Point[] => {
    if (curve.kind === 'line') return [curve.from, curve.to];
    if (curve.kind === 'arc') return [curve.from, curve.via, curve.to];
    if (curve.kind === 'spline') return [...curve.points];
    const [x, y] = curve.middle;
    const [rx, ry] = curve.kind === 'circle' ? [curve.radius, curve.radius] : [curve.alongX, curve.alongY];
    return [
      [x - rx, y - ry],
      [x + rx, y + ry],
    ];
  });
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

/** As placedLoop, with the holes. */
export const placedRegion = <R extends { outer: Loop; holes: readonly Loop[] }>(
  { outer, holes }: R,
  turn: number,
  to: Point,
): { outer: Loop; holes: Loop[] } => ({
  outer: placedLoop(outer, turn, to),
  holes: holes.map((hole) => placedLoop(hole, turn, to)),
});
