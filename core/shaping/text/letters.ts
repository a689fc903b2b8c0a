import { parse, type Font } from 'opentype.js';

import type { Curve, Loop, Point } from '@core/shaping/outline';

export type { Font };

/** Reads a font file (TrueType or OpenType). @throws if it is none. */
export const readFont = (bytes: ArrayBuffer): Font => parse(bytes);

/** A letter or a part of one: its outer loop, and the loops of its holes. */
export interface LetterFace {
  outer: Loop;
  holes: Loop[];
}

/** Pieces of a letter's curve shorter than this are left out, mm. */
const SHORTEST_MM = 1e-3;

/** Letters of a text that a font has no shape for. */
export function missingLetters(font: Font, text: string): string {
  return [...new Set(text)]
    .filter((letter) => letter !== ' ' && font.charToGlyphIndex(letter) === 0)
    .join('');
}

/** Capital height of a font as a share of its em. */
function capitalHeight(font: Font): number {
  const given = (font.tables as { os2?: { sCapHeight?: number } }).os2?.sCapHeight;
  return (given && given > 0 ? given : 0.7 * font.unitsPerEm) / font.unitsPerEm;
}

/**
 * The outlines of a text, its middle at the origin: capitals `heightMm` high, the middle of the capitals at y = 0.
 * Curves of the font become short lines, within a hundredth of the height.
 */
export function letterFaces(font: Font, text: string, heightMm: number): LetterFace[] {
  const size = heightMm / capitalHeight(font);
  const width = font.getAdvanceWidth(text, size);
  const loops = font
    .getPaths(text, 0, 0, size)
    .flatMap(({ commands }) => contours(commands as Command[]))
    .map((contour) => contour.map(([x, y]): Point => [x - width / 2, -y - heightMm / 2]))
    .map(cleaned)
    .filter((contour) => contour.length > 2);
  // A loop within another is a hole of it; one within a hole is an outer one again.
  const depthOf = (index: number) =>
    loops.filter((other, at) => at !== index && isWithin(loops[index]![0]!, other)).length;
  const depths = loops.map((_, index) => depthOf(index));
  return loops.flatMap((loop, index): LetterFace[] => {
    if (depths[index]! % 2 === 1) return [];
    const holes = loops.filter((other, at) => depths[at] === depths[index]! + 1 && isWithin(other[0]!, loop));
    return [
      {
        outer: polygon(loop, index),
        holes: holes.map((hole) => polygon(hole, loops.indexOf(hole))),
      },
    ];
  });
}

type Command =
  | { type: 'M'; x: number; y: number }
  | { type: 'L'; x: number; y: number }
  | { type: 'Q'; x1: number; y1: number; x: number; y: number }
  | { type: 'C'; x1: number; y1: number; x2: number; y2: number; x: number; y: number }
  | { type: 'Z' };

/** Lines for each curve of a contour. */
const PIECES = 5;

/** Contours as closed polygons; a curve becomes short lines on it. */
function contours(commands: readonly Command[]): Point[][] {
  const found: Point[][] = [];
  let at: Point = [0, 0];
  for (const command of commands) {
    if (command.type === 'Z') continue;
    const to: Point = [command.x, command.y];
    if (command.type === 'M') found.push([to]);
    else if (command.type === 'L') found.at(-1)!.push(to);
    else if (command.type === 'Q' || command.type === 'C') found.at(-1)!.push(...bezier(at, command));
    at = to;
  }
  return found;
}

/** Points on a quadratic or cubic Bézier curve, without its beginning. */
function bezier([x0, y0]: Point, curve: Extract<Command, { type: 'Q' | 'C' }>): Point[] {
  return Array.from({ length: PIECES }, (_, index): Point => {
    const t = (index + 1) / PIECES;
    const s = 1 - t;
    if (curve.type === 'Q') {
      const mix = (a: number, b: number, c: number) => s * s * a + 2 * s * t * b + t * t * c;
      return [mix(x0, curve.x1, curve.x), mix(y0, curve.y1, curve.y)];
    }
    const mix = (a: number, b: number, c: number, d: number) =>
      s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
    return [mix(x0, curve.x1, curve.x2, curve.x), mix(y0, curve.y1, curve.y2, curve.y)];
  });
}

/** Without points that coincide, the last with the first too. */
function cleaned(points: readonly Point[]): Point[] {
  return points.filter(([x, y], index) => {
    const [nx, ny] = points[(index + 1) % points.length]!;
    return Math.hypot(nx - x, ny - y) > SHORTEST_MM;
  });
}

function polygon(points: readonly Point[], number: number): Loop {
  return points.map((from, index): Curve => ({
    kind: 'line',
    from,
    to: points[(index + 1) % points.length]!,
    role: `side${number}`,
  }));
}

/** Whether a point lies within a polygon, by the number of its sides that a ray to the right crosses. */
function isWithin([x, y]: Point, polygonPoints: readonly Point[]): boolean {
  return (
    polygonPoints.filter(([ax, ay], index) => {
      const [bx, by] = polygonPoints[(index + 1) % polygonPoints.length]!;
      return ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax);
    }).length %
      2 ===
    1
  );
}
