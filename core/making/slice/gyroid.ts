import { Clipper64, ClipType, FillRule, type Paths64 } from 'clipper2-ts';

import type { LayerPath } from './paths';
import { boundsOf, PER_MM, type Area } from './region';

/**
 * Length of the lines that a gyroid of period 1 leaves in a level plane, for each unit of area, on the average over all heights: the mean
 * over its surface of the sine between its normal and the vertical, times its area of 3.0918 in a cell. Integrated numerically from
 * the surface sin x cos y + sin y cos z + sin z cos x = 0 (Schoen, NASA TN D-5541, 1970).
 */
export const GYROID_LENGTH = 2.495;

/** Points of a curve in a period. */
const POINTS = 24;

/**
 * The lines of a gyroid at one height over an area: stiff in all directions, and every line lies partly over one of the layer below.
 *
 * @param share how much of the area the lines take, on the average over the layers.
 * @param zMm height of the layer.
 */
export function gyroid(area: Area, share: number, lineMm: number, zMm: number): LayerPath[] {
  const bounds = boundsOf(area);
  if (!bounds) return [];
  const periodMm = (GYROID_LENGTH * lineMm) / share;
  const perMm = (2 * Math.PI) / periodMm;
  const [left, low, right, high] = bounds.map((mm) => mm * perMm) as [number, number, number, number];
  const z = zMm * perMm;
  const [sinZ, cosZ] = [Math.sin(z), Math.cos(z)];
  // Where |sin z| is the smaller one, each curve has one y at each x; elsewhere one x at each y.
  const upright = Math.abs(sinZ) > Math.abs(cosZ);
  const curves: Paths64 = [];
  const [from, to] = upright ? [low, high] : [left, right];
  const [least, most] = upright ? [left, right] : [low, high];
  const step = (2 * Math.PI) / POINTS;
  const first = Math.floor(from / step) - 1;
  const beyond = Math.ceil(to / step) + 1;
  for (const side of [-1, 1]) {
    for (
      let turn = Math.floor(least / (2 * Math.PI)) - 2;
      turn <= Math.ceil(most / (2 * Math.PI)) + 1;
      turn += 1
    ) {
      const curve = [];
      let last = NaN;
      for (let at = first; at <= beyond; at += 1) {
        const u = at * step;
        // A cos v + B sin v + C = 0 has v = φ ± arccos(-C / R), with R and φ the length and the angle of (A, B).
        const [a, b, c] = upright
          ? [sinZ, Math.cos(u), Math.sin(u) * cosZ]
          : [Math.sin(u), cosZ, sinZ * Math.cos(u)];
        const reach = Math.hypot(a, b);
        let v = Math.atan2(b, a) + side * Math.acos(Math.max(-1, Math.min(1, -c / reach)));
        // The angle jumps by whole turns; the curve does not.
        if (Number.isNaN(last)) v += 2 * Math.PI * (turn - Math.round(v / (2 * Math.PI)));
        else v += 2 * Math.PI * Math.round((last - v) / (2 * Math.PI));
        last = v;
        const [x, y] = upright ? [v, u] : [u, v];
        curve.push({ x: Math.round((x / perMm) * PER_MM), y: Math.round((y / perMm) * PER_MM) });
      }
      curves.push(curve);
    }
  }
  return clipped(curves, area).map((points) => ({ kind: 'fill', closed: false, points, width: lineMm }));
}

/** The pieces of open lines within an area. */
function clipped(lines: Paths64, area: Area): Float64Array[] {
  const clipper = new Clipper64();
  clipper.addOpenSubject(lines);
  clipper.addClip(area);
  const closed: Paths64 = [];
  const open: Paths64 = [];
  clipper.execute(ClipType.Intersection, FillRule.NonZero, closed, open);
  return open.map((path) => Float64Array.from(path.flatMap(({ x, y }) => [x / PER_MM, y / PER_MM])));
}
