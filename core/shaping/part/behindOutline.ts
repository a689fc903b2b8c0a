/** Where points of a drawing are that follow the part, and diameters of circles that do, by their names, mm. */
export interface FollowedPlaces {
  points: Readonly<Record<string, readonly [x: number, y: number]>>;
  diameters: Readonly<Record<string, number>>;
}

/** The part before a step, seen square to the outline of that step. */
export interface BehindOutline {
  /** Its edges along the outline's own two ways, as segments: four numbers each, mm. */
  segments: Float32Array;
  /** Where what the drawing follows is now. */
  followed: FollowedPlaces;
  /** The outline is held at its own low (-1) or high (1) edge along the ways of its place, not where it begins. */
  flush: readonly [number, number];
  /** How far the outline's ways are turned against those of its place, radians. */
  turn: number;
}

/**
 * Where the part lies behind an outline that is held at an edge of its own: so far from where it would lie, mm, along the outline's own ways.
 *
 * @param places places all along the outline, mm.
 */
export function shiftBehind(
  { flush, turn }: Pick<BehindOutline, 'flush' | 'turn'>,
  places: readonly (readonly [number, number])[],
): readonly [number, number] {
  if (places.length === 0) return [0, 0];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const held = [0, 1].map((axis) => {
    const along = places.map(([x, y]) => (axis === 0 ? cos * x - sin * y : sin * x + cos * y));
    return flush[axis] === 0 ? 0 : flush[axis]! < 0 ? Math.min(...along) : Math.max(...along);
  }) as [number, number];
  const [x, y] = held;
  return [cos * x + sin * y, -sin * x + cos * y];
}
