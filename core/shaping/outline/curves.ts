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
  /** Half axes along x and y, turned by `turn`, radians, if there is one. */
  | { kind: 'ellipse'; middle: Point; alongX: number; alongY: number; turn?: number; role: string };

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
  return mappedLoop(loop, { x: [cos, sin], y: [-sin, cos], at: [dx, dy] });
}

/** A map of the plane that keeps lengths: where its two ways and its origin go. It may mirror. */
export interface PlaneMap {
  x: Point;
  y: Point;
  at: Point;
}

/** A loop as a map takes it; one that was mirrored goes anticlockwise again. */
export function mappedLoop(loop: Loop, { x: [a, b], y: [c, d], at: [dx, dy] }: PlaneMap): Curve[] {
  const to = ([x, y]: Point): Point => [dx + a * x + c * y, dy + b * x + d * y];
  const mapped = loop.map((curve): Curve => {
    switch (curve.kind) {
      case 'line':
        return { ...curve, from: to(curve.from), to: to(curve.to) };
      case 'arc':
        return { ...curve, from: to(curve.from), via: to(curve.via), to: to(curve.to) };
      case 'spline':
        return { ...curve, points: curve.points.map(to) };
      case 'circle':
        return { ...curve, middle: to(curve.middle) };
      case 'ellipse': {
        const [cos, sin] = [Math.cos(curve.turn ?? 0), Math.sin(curve.turn ?? 0)];
        const turn = Math.atan2(b * cos + d * sin, a * cos + c * sin);
        const { turn: _before, ...rest } = curve;
        return { ...rest, middle: to(curve.middle), ...(turn === 0 ? {} : { turn }) };
      }
    }
  });
  return a * d - b * c < 0 ? mapped.map(reversed).reverse() : mapped;
}

/** The same curve, run the other way. */
export function reversed(curve: Curve): Curve {
  switch (curve.kind) {
    case 'line':
    case 'arc':
      return { ...curve, from: curve.to, to: curve.from };
    case 'spline': {
      const back = [...curve.points].reverse();
      // A closed one still begins at its first point.
      return { ...curve, points: curve.closed ? [back.at(-1)!, ...back.slice(0, -1)] : back };
    }
    case 'circle':
    case 'ellipse':
      return curve;
  }
}

/** Smallest box round a loop, mm: [xmin, ymin, xmax, ymax]. Arcs count by their ends and middles. */
export function boxOfLoop(loop: Loop): [number, number, number, number] {
  const points = loop.flatMap((curve): Point[] => {
    if (curve.kind === 'line') return [curve.from, curve.to];
    if (curve.kind === 'arc') return [curve.from, curve.via, curve.to];
    if (curve.kind === 'spline') return [...curve.points];
    const [x, y] = curve.middle;
    const [rx, ry] = reachOf(curve);
    return [
      [x - rx, y - ry],
      [x + rx, y + ry],
    ];
  });
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

/** How far a circle or an ellipse reaches from its middle along x and y, mm. */
export function reachOf(curve: Extract<Curve, { kind: 'circle' | 'ellipse' }>): Point {
  if (curve.kind === 'circle') return [curve.radius, curve.radius];
  const [cos, sin] = [Math.cos(curve.turn ?? 0), Math.sin(curve.turn ?? 0)];
  const { alongX, alongY } = curve;
  return [Math.hypot(alongX * cos, alongY * sin), Math.hypot(alongX * sin, alongY * cos)];
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

/** As mappedLoop, with the holes. */
export const mappedRegion = <R extends { outer: Loop; holes: readonly Loop[] }>(
  { outer, holes }: R,
  map: PlaneMap,
): { outer: Loop; holes: Loop[] } => ({
  outer: mappedLoop(outer, map),
  holes: holes.map((hole) => mappedLoop(hole, map)),
});
