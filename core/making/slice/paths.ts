/** What a line that is printed belongs to. */
export const PATH_KINDS = [
  'outerWall',
  'innerWall',
  'thinWall',
  'gap',
  'skin',
  'bridge',
  'fill',
  'support',
  'supportFace',
  'foot',
] as const;
export type PathKind = (typeof PATH_KINDS)[number];

/** A line as it is printed, mm. */
export interface LayerPath {
  kind: PathKind;
  /** Its end is its beginning, which is not said again. */
  closed: boolean;
  /** x y after each other. */
  points: Float64Array;
  /** Breadth of the line, at each point where it changes. */
  width: number | Float32Array;
}

/** A layer with its lines in the order in which they are printed. */
export interface SlicedLayer {
  /** Its upper side over the bed, and how thick it is, mm. */
  topMm: number;
  heightMm: number;
  paths: LayerPath[];
}

/** How long a line is, mm. */
export function lengthOf({ points, closed }: Pick<LayerPath, 'points' | 'closed'>): number {
  let length = 0;
  for (let at = 2; at < points.length; at += 2) {
    length += Math.hypot(points[at]! - points[at - 2]!, points[at + 1]! - points[at - 1]!);
  }
  const last = points.length - 2;
  return closed ? length + Math.hypot(points[0]! - points[last]!, points[1]! - points[last + 1]!) : length;
}

/**
 * What a line takes of material, mm³: length × width × height of the layer. A line is taken as a strip with square sides as wide as lines
 * lie apart: so the strips of a solid layer add up to its volume.
 */
export function volumeOf(path: LayerPath, heightMm: number): number {
  const { points, width } = path;
  if (typeof width === 'number') return lengthOf(path) * width * heightMm;
  let volume = 0;
  const count = points.length / 2;
  for (let from = 0; from < (path.closed ? count : count - 1); from += 1) {
    const to = (from + 1) % count;
    const length = Math.hypot(
      points[2 * to]! - points[2 * from]!,
      points[2 * to + 1]! - points[2 * from + 1]!,
    );
    volume += (length * (width[from]! + width[to]!) * heightMm) / 2;
  }
  return volume;
}
