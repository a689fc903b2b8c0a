/** Paths of SVG for drawings of terms, in their box of 120 by 72. */

type Point = readonly [number, number];

export const rect = (x: number, y: number, width: number, height: number): string =>
  `M${x} ${y}h${width}v${height}h${-width}Z`;

export const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;

export const line = (...points: readonly Point[]): string =>
  points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join('');

/** A closed loop through points. */
export const loop = (...points: readonly Point[]): string => `${line(...points)}Z`;

/** Level lines across a width, one every `step`. */
export const rows = (x: number, y: number, width: number, count: number, step: number): string =>
  Array.from({ length: count }, (_, index) =>
    line([x, y + index * step], [x + width, y + index * step]),
  ).join('');

const HEAD = 4;

/** A line with a head at its end, along an axis. */
export function arrow([x0, y0]: Point, [x1, y1]: Point): string {
  const [dx, dy] = [Math.sign(x1 - x0), Math.sign(y1 - y0)];
  const [bx, by] = [x1 - HEAD * dx, y1 - HEAD * dy];
  const side: Point = [dy * HEAD * 0.6, dx * HEAD * 0.6];
  return `${line([x0, y0], [x1, y1])}${line([bx + side[0], by + side[1]], [x1, y1], [bx - side[0], by - side[1]])}`;
}

/** A size between two places: heads at both ends. */
export const size = (from: Point, to: Point): string => `${arrow(from, to)}${arrow(to, from)}`;

/** Points round a circle, the first at an angle in degrees. */
export const around = (x: number, y: number, r: number, count: number, first = 0): Point[] =>
  Array.from({ length: count }, (_, index) => {
    const angle = ((first + (360 * index) / count) * Math.PI) / 180;
    return [Math.round((x + r * Math.cos(angle)) * 10) / 10, Math.round((y + r * Math.sin(angle)) * 10) / 10];
  });

/** A line that waves about a height. */
export const wave = (x: number, y: number, width: number, high: number, count: number): string => {
  const half = width / count / 2;
  return `M${x} ${y}${`q${half / 2} ${-high} ${half} 0q${half / 2} ${high} ${half} 0`.repeat(count)}`;
};

/** A bell over a base line. */
export const bell = (x: number, base: number, halfWidth: number, high: number): string =>
  `M${x - halfWidth} ${base}C${x - halfWidth * 0.4} ${base} ${x - halfWidth * 0.35} ${base - high} ${x} ${base - high}S${x + halfWidth * 0.4} ${base} ${x + halfWidth} ${base}`;
