import { circleThrough } from '@core/foundations/vectors';
import {
  alongSmooth,
  boxOfLoop,
  loopsOfCurves,
  smoothLine,
  type Curve,
  type Loop,
  type Region,
  type Run,
} from '@core/shaping/outline';

/** Room round the outline, mm. */
const MARGIN_MM = 2;
/** Numbers to a ten-thousandth of a millimetre. */
const number = (mm: number) => String(Number(mm.toFixed(4)));

/** A region as an SVG at true size, mm; y points up, as it is drawn. */
export const outlineSvg = ({ outer, holes }: Region, title: string): string =>
  svgOf(outer, [outer, ...holes].map(loopPath), title);

/** A drawn path as an SVG at true size, as outlineSvg. */
export const runSvg = ({ curves, closed }: Run, title: string): string =>
  svgOf(curves, [closed ? loopPath(curves) : openPath(curves)], title);

/** Curves as an SVG at true size, whether they close or not: loops as one path, all else curve by curve. */
export function curvesSvg(curves: readonly Curve[], title: string): string {
  const loops = loopsOfCurves(curves);
  const isClosed = (curve: Curve) =>
    curve.kind === 'circle' || curve.kind === 'ellipse' || (curve.kind === 'spline' && curve.closed === true);
  const paths = loops.ok
    ? loops.value.map(loopPath)
    : curves.map((curve) => (isClosed(curve) ? loopPath([curve]) : openPath([curve])));
  return svgOf(curves, paths, title);
}

/** @param round the curves that reach furthest. */
function svgOf(round: Loop, paths: readonly string[], title: string): string {
  const [left, bottom, right, top] = boxOfLoop(round);
  const [width, height] = [right - left + 2 * MARGIN_MM, top - bottom + 2 * MARGIN_MM];
  const box = [left - MARGIN_MM, -top - MARGIN_MM, width, height].map(number).join(' ');
  const path = paths.join(' ');
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="${box}">`,
    `  <title>${title.replaceAll('&', '&amp;').replaceAll('<', '&lt;')}</title>`,
    `  <path d="${path}" fill="none" stroke="#000" stroke-width="0.1" fill-rule="evenodd"/>`,
    '</svg>',
    '',
  ].join('\n');
}

const at = ([x, y]: readonly number[]) => `${number(x!)} ${number(-y!)}`;

/** A loop as an SVG path; y of the outline is turned over. */
function loopPath(loop: Loop): string {
  const [first] = loop;
  if (first && (first.kind === 'circle' || first.kind === 'ellipse')) return roundPath(first);
  return `${openPath(loop)} Z`;
}

function openPath(curves: Loop): string {
  const [first] = curves;
  const start = first?.kind === 'spline' ? first.points[0]! : (first as { from: readonly number[] }).from;
  return [`M${at(start)}`, ...curves.map(curvePath)].join(' ');
}

function roundPath(curve: Extract<Curve, { kind: 'circle' | 'ellipse' }>): string {
  const [rx, ry, turn] =
    curve.kind === 'circle' ? [curve.radius, curve.radius, 0] : [curve.alongX, curve.alongY, curve.turn ?? 0];
  const [x, y] = curve.middle;
  const [dx, dy] = [rx * Math.cos(turn), rx * Math.sin(turn)];
  const arc = `A${number(rx)} ${number(ry)} ${number((-turn * 180) / Math.PI)} 0 0 `;
  return `M${at([x + dx, y + dy])} ${arc}${at([x - dx, y - dy])} ${arc}${at([x + dx, y + dy])} Z`;
}

function curvePath(curve: Curve): string {
  if (curve.kind === 'line') return `L${at(curve.to)}`;
  if (curve.kind === 'spline')
    return alongSmooth(smoothLine(curve.points, curve.closed ?? false, curve.even ?? false), 16)
      .slice(1)
      .map((point) => `L${at(point)}`)
      .join(' ');
  if (curve.kind !== 'arc') return '';
  const { from, via, to } = curve;
  const { middle, radius } = circleThrough(from, via, to);
  const isLeft = (via[0] - from[0]) * (to[1] - from[1]) - (via[1] - from[1]) * (to[0] - from[0]) > 0;
  // More than half a turn: the middle is on the same side of the chord as the arc.
  const side = ([x, y]: readonly number[]) =>
    (to[0] - from[0]) * (y! - from[1]) - (to[1] - from[1]) * (x! - from[0]);
  const isLarge = side(middle) * side(via) > 0;
  return `A${number(radius)} ${number(radius)} 0 ${isLarge ? 1 : 0} ${isLeft ? 0 : 1} ${at(to)}`;
}
